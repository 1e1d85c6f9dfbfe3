import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { expandRoutine, routineSeconds } from '../routine/index.ts';
import { bareStep, hold, routineOf } from '../../tests/support/routines.ts';
import type { GuideEvent, GuideMoment } from './events.ts';
import { asYours, learnedFrom, lengthsOf, yourSeconds, type FeltLengths } from './learned.ts';
import { faceOf, goOnWords, handWords } from './words.ts';
import { cueLengthMs, stateAt, timeLeftMs } from './machine.ts';
import { momentsAhead } from './moments.ts';

/** Find the place 4 s, hold 10 s on each side with 3 s between, then an open dose of 20 to 60 s, usually 30. */
const routine = routineOf([
  bareStep('a', [hold(10)], { mode: 'each', pauses: { findPlaceSeconds: 4, sideChangeSeconds: 3 } }),
  bareStep('b', [{ kind: 'open', until: 'it softens', leastSeconds: 20, usualSeconds: 30, mostSeconds: 60 }], {
    technique: 'masseter-stay',
  }),
]);
const cues = expandRoutine(routine);
const log = (...moments: [GuideMoment, number][]): GuideEvent[] =>
  moments.map(([m, seconds], i) => ({ ...m, id: `event-${i}0000`, atMs: seconds * 1000 }));
const waiting: [GuideMoment, number][] = [
  [{ kind: 'start' }, 0],
  [{ kind: 'wait-for-hands', on: true }, 0],
];

describe('hands that are waited for', () => {
  test('have as long as they take, and what is pressed begins the work', () => {
    const state = stateAt(cues, log(...waiting), 9000);
    expect(state.cueIndex).toBe(0);
    expect(faceOf(cues[0]!, state)).toMatchObject({ big: '9', line: 'find the place' });
    expect(goOnWords(cues[0]!, state)).toBe('There, begin');
    expect(stateAt(cues, log(...waiting, [{ kind: 'go-on' }, 9]), 9000).cueIndex).toBe(1);
  });
  test('begin by themselves after a minute', () => {
    expect(cueLengthMs(cues[0]!, stateAt(cues, log(...waiting), 1))).toBe(60_000);
    expect(stateAt(cues, log(...waiting), 59_999).cueIndex).toBe(0);
    expect(stateAt(cues, log(...waiting), 60_001).cueIndex).toBe(1);
  });
  test('are not waited for unless that was asked, or once it is no longer', () => {
    expect(stateAt(cues, log(waiting[0]!, [{ kind: 'go-on' }, 1]), 3900).cueIndex).toBe(0);
    expect(stateAt(cues, log(waiting[0]!), 4001).cueIndex).toBe(1);
    const off = log(...waiting, [{ kind: 'wait-for-hands', on: false }, 2]);
    expect(stateAt(cues, off, 4001).cueIndex).toBe(1);
  });
  test('the time left is by the plan, and nothing is counted down or told before it is known', () => {
    const state = stateAt(cues, log(...waiting), 9000);
    expect(timeLeftMs(cues, state)).toBe(53_000);
    expect(momentsAhead(cues, state, 60_000).filter((m) => m.cueIndex === 0)).toEqual([]);
  });
});

describe('what one run tells', () => {
  const run = log(
    ...waiting,
    [{ kind: 'go-on' }, 7],
    // The hold of 10 s, then 5 s for the other side, 10 s, and the open dose for 40 s with a pause in it.
    [{ kind: 'go-on' }, 22],
    [{ kind: 'pause' }, 40],
    [{ kind: 'resume' }, 140],
    [{ kind: 'go-on' }, 172],
  );
  test('is how long hands and open doses took, pauses left out', () => {
    expect(lengthsOf(routine, run, 200_000)).toEqual({
      hands: { 'find-place': 7, 'change-side': 5 },
      open: { 'masseter-stay': 40 },
    });
  });
  test('is nothing of the hands where they were not waited for, and nothing of what was skipped', () => {
    const plain = log(waiting[0]!, [{ kind: 'next' }, 6]);
    expect(lengthsOf(routine, plain, 8000)).toEqual({ hands: {}, open: {} });
  });
});

const told = (findPlace: number, open?: number): FeltLengths => ({
  hands: { 'find-place': findPlace },
  open: open === undefined ? {} : { 'masseter-stay': open },
});

describe('what several runs tell', () => {
  test('nothing from four, the middle with its range from five', () => {
    expect(learnedFrom([5, 6, 7, 8].map((s) => told(s))).hands).toEqual({});
    const { hands, open } = learnedFrom([told(12), told(6, 40), told(7), told(20), told(5)]);
    expect(hands['find-place']).toEqual({ seconds: 7, leastSeconds: 5, mostSeconds: 20, runs: 5 });
    expect(open).toEqual({});
    expect(handWords(hands)).toBe('finding a place 7 s (5–20, 5 runs)');
  });
  test('of an even number, between the two in the middle', () => {
    expect(learnedFrom([1, 2, 3, 5, 8, 9].map((s) => told(s))).hands['find-place']?.seconds).toBe(4);
  });
});

describe('a routine in own seconds', () => {
  const learned = learnedFrom([6, 7, 7, 7, 9].map((s) => told(s, 90)));
  test('takes the changes as they really take and the open dose within its bounds', () => {
    // 7 + 10 + 3 + 10 and the open dose at its most.
    expect(routineSeconds(asYours(routine, learned))).toBe(30 + 60);
    expect(routineSeconds(routine)).toBe(27 + 30);
  });
  test('is told in seconds where own runs say something else, and not where it would be longer than a routine can be', () => {
    expect(yourSeconds(routine, learned)).toBe(90);
    expect(yourSeconds(routine, learnedFrom([]))).toBeNull();
    // 119 minutes of holding with ten changes of place before it: seven seconds each are still a routine, 60 are not.
    const long = routineOf(
      Array.from({ length: 10 }, (_, i) =>
        bareStep(`s${i}`, [hold(600), hold(110)], { pauses: { findPlaceSeconds: 4 } }),
      ),
    );
    expect(yourSeconds(long, learned)).toBe(10 * (7 + 710));
    const slow = learnedFrom(Array.from({ length: 5 }, () => told(60)));
    expect(yourSeconds(long, slow)).toBeNull();
  });
  test('plans no time where the routine plans none', () => {
    const bare = routineOf([bareStep('a', [hold(10)], { mode: 'each' })]);
    expect(routineSeconds(asYours(bare, learned))).toBe(20);
  });
  test('never leaves the bounds of an open dose, whatever was learned', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 900, noNaN: true }), { minLength: 5, maxLength: 9 }), (open) => {
        const part = stepPart(asYours(routine, learnedFrom(open.map((s) => told(4, s)))));
        expect(part).toBeGreaterThanOrEqual(20);
        expect(part).toBeLessThanOrEqual(60);
      }),
    );
  });
});

function stepPart(of: typeof routine): number {
  const step = of.items[1]!;
  const part = step.kind === 'step' ? step.dose.parts[0] : undefined;
  return part?.kind === 'open' ? part.usualSeconds : Number.NaN;
}

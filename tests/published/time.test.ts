import {
  beatOnsetMs,
  breathCyclesIn,
  breathsPerMinute,
  expandRoutine,
  routineSeconds,
  type Step,
  stepSeconds,
  totalsOf,
} from '../../core/routine/index.ts';
import { describe, expect, test } from 'vitest';
import { bareStep, beats, breath, hold, routineOf } from '../support/routines.ts';

/**
 * Arithmetic of routine time: sides × sets × directions × unit + rests + transitions, unit = repetitions × 60 / tempo
 * or hold × places. Worked by hand; common practice of the trade writes it on paper, no published source.
 */
const time1 = bareStep('a', [beats(10, 30)], { mode: 'each', sets: 2, stroke: 'circles-both-ways' });
const time2 = bareStep('b', [hold(30)], { mode: 'each', places: 3 });
const time3 = bareStep('c', [beats(8, 24)], {
  mode: 'each',
  sets: 3,
  pauses: { findPlaceSeconds: 5, restSeconds: 10, sideChangeSeconds: 10 },
});

describe('step seconds', () => {
  test('TIME-1: 2 sides, 2 sets, 2 directions, 10 at 30 a minute', () => expect(stepSeconds(time1)).toBe(160));
  test('TIME-2: 2 sides, hold 30 s on 3 places', () => expect(stepSeconds(time2)).toBe(180));
  test('TIME-3: 2 sides, 3 sets, 8 at 24 a minute, rest 10, transition 5', () => expect(stepSeconds(time3)).toBe(175));
  test('TIME-4: the three with two changes of 10 s between', () => {
    const between = (step: typeof time1) => ({
      ...step,
      dose: { ...step.dose, pauses: { ...step.dose.pauses, findPlaceSeconds: step.dose.pauses.findPlaceSeconds + 10 } },
    });
    expect(routineSeconds(routineOf([time1, between(time2), between(time3)]))).toBe(535);
  });
  test('both sides at once do not double the time, one after the other does', () => {
    expect(stepSeconds(bareStep('x', [hold(30)], { mode: 'together' }))).toBe(30);
    expect(stepSeconds(bareStep('x', [hold(30)], { mode: 'each' }))).toBe(60);
  });
});

describe('beats', () => {
  test.each([
    [30, 2000],
    [40, 1500],
    [45, 1333.3333],
    [60, 1000],
    [90, 666.6667],
  ])('TIME-5: %i a minute', (perMinute, ms) => {
    const [cue] = expandRoutine(routineOf([bareStep('x', [beats(10, perMinute)])]));
    expect(cue!.beats!.intervalMs).toBeCloseTo(ms, 3);
  });
  test('45 a minute does not drift: beat 100 comes at 133,333 ms, not at 133,300', () => {
    const [cue] = expandRoutine(routineOf([bareStep('x', [beats(200, 45)])]));
    expect(beatOnsetMs(cue!, 100)).toBeCloseTo(133_333.33, 1);
  });
});

/** Breaths: 4 in 6 out is 6 a minute, the pace of Lehrer and Gevirtz, Front Psychol 2014;5:756 (from memory). */
describe('paced breathing', () => {
  const phases = (part: ReturnType<typeof breath>) => (part.kind === 'breath' ? part.phases : []);
  const pattern = phases(breath(1, 4, 6));
  test('4 in, 6 out is six a minute', () => expect(breathsPerMinute(pattern)).toBe(6));
  test('only full breaths fit', () => {
    expect(breathCyclesIn(60, pattern)).toBe(6);
    expect(breathCyclesIn(59.9, pattern)).toBe(5);
  });
  test('4-7-8 takes 19 s a breath', () =>
    expect(60 / breathsPerMinute(phases(breath(1, 4, 8, 7)))).toBeCloseTo(19, 10));
});

/**
 * The arithmetic of the document, worked out by hand for twelve steps that together use every part, stroke, side plan and
 * pause: a part's time × 2 for the two "other way" strokes of a count × places where the dose is per place × rounds, and
 * the pauses between. The pauses are 4 to find a place, 2 to the next, 1 to turn, 2 to rest, 5 to change side, 3 to swap.
 */
describe('twelve steps by hand', () => {
  const pauses = {
    findPlaceSeconds: 4,
    nextPlaceSeconds: 2,
    directionChangeSeconds: 1,
    restSeconds: 2,
    sideChangeSeconds: 5,
    swapSeconds: 3,
  };
  const open = { kind: 'open' as const, until: 'it gives', usualSeconds: 40, leastSeconds: 20, mostSeconds: 90 };
  const sigh = {
    kind: 'breath' as const,
    cycles: 3,
    phases: [
      { what: 'in' as const, seconds: 3 },
      { what: 'in-again' as const, seconds: 1 },
      { what: 'out' as const, seconds: 6 },
    ],
  };
  const extra = (s: Step): Step => ({
    ...s,
    sides: { ...s.sides, extra: { side: 'left', sets: 1, reason: 'sorer' } },
  });
  const onePass = (s: Step): Step => ({ ...s, dose: { ...s.dose, perPlace: false } });
  const steps: [what: string, step: Step, seconds: number, least: number, most: number][] = [
    ['a hold', bareStep('1', [hold(10)], { pauses }), 4 + 10, 14, 14],
    ['a hold, then a count', bareStep('2', [hold(10), beats(10, 60)], { pauses }), 4 + 10 + 10, 24, 24],
    ['repetitions that end in a hold', bareStep('3', [beats(5, 30), hold(6)], { pauses }), 4 + 10 + 6, 20, 20],
    [
      'circles both ways at two places',
      bareStep('4', [beats(5, 30)], { pauses, stroke: 'circles-both-ways', places: 2 }),
      4 + (10 + 1 + 10) + 2 + (10 + 1 + 10),
      48,
      48,
    ],
    ['there and back is one count', bareStep('5', [beats(6, 20)], { pauses, stroke: 'to-and-fro' }), 4 + 18, 22, 22],
    [
      'one way, then the other, 5 up to 30',
      bareStep('6', [beats(5, 30, { most: 30 })], { pauses, stroke: 'one-way-then-other' }),
      4 + 10 + 1 + 10,
      25,
      4 + 60 + 1 + 60,
    ],
    [
      'one pass over four places',
      onePass(bareStep('7', [beats(8, 60)], { pauses, stroke: 'one-way', places: 4 })),
      4 + 8,
      12,
      12,
    ],
    [
      'an open dose, one side after the other',
      bareStep('8', [open], { pauses, mode: 'each' }),
      4 + 40 + 5 + 40,
      4 + 20 + 5 + 20,
      4 + 90 + 5 + 90,
    ],
    [
      'two sets a side and one more on the left',
      extra(bareStep('9', [hold(10)], { pauses, mode: 'each', sets: 2 })),
      4 + (10 + 2 + 10 + 2 + 10) + 5 + (10 + 2 + 10),
      65,
      65,
    ],
    [
      'three sets in the middle, hands swapped',
      bareStep('10', [hold(10)], { pauses, mode: 'midline', sets: 3, swap: 'each-set' }),
      4 + 10 + 3 + 10 + 3 + 10,
      40,
      40,
    ],
    [
      'a breath with a second sip, and a look',
      bareStep('11', [sigh, { kind: 'check', what: 'ease', seconds: 5 }], { pauses }),
      4 + 30 + 5,
      39,
      39,
    ],
    [
      'two sets set by set, ending in a reading',
      {
        ...bareStep('12', [hold(5), { kind: 'test', measure: 'opening-mm', place: '', seconds: 20 }], {
          pauses,
          mode: 'each',
          sets: 2,
        }),
        sides: { mode: 'each', first: 'right', sets: 2, extra: null, sequence: 'alternate' },
      },
      4 + 25 + 5 + 25 + 5 + 25 + 5 + 25,
      119,
      119,
    ],
  ];
  test.each(steps)('%s', (_what, step, seconds, least, most) => {
    const totals = totalsOf(1, expandRoutine(routineOf([step])));
    expect([totals.totalSeconds, totals.rangeSeconds.least, totals.rangeSeconds.most]).toEqual([seconds, least, most]);
  });
  test('all twelve together are the sum', () =>
    expect(routineSeconds(routineOf(steps.map(([, s]) => s)))).toBe(
      14 + 24 + 20 + 48 + 22 + 25 + 12 + 89 + 65 + 40 + 39 + 119,
    ));
});

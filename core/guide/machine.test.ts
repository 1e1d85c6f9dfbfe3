import { expandRoutine } from '../routine/index.ts';
import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { bareStep, beats, hold, routineFrom, routineOf } from '../../tests/support/routines.ts';
import {
  advance,
  EXTEND_MS,
  initialState,
  parseGuideEvent,
  runRecord,
  stateAt,
  type GuideEvent,
  type GuideEventKind,
} from './machine.ts';

const routine = routineOf([
  bareStep('a', [hold(30)], { mode: 'each', pauses: { leadInSeconds: 4, sideChangeSeconds: 3 }, pressure: 'medium' }),
  bareStep('b', [beats(10, 30)], { pressure: 'firm' }),
  bareStep('c', [hold(20)], { mode: 'midline', pressure: null }),
]);
const cues = expandRoutine(routine);
const pressures = routine.steps.map((s) => s.pressure);
const WHOLE_MS = 4000 + 30_000 + 3000 + 30_000 + 20_000 + 20_000;

const log = (...events: [GuideEventKind, number, string?][]): GuideEvent[] =>
  events.map(([kind, atMs, text], i) => ({ id: `event-${i}`, kind, atMs, ...(text === undefined ? {} : { text }) }));
const at = (nowMs: number, ...events: [GuideEventKind, number, string?][]) =>
  stateAt(cues, pressures, log(...events), nowMs);

describe('time', () => {
  test('nothing moves before the start', () =>
    expect(at(9000)).toMatchObject({ status: 'ready', cueIndex: 0, intoMs: 0 }));
  test('the clock alone moves the guide', () => {
    expect(at(1000, ['start', 1000])).toMatchObject({ status: 'running', cueIndex: 0 });
    expect(at(6000, ['start', 1000])).toMatchObject({ cueIndex: 1, intoMs: 1000 });
    expect(cues[at(1000 + 4000 + 30_000 + 500, ['start', 1000]).cueIndex]!.kind).toBe('change-side');
  });
  test('it ends by itself, at the exact moment', () => {
    const state = at(1000 + WHOLE_MS + 5000, ['start', 1000]);
    expect(state).toMatchObject({ status: 'done', endedAtMs: 1000 + WHOLE_MS, startedAtMs: 1000 });
  });
  test('a pause stands still', () => {
    const state = at(60_000, ['start', 0], ['pause', 10_000]);
    expect(state).toMatchObject({ status: 'paused', cueIndex: 1, intoMs: 6000 });
    expect(at(60_000, ['start', 0], ['pause', 10_000], ['resume', 50_000])).toMatchObject({
      status: 'running',
      intoMs: 16_000,
    });
  });
  test('a late look jumps over as many cues as have passed', () =>
    expect(at(75_000, ['start', 0]).cueIndex).toBe(cues.findIndex((c) => c.stepId === 'b')));
  test('events stamped before the last one are taken at its time', () =>
    expect(at(9000, ['start', 5000], ['pause', 3000])).toMatchObject({ status: 'paused', intoMs: 0 }));
});

describe('keys', () => {
  const first = (id: string) => cues.findIndex((c) => c.stepId === id);
  test('next goes to the next step, and after the last one ends', () => {
    expect(at(2000, ['start', 0], ['next', 1000]).cueIndex).toBe(first('b'));
    expect(at(5000, ['start', 0], ['next', 1000], ['next', 2000], ['next', 3000])).toMatchObject({
      status: 'done',
      endedAtMs: 3000,
    });
  });
  test('back begins the step anew, and soon after its begin goes to the one before', () => {
    expect(at(20_000, ['start', 0], ['back', 20_000])).toMatchObject({ cueIndex: 0, intoMs: 0 });
    expect(at(3100, ['start', 0], ['next', 2000], ['back', 3000]).cueIndex).toBe(first('a'));
  });
  test('repeat begins the step anew from its middle', () =>
    expect(at(40_000, ['start', 0], ['repeat', 40_000]).cueIndex).toBe(0));
  test('extend adds ten seconds to the present cue only', () => {
    const state = at(1000 + WHOLE_MS + EXTEND_MS, ['start', 1000], ['extend', 10_000]);
    expect(state).toMatchObject({ status: 'done', endedAtMs: 1000 + WHOLE_MS + EXTEND_MS });
  });
  test('extending has an end', () => {
    const many = Array.from({ length: 80 }, (_, i) => ['extend', 6000 + i] as [GuideEventKind, number]);
    expect(at(7000, ['start', 0], ...many).extraMs).toBeLessThanOrEqual(600_000);
  });
  test('lighten holds for the rest of the step and is no lighter than feather', () => {
    expect(at(20_000, ['start', 0], ['lighten', 10_000]).pressure).toBe('light');
    expect(at(50_000, ['start', 0], ['lighten', 10_000])).toMatchObject({ pressure: 'light' });
    expect(
      at(
        20_000,
        ['start', 0],
        ...Array.from({ length: 6 }, (_, i) => ['lighten', 10_000 + i] as [GuideEventKind, number]),
      ).pressure,
    ).toBe('feather');
    expect(at(75_000, ['start', 0], ['lighten', 10_000]).pressure).toBe('firm');
  });
  test('where nothing presses nothing is lightened', () =>
    expect(at(90_000, ['start', 0], ['harden', 89_000])).toMatchObject({ pressure: null }));
  test('stop keeps its reason and its moment; later keys do nothing', () => {
    const state = at(60_000, ['start', 0], ['stop', 10_000, 'Out of time'], ['resume', 20_000], ['next', 30_000]);
    expect(state).toMatchObject({ status: 'stopped', endedAtMs: 10_000, stopReason: 'Out of time', cueIndex: 1 });
  });
  test('notes are kept with step and moment', () =>
    expect(at(80_000, ['start', 0], ['note', 70_000, 'warm']).notes).toEqual([
      { atMs: 70_000, stepIndex: 1, text: 'warm' },
    ]));
  test('keys before the start do nothing', () =>
    expect(at(5000, ['next', 1000], ['pause', 2000])).toMatchObject({ status: 'ready', cueIndex: 0 }));
  test('a second start does nothing', () =>
    expect(at(9000, ['start', 0], ['start', 8000])).toMatchObject({ intoMs: 5000 }));
});

describe('planned against done', () => {
  test('played to the end, what was done is what was planned', () => {
    const { steps } = runRecord(cues, pressures, log(['start', 0]), WHOLE_MS + 1);
    for (const s of steps) expect(s.doneSeconds).toBeCloseTo(s.plannedSeconds, 6);
    expect(steps[0]).toMatchObject({
      stepId: 'a',
      plannedSeconds: 67,
      left: { plannedSeconds: 30, doneSeconds: 30 },
      right: { plannedSeconds: 30, doneSeconds: 30 },
    });
  });
  test('cut short, each side shows what it got', () => {
    const { steps, state } = runRecord(
      cues,
      pressures,
      log(['start', 0], ['stop', 4000 + 30_000 + 3000 + 10_000, '']),
      999_000,
    );
    expect(state.status).toBe('stopped');
    expect(steps[0]).toMatchObject({ left: { doneSeconds: 30 }, right: { doneSeconds: 10 } });
    expect(steps[1]!.doneSeconds).toBe(0);
  });
  test('a skipped step is 0, a repeated one more than planned', () => {
    const { steps } = runRecord(
      cues,
      pressures,
      log(['start', 0], ['repeat', 20_000], ['next', 30_000], ['next', 31_000]),
      200_000,
    );
    expect(steps[0]!.doneSeconds).toBe(30);
    expect(steps[1]!.doneSeconds).toBe(1);
    expect(steps[2]!.doneSeconds).toBe(20);
  });
  test('a changed pressure shows', () =>
    expect(runRecord(cues, pressures, log(['start', 0], ['lighten', 5000]), 1e6).steps[0]).toMatchObject({
      plannedPressure: 'medium',
      donePressure: 'light',
    }));
});

describe('replay', () => {
  const long = routineFrom(['slow-breaths', 'masseter-melt', 'masseter-pin-open', 'temple-circles', 'jaw-angle-press']);
  const longCues = expandRoutine(long);
  const longPressures = long.steps.map((s) => s.pressure);
  const kinds: GuideEventKind[] = ['pause', 'resume', 'next', 'back', 'repeat', 'extend', 'lighten', 'harden', 'note'];
  const logs = fc
    .array(fc.record({ kind: fc.constantFrom(...kinds), gap: fc.integer({ min: 0, max: 60_000 }) }), { maxLength: 25 })
    .map((steps) => {
      let now = 0;
      return [
        { id: 'start-event', kind: 'start' as GuideEventKind, atMs: 0 },
        ...steps.map(({ kind, gap }, i) => ({ id: `event-${i}`, kind, atMs: (now += gap) })),
      ];
    });

  test('a log that went to the server and back gives the same run', () => {
    fc.assert(
      fc.property(logs, fc.integer({ min: 0, max: 2_000_000 }), (events, now) => {
        expect(stateAt(longCues, longPressures, JSON.parse(JSON.stringify(events)) as GuideEvent[], now)).toEqual(
          stateAt(longCues, longPressures, events, now),
        );
      }),
    );
  });
  test('looking in between changes nothing, however often', () => {
    fc.assert(
      fc.property(
        logs,
        fc.array(fc.integer({ min: 1, max: 90_000 }), { minLength: 1, maxLength: 8 }),
        (events, looks) => {
          const from = events.at(-1)!.atMs;
          const end = from + looks.reduce((a, b) => a + b, 0);
          let stepped = stateAt(longCues, longPressures, events, from);
          let now = from;
          for (const gap of looks) stepped = advance(longCues, stepped, (now += gap));
          const direct = stateAt(longCues, longPressures, events, end);
          expect([stepped.status, stepped.cueIndex]).toEqual([direct.status, direct.cueIndex]);
          expect(stepped.intoMs).toBeCloseTo(direct.intoMs, 6);
          stepped.worked.forEach((w, i) => expect(w.all).toBeCloseTo(direct.worked[i]!.all, 6));
        },
      ),
    );
  });
  test('worked time never exceeds the time that passed', () => {
    fc.assert(
      fc.property(logs, fc.integer({ min: 0, max: 900_000 }), (events, now) => {
        const state = stateAt(longCues, longPressures, events, now);
        expect(state.worked.reduce((sum, w) => sum + w.all, 0)).toBeLessThanOrEqual(now + 1e-6);
      }),
    );
  });
  test('the guide is always at a cue that exists', () => {
    fc.assert(
      fc.property(logs, fc.integer({ min: 0, max: 3_000_000 }), (events, now) => {
        expect(longCues[stateAt(longCues, longPressures, events, now).cueIndex]).toBeDefined();
      }),
    );
  });
});

describe('events from outside', () => {
  test('a good one is taken as it is', () =>
    expect(parseGuideEvent({ id: 'abcd-1234', kind: 'note', atMs: 5, text: 'hello', extra: 1 })).toEqual({
      id: 'abcd-1234',
      kind: 'note',
      atMs: 5,
      text: 'hello',
    }));
  test.each<[unknown, string]>([
    [null, 'event'],
    [{ id: 'short', kind: 'start', atMs: 1 }, 'event.id'],
    [{ id: 'abcd-1234', kind: 'explode', atMs: 1 }, 'event.kind'],
    [{ id: 'abcd-1234', kind: 'start', atMs: -1 }, 'event.atMs'],
    [{ id: 'abcd-1234', kind: 'start', atMs: NaN }, 'event.atMs'],
    [{ id: 'abcd-1234', kind: 'note', atMs: 1, text: 'x'.repeat(501) }, 'event.text'],
    [{ id: 'abcd-1234', kind: 'note', atMs: 1, text: 7 }, 'event.text'],
  ])('%j is refused', (value, field) => expect(() => parseGuideEvent(value)).toThrow(`${field}: `));
});

test('an empty routine is ready and stays so', () =>
  expect(stateAt([], [], [{ id: 'start-event', kind: 'start', atMs: 0 }], 100).status).toBe(
    initialState([], []).status,
  ));

import { describe, expect, test } from 'vitest';
import { cues, log, WHOLE_MS, type Pressed } from '../../tests/support/guide-log.ts';
import { bareStep, beats, breath, hold, routineOf } from '../../tests/support/routines.ts';
import { expandRoutine } from '../routine/index.ts';
import { readStepRecords, runRecord } from './run-record.ts';

describe('planned against done', () => {
  test('played to the end, what was done is what was planned', () => {
    const { steps } = runRecord(cues, log(['start', 0]), WHOLE_MS + 1);
    for (const s of steps) expect(s.doneSeconds).toBeCloseTo(s.plannedSeconds, 6);
    expect(steps[0]).toMatchObject({
      stepId: 'a',
      plannedSeconds: 67,
      left: { plannedSeconds: 30, doneSeconds: 30 },
      right: { plannedSeconds: 30, doneSeconds: 30 },
    });
  });
  test('cut short, each side shows what it got', () => {
    const { steps, state } = runRecord(cues, log(['start', 0], ['stop', 4000 + 30_000 + 3000 + 10_000, '']), 999_000);
    expect(state.status).toBe('stopped');
    expect(steps[0]).toMatchObject({ left: { doneSeconds: 30 }, right: { doneSeconds: 10 } });
    expect(steps[1]!.doneSeconds).toBe(0);
  });
  test('a skipped step is 0, a repeated one more than planned', () => {
    const { steps } = runRecord(
      cues,
      log(['start', 0], ['repeat', 20_000], ['next', 30_000], ['next', 31_000]),
      200_000,
    );
    expect(steps[0]!.doneSeconds).toBe(30);
    expect(steps[1]!.doneSeconds).toBe(1);
    expect(steps[2]!.doneSeconds).toBe(20);
  });
  test('a changed pressure shows', () =>
    expect(runRecord(cues, log(['start', 0], ['lighter', 5000]), 1e6).steps[0]).toMatchObject({
      plannedPressure: 'medium',
      donePressure: 'light',
    }));
});

describe('what was done of each step', () => {
  const steps = (...events: Pressed[]) => runRecord(cues, log(['start', 0], ...events), 1e6).steps;
  test('done only to its end, part when cut short, skipped when nothing was worked', () => {
    expect(steps().map((s) => s.outcome)).toEqual(['done', 'done', 'done']);
    expect(steps(['next', 2000], ['next', 12_000], ['next', 12_500]).map((s) => s.outcome)).toEqual([
      'skipped',
      'part',
      'part',
    ]);
    expect(steps(['next', 10], ['next', 10], ['next', 10]).map((s) => s.outcome)).toEqual([
      'skipped',
      'skipped',
      'skipped',
    ]);
    // Worked on one side only it is not done.
    expect(steps(['next', 4000 + 30_000 + 3000 + 29_000])[0]!.outcome).toBe('part');
  });
  test('counts done stand beside counts planned', () => {
    expect(steps(['next', 67_000 + 9000])[1]!.counts).toEqual({ planned: 10, done: 4 });
    expect(steps(['next', 1000], ['next', 1000 + 9000])[1]!.counts).toEqual({ planned: 10, done: 4 });
  });
  test('hands-on is what hands did: no breathing, no looking, no finding of the place', () => {
    const list = expandRoutine(
      routineOf([
        bareStep('a', [breath(2, 4, 6)]),
        bareStep('b', [hold(10), { kind: 'check', what: 'Look', seconds: 5 }], {
          pauses: { findPlaceSeconds: 4 },
        }),
        bareStep('c', [hold(10)], { contact: 'none', pressure: null }),
      ]),
    );
    const hands = runRecord(list, log(['start', 0]), 1e6).steps.map((s) => s.hands.doneSeconds);
    expect(hands).toEqual([0, 10, 0]);
  });
});

describe('what was worked at which pressure', () => {
  const both = routineOf([
    {
      ...bareStep('a', [beats(10, 60)], { stroke: 'one-way-then-other', pauses: { directionChangeSeconds: 1 } }),
      pressure: { there: 'medium', back: 'feather' },
    },
  ]);
  const list = expandRoutine(both);
  test('seconds and counts are credited to the pressure at which they were worked', () => {
    const { steps } = runRecord(list, log(['start', 0], ['firmer', 4500]), 60_000);
    expect(steps[0]!.work).toEqual([
      { side: 'both', pressure: 'medium', seconds: 4.5, counts: 4 },
      { side: 'both', pressure: 'firm', seconds: 5.5, counts: 6 },
      { side: 'both', pressure: 'light', seconds: 10, counts: 10 },
    ]);
    expect(steps[0]).toMatchObject({ plannedPressure: 'medium', donePressure: 'light' });
  });
  test('a cue that is worked again is credited again; one cut short gives the counts that were finished', () => {
    const { steps } = runRecord(list, log(['start', 0], ['repeat', 3200], ['stop', 5700, '']), 60_000);
    expect(steps[0]!.work).toEqual([{ side: 'both', pressure: 'medium', seconds: 5.7, counts: 5 }]);
  });
});

test('a record from before hands, counts and outcome were told apart is read with what it says', () => {
  const {
    work: _w,
    hands: _h,
    counts: _c,
    outcome: _o,
    ...old
  } = runRecord(cues, log(['start', 0]), WHOLE_MS).steps[0]!;
  expect(readStepRecords([old, { ...old, doneSeconds: 0 }, { ...old, doneSeconds: 9 }])).toMatchObject([
    { work: [], hands: { plannedSeconds: 30, doneSeconds: 30 }, counts: { planned: 0, done: 0 }, outcome: 'done' },
    { outcome: 'skipped' },
    { outcome: 'part' },
  ]);
});

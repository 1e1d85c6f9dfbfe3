import { describe, expect, test } from 'vitest';
import { expandRoutine } from '../routine/index.ts';
import { bareStep, beats, hold, routineOf } from '../../tests/support/routines.ts';
import { runRecord } from './run-record.ts';
import { countsBySide, unevenSteps } from './uneven.ts';

/** Left first, then right, 60 s each; then 10 beats on both at once. */
const cues = expandRoutine(
  routineOf([bareStep('a', [hold(60)], { mode: 'each' }), bareStep('b', [beats(10, 60)], { mode: 'together' })]),
);
const START = 1_800_000_000_000;
/** The right left early after so many seconds; null = wholly done. */
const run = (rightSeconds: number | null) => {
  const right = cues.find((c) => c.side === 'right')!;
  return runRecord(
    cues,
    [
      { id: 'a', kind: 'start', atMs: START },
      ...(rightSeconds === null
        ? []
        : [{ id: 'b', kind: 'next' as const, atMs: START + right.startMs + rightSeconds * 1000 }]),
    ],
    START + 10 * 60_000,
  ).steps;
};

describe('what one side lacks', () => {
  test('a right side left early lacks the rest; nothing is said of a moment, or of both alike', () => {
    expect(unevenSteps(run(20))).toEqual([{ stepId: 'a', side: 'right', seconds: 40 }]);
    expect(unevenSteps(run(null))).toEqual([]);
    expect(unevenSteps(run(55))).toEqual([]);
    expect(unevenSteps(run(53))).toEqual([{ stepId: 'a', side: 'right', seconds: 7 }]);
    const [a] = run(null);
    const short = {
      ...a!,
      left: { plannedSeconds: 60, doneSeconds: 20 },
      right: { plannedSeconds: 60, doneSeconds: 20 },
    };
    expect(unevenSteps([short])).toEqual([]);
    expect(unevenSteps([{ ...short, left: { plannedSeconds: 0, doneSeconds: 0 } }])).toEqual([]);
  });
  test('a beat on both sides counts for both', () => {
    expect(countsBySide(run(null))).toEqual({ left: 10, right: 10 });
    const [, b] = run(null);
    expect(countsBySide([{ ...b!, work: [{ side: 'left', pressure: null, seconds: 5, counts: 4 }] }])).toEqual({
      left: 4,
      right: 0,
    });
  });
});

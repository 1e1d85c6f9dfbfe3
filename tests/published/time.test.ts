import {
  beatOnsetMs,
  breathCyclesIn,
  breathsPerMinute,
  expandRoutine,
  routineSeconds,
  stepSeconds,
} from '../../core/routine/index.ts';
import { describe, expect, test } from 'vitest';
import { bareStep, beats, hold, routineOf } from '../support/routines.ts';

/**
 * Arithmetic of routine time: sides × sets × directions × unit + rests + transitions, unit = repetitions × 60 / tempo
 * or hold × spots. Worked by hand; common practice of the trade writes it on paper, no published source.
 */
const time1 = bareStep('a', [beats(10, 30, { directions: 2 })], { mode: 'each', sets: 2 });
const time2 = bareStep('b', [hold(30)], { mode: 'each', spots: 3 });
const time3 = bareStep('c', [beats(8, 24)], {
  mode: 'each',
  sets: 3,
  pauses: { leadInSeconds: 5, restSeconds: 10, sideChangeSeconds: 10 },
});

describe('step seconds', () => {
  test('TIME-1: 2 sides, 2 sets, 2 directions, 10 at 30 a minute', () => expect(stepSeconds(time1)).toBe(160));
  test('TIME-2: 2 sides, hold 30 s on 3 spots', () => expect(stepSeconds(time2)).toBe(180));
  test('TIME-3: 2 sides, 3 sets, 8 at 24 a minute, rest 10, transition 5', () => expect(stepSeconds(time3)).toBe(175));
  test('TIME-4: the three with two changes of 10 s between', () => {
    const between = (step: typeof time1) => ({
      ...step,
      dose: { ...step.dose, pauses: { ...step.dose.pauses, leadInSeconds: step.dose.pauses.leadInSeconds + 10 } },
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
  const pattern = { inSeconds: 4, holdInSeconds: 0, outSeconds: 6, holdOutSeconds: 0 };
  test('4 in, 6 out is six a minute', () => expect(breathsPerMinute(pattern)).toBe(6));
  test('only full breaths fit', () => {
    expect(breathCyclesIn(60, pattern)).toBe(6);
    expect(breathCyclesIn(59.9, pattern)).toBe(5);
  });
  test('4-7-8 takes 19 s a breath', () =>
    expect(60 / breathsPerMinute({ inSeconds: 4, holdInSeconds: 7, outSeconds: 8, holdOutSeconds: 0 })).toBeCloseTo(
      19,
      10,
    ));
});

import { describe, expect, test } from 'vitest';
import { bareStep, beats, routineOf } from '../../tests/support/routines.ts';
import { expandRoutine } from '../routine/index.ts';
import { jawShare } from './index.ts';

const cueOf = (part: ReturnType<typeof beats>) =>
  expandRoutine(routineOf([bareStep('a', [part])])).find((c) => c.beats)!;

describe('a jaw that opens and closes', () => {
  const openings = cueOf(beats(5, 12, { unit: 'openings' }));
  test('opens once with every beat of a count of openings: shut at the beat, widest half way', () => {
    const { intervalMs } = openings.beats!;
    for (let beat = 0; beat < 5; beat++) {
      expect(jawShare(openings, beat * intervalMs).share).toBeCloseTo(0, 9);
      expect(jawShare(openings, (beat + 0.5) * intervalMs).share).toBeCloseTo(1, 9);
      expect(jawShare(openings, (beat + 0.2) * intervalMs).closing).toBe(false);
      expect(jawShare(openings, (beat + 0.7) * intervalMs).closing).toBe(true);
    }
  });
  test('goes at its own pace where something else is counted', () => {
    const rolls = cueOf(beats(20, 60, { unit: 'rolls' }));
    expect(rolls.beats!.intervalMs).toBe(1000);
    expect(jawShare(rolls, 1000).share).toBeGreaterThan(0.1);
    expect(jawShare(rolls, 2500).share).toBeCloseTo(1, 9);
  });
  test('is never open further than it opens, nor less than shut', () => {
    for (let ms = -3000; ms < 9000; ms += 137) {
      const { share } = jawShare(openings, ms);
      expect(share).toBeGreaterThanOrEqual(0);
      expect(share).toBeLessThanOrEqual(1);
    }
  });
});

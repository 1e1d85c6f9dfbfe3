import { describe, expect, test } from 'vitest';
import { wantedOf, worked } from '../../tests/support/pad-trace.ts';
import { aimOf, keptScore, padWeeks, triesOn, type KeptScore, type KeptTry } from './index.ts';

const score = (inAimShare: number | null) => ({ inAimShare }) as KeptScore;
const at = (day: string, share: number | null) => ({ at: `${day}T10:00:00Z`, score: score(share) });
/** 23 and 30 November 2026 are Mondays. */
const mondayOf = (iso: string) => (iso < '2026-11-30' ? '2026-11-23' : '2026-11-30');

describe('weeks of tries', () => {
  test('have their middle and the half of the tries around it: 10 to 50 % is 30, 20 to 40', () => {
    const tries = [0.5, 0.1, 0.3, 0.2, 0.4].map((share) => at('2026-11-24', share));
    expect(padWeeks([...tries, at('2026-12-01', 0.9)], mondayOf)).toEqual([
      { monday: '2026-11-23', tries: 5, median: 0.3, lower: 0.2, upper: 0.4 },
      { monday: '2026-11-30', tries: 1, median: 0.9, lower: 0.9, upper: 0.9 },
    ]);
  });
  test('of an even number lie between two', () =>
    expect(padWeeks([at('2026-11-24', 0.2), at('2026-11-25', 0.4)], mondayOf)[0]!.median).toBeCloseTo(0.3, 10));
  test('a try that nobody read says nothing', () => expect(padWeeks([at('2026-11-24', null)], mondayOf)).toEqual([]));
});

test('what a stand-in made up and what a pad measured are kept apart', () => {
  const tries = [
    { id: 'a', isStandIn: true },
    { id: 'b', isStandIn: false },
  ] as KeptTry[];
  expect(triesOn(tries, true).map((t) => t.id)).toEqual(['a']);
  expect(triesOn(tries, false).map((t) => t.id)).toEqual(['b']);
});

describe('what is kept of a try', () => {
  const asked = { kpa: 50, areaCm2: 2, pressMs: 1600, restMs: 800, count: 3 };
  const of = (kind: 'glide' | 'circle' | 'hold', motion: string) =>
    keptScore(
      kind,
      { aim: aimOf('medium'), wanted: wantedOf({ ...asked, motion }) },
      worked('steady', { ...asked, motion }),
    );
  test('a stroke is told of strokes, rounds of circles, neither of a hold', () => {
    const glide = of('glide', 'glide');
    expect([glide.asked, glide.pressesKpa.length, glide.rounds]).toEqual([3, 3, null]);
    // 40 mm to the right, bent by a sine of 1.5 mm.
    expect(glide.stroke!.directionDegrees < 5 || glide.stroke!.directionDegrees > 355).toBe(true);
    expect(glide.stroke!.offLineMm).toBeLessThan(1.6);
    expect(of('circle', 'circle').rounds).toMatchObject({ isClockwise: true });
    expect(of('hold', 'hold')).toMatchObject({ stroke: null, rounds: null });
  });
});

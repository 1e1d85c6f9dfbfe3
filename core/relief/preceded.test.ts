import { describe, expect, test } from 'vitest';
import { drawnToNought, helpedBy, named, precededOf, type RunDone } from './preceded.ts';
import type { CoursePoint } from './ratings.ts';

const DAY = 86_400_000;
/** A rating a day, easier by two on the day after `helps` was used, on every third day; `always` each day. */
const points = Array.from({ length: 30 }, (_, day): CoursePoint => ({
  day,
  value: day % 3 === 1 ? 3 : 5,
  setting: 'home',
}));
const run = (day: number, ...techniques: string[]): RunDone => ({ atMs: (day + 0.5) * DAY, techniques });
const every = (n: number, ...techniques: string[]) =>
  Array.from({ length: 29 }, (_, day) => run(day, 'always', ...(day % 3 === 0 ? techniques : []))).slice(0, n);
const of = (runs: readonly RunDone[], some: readonly CoursePoint[] = points) => precededOf(some, 0, 0, runs);
const row = (told: ReturnType<typeof of>, technique: string) =>
  told.rows.find((r) => r.techniques.includes(technique))!;

describe('what came before easier days', () => {
  test('is told of what was used and left out, with an interval below nought', () => {
    const told = of(every(29, 'helps'));
    expect(told.uses).toBe(29);
    const helps = row(told, 'helps');
    expect(helps).toMatchObject({ uses: 10, without: 19 });
    expect(helps.effect).toBeLessThan(-1.5);
    expect(helps.high).toBeLessThan(0);
    expect(helps.low! + helps.high!).toBeCloseTo(2 * helps.effect!, 9);
  });
  test('not of what was always used: nothing to hold it against', () =>
    expect(row(of(every(29, 'helps')), 'always')).toMatchObject({ uses: 29, without: 0, effect: null, low: null }));
  test('four uses are enough, three are too few; so are three times without', () => {
    const rare = (uses: number) =>
      Array.from({ length: 29 }, (_, day) => run(day, 'always', ...(day % 7 === 0 && day < 7 * uses ? ['rare'] : [])));
    expect(row(of(rare(4)), 'rare')).toMatchObject({ uses: 4, effect: expect.any(Number) as number });
    expect(row(of(rare(3)), 'rare')).toMatchObject({ uses: 3, effect: null });
    const often = (without: number) =>
      Array.from({ length: 29 }, (_, day) =>
        run(day, 'always', ...(day % 7 === 0 && day < 7 * without ? [] : ['often'])),
      );
    expect(row(of(often(4)), 'often')).toMatchObject({ without: 4, effect: expect.any(Number) as number });
    expect(row(of(often(3)), 'often')).toMatchObject({ without: 3, effect: null });
  });
  test('what was always used together is one row, and a proposal hears nothing of either', () => {
    const told = of(every(29, 'one', 'two'));
    expect(row(told, 'one').techniques).toEqual(['one', 'two']);
    expect(row(told, 'one').effect).not.toBeNull();
    expect(helpedBy(told, { pairs: 0, meanSquare: 0 })).toEqual([]);
  });
  test('what stands in for each other cannot be told apart', () => {
    const told = of(Array.from({ length: 29 }, (_, day) => run(day, day % 3 ? 'other' : 'helps')));
    expect(row(told, 'helps').effect).toBeNull();
    expect(row(told, 'other').effect).toBeNull();
  });
  test('what was done between two ratings is one use; what lies more than three days from a rating is none', () => {
    const twice = of([run(3, 'a'), { atMs: 3.7 * DAY, techniques: ['b'] }]);
    expect(twice.uses).toBe(1);
    expect(row(twice, 'a').techniques).toEqual(['a', 'b']);
    const sparse = [0, 3, 10].map((day): CoursePoint => ({ day, value: 5, setting: 'home' }));
    expect(of([{ atMs: 0, techniques: ['a'] }], sparse).uses).toBe(1);
    expect(of([{ atMs: 3 * DAY, techniques: ['a'] }], sparse).uses).toBe(0);
    expect(of([{ atMs: 6.5 * DAY, techniques: ['a'] }], sparse).uses).toBe(0);
    expect(of([run(40, 'a')]).uses).toBe(0);
  });
  test('a rating of the moment of the run lies before it', () =>
    expect(of([{ atMs: 5 * DAY, techniques: ['a'] }]).uses).toBe(1));
  test('its interval is that of Student’s t: 2.052 errors either side with 27 degrees of freedom (any table)', () => {
    // 29 uses less the constant and the one column that is asked.
    const helps = row(of(every(29, 'helps')), 'helps');
    expect((helps.high! - helps.effect!) / helps.error!).toBeCloseTo(2.052, 3);
  });
  test('fewer than four degrees of freedom tell nothing', () => {
    // Eight uses; each technique is used in four of them, and none repeats the others: with three four degrees are left.
    const bits = (use: number) => [use & 1, (use >> 1) & 1, (use >> 2) & 1, (use & 1) ^ ((use >> 1) & 1)];
    const told = (columns: number) =>
      of(
        Array.from({ length: 8 }, (_, use) =>
          run(use, 'always', ...['p', 'q', 'r', 's'].filter((_, k) => k < columns && bits(use)[k])),
        ),
        points.slice(0, 9),
      );
    expect(told(3).rows.filter((r) => r.uses === 4 && r.effect !== null)).toHaveLength(3);
    expect(told(4).rows.filter((r) => r.uses === 4 && r.effect === null)).toHaveLength(4);
    expect(told(4).variance).toBeNull();
  });
  test('ratings that hardly move are not taken for certainty: half of what was foretold to scatter stays', () => {
    const still = points.map((p) => ({ ...p, value: 5 }));
    const told = of(every(29, 'helps'), still);
    // The least scatter that any of the models has is 0.6 × 0.6 points: a quarter of its square.
    expect(told.variance).toBeGreaterThan(0.25 * 0.36 ** 2);
    expect(row(told, 'helps').low).toBeLessThan(-0.05);
  });
  test('nothing of no ratings', () => expect(of(every(9, 'a'), [])).toEqual({ uses: 0, variance: null, rows: [] }));
});

describe('drawn towards nought', () => {
  const effect = { effect: -1, error: 0.5 };
  test('by nine uses’ worth until twenty pairs are known, then by the spread of the practice, within bounds', () => {
    // Worth 2 ÷ 0.25 = 8 uses: −1 · 8 ÷ (8 + 9).
    expect(drawnToNought(effect, 2, { pairs: 19, meanSquare: 99 })).toBeCloseTo(-8 / 17, 12);
    // 2 ÷ 0.25 = 8; 2 ÷ 0.05 = 40; 2 ÷ 9 held at 4; and 40 at most.
    expect(drawnToNought(effect, 2, { pairs: 20, meanSquare: 0.25 })).toBeCloseTo(-8 / 16, 12);
    expect(drawnToNought(effect, 2, { pairs: 20, meanSquare: -1 })).toBeCloseTo(-8 / 48, 12);
    expect(drawnToNought(effect, 2, { pairs: 20, meanSquare: 9 })).toBeCloseTo(-8 / 12, 12);
    expect(drawnToNought({ effect: -1, error: 1 }, 4, { pairs: 20, meanSquare: 0.01 })).toBeCloseTo(-4 / 44, 12);
  });
  test('a proposal takes the fall that is shown, with the error of the plain estimate', () => {
    const told = of(every(29, 'helps'));
    const spread = { pairs: 0, meanSquare: 0 };
    const shown = named(told, spread, (id) => id.toUpperCase())!.rows.find((r) => r.names[0] === 'HELPS')!.shown!;
    expect(helpedBy(told, spread)).toEqual([
      { technique: 'helps', effect: -shown, standardError: row(told, 'helps').error },
    ]);
    expect(Math.abs(shown)).toBeLessThan(Math.abs(row(told, 'helps').effect!));
  });
  test('names nothing where nothing was used', () =>
    expect(named(of([]), { pairs: 0, meanSquare: 0 }, String)).toBeNull());
});

import { expect, test } from 'vitest';
import { doneRibbon } from './done-ribbon.ts';
import type { StepRecord } from './run-record.ts';

const step = (
  doneSeconds: number,
  ...work: [StepRecord['work'][number]['side'], 'light' | 'medium' | null, number][]
) =>
  ({
    doneSeconds,
    work: work.map(([side, pressure, seconds]) => ({ side, pressure, seconds, counts: 0 })),
  }) as StepRecord;

test('what was done lies behind what finding the place took, right above, left below, as tall as it was firm', () => {
  const { bands, seconds } = doneRibbon([step(40, ['right', 'light', 20], ['left', 'medium', 15])]);
  expect(seconds).toBe(40);
  // 5 s of finding, then 20 s right at rank 2 of 5, then 15 s left at rank 3: two seconds of air after each.
  expect(bands).toEqual([
    { rank: 2, path: 'M5 -2h18v2h-18z' },
    { rank: 3, path: 'M25 0h13v3h-13z' },
  ]);
});
test('both sides stand on either side of the line; breath is a thin line; what was not worked is not drawn', () => {
  const { bands, seconds } = doneRibbon([step(10, ['both', 'light', 10]), step(30, ['midline', null, 30]), step(4)]);
  expect(bands.map((b) => b.rank)).toEqual([0, 2]);
  expect(bands[1]!.path).toBe('M0 -2h8v4h-8z');
  expect(seconds).toBe(44);
  expect(doneRibbon([])).toEqual({ bands: [], seconds: 0 });
});

import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { CHANGED, runTrial, type Trial, UNCHANGED } from '../../scripts/lib/relief-trials.ts';

/** What the method does on made-up clients, worked out elsewhere on 4000 other ones: per cent. */
const { operatingCharacteristics } = JSON.parse(
  readFileSync(new URL('./relief-check.json', import.meta.url), 'utf8'),
) as {
  operatingCharacteristics: { rows: { name: string; better: { ever: number }; worse: { ever: number } }[] };
};
const CLIENTS = 250;

/** Two standard errors of ours and of theirs together; of a share near nought at least that of one in three hundred. */
const tolerance = (percent: number): number => {
  const variance = Math.max(0.3, percent) * (100 - Math.max(0.3, percent));
  return 2 * Math.sqrt(variance / CLIENTS + variance / 4000);
};
const of = (trials: readonly Trial[], name: string): Trial => trials.find((t) => t.name === name)!;

describe('how often the method errs, against the table of the method', () => {
  test.each([
    'no change',
    'no change, 4 before',
    'no change, correlation 0.6, 4 before',
    'no change, level 8.5, 4 before',
    'no change, level 1.5, 4 before',
    'selection, 4 before',
    'selection, daily, correlation 0.6, 1 before',
  ])('%s: better and worse are told as often', (name) => {
    const wanted = operatingCharacteristics.rows.find((r) => r.name === name)!;
    const got = runTrial(of(UNCHANGED, name), CLIENTS);
    expect(Math.abs(got.ever.better - wanted.better.ever)).toBeLessThan(tolerance(wanted.better.ever));
    expect(Math.abs(got.ever.worse - wanted.worse.ever)).toBeLessThan(tolerance(wanted.worse.ever));
  });
  test('a fall from 7 to 3 after four ratings is seen by the twelfth and still there at the end', () => {
    const got = runTrial(of(CHANGED, 'step 7 to 3, 4 before'), CLIENTS);
    expect(got.betterBy12).toBeGreaterThanOrEqual(95 - tolerance(95));
    expect(got.end.better).toBeGreaterThanOrEqual(95 - tolerance(95));
    expect(got.ever.worse).toBe(0);
  });
  test('a rise from 4 to 7 after four ratings is called worse, and never better', () => {
    const got = runTrial(of(CHANGED, 'step 4 to 7, 4 before'), CLIENTS);
    expect(got.ever.worse).toBeGreaterThanOrEqual(80 - tolerance(80));
    expect(got.ever.better).toBe(0);
  });
});

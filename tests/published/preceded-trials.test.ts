import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { PRECEDED_TRIALS, runPrecededTrial, TRUTH } from '../../scripts/lib/preceded-trials.ts';

/** What the method does on made-up clients, worked out elsewhere on 2000 other ones. */
const { cameBefore } = JSON.parse(readFileSync(new URL('./relief-check.json', import.meta.url), 'utf8')) as {
  cameBefore: {
    case: string;
    coverage: number[];
    meanRaw: number[];
    meanShrunk: number[];
    rmseRaw: number[];
    rmseShrunk: number[];
    halfWidth: number[];
  }[];
};
const CLIENTS = 250;

describe('what came before easier days, against the table of the method', () => {
  test.each(PRECEDED_TRIALS.map((t) => [t.name, t] as const))(
    '%s: intervals, means and errors are as told',
    (name, t) => {
      const wanted = cameBefore.find((c) => c.case === name)!;
      const got = runPrecededTrial(t, CLIENTS);
      TRUTH.forEach((_, k) => {
        // Two standard errors of ours; theirs are a third of it.
        const share = wanted.coverage[k]!;
        const least = share - 2 * Math.sqrt((share * (100 - share)) / CLIENTS + (share * (100 - share)) / 2000);
        expect(got.coverage[k]!, `cover of ${TRUTH[k]}`).toBeGreaterThan(least);
        const ofMean = (spread: number) => 2 * Math.sqrt((spread * spread) / CLIENTS + (spread * spread) / 2000);
        expect(Math.abs(got.meanPlain[k]! - wanted.meanRaw[k]!)).toBeLessThan(ofMean(wanted.rmseRaw[k]!));
        expect(Math.abs(got.meanDrawn[k]! - wanted.meanShrunk[k]!)).toBeLessThan(ofMean(wanted.rmseShrunk[k]!));
        // A root mean square of n normals has a relative error of 1/√(2n).
        expect(Math.abs(got.errorPlain[k]! / wanted.rmseRaw[k]! - 1)).toBeLessThan(2 / Math.sqrt(2 * CLIENTS) + 0.03);
        expect(Math.abs(got.errorDrawn[k]! / wanted.rmseShrunk[k]! - 1)).toBeLessThan(
          2 / Math.sqrt(2 * CLIENTS) + 0.03,
        );
        expect(Math.abs(got.halfWidth[k]! / wanted.halfWidth[k]! - 1)).toBeLessThan(0.06);
      });
    },
  );
});

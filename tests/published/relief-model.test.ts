import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { Mixture } from '../../core/relief/mixture.ts';
import { COMPONENTS, Filter, type Update, LEVEL, smoothedLevels } from '../../core/relief/state.ts';

/** Values of the method, worked out elsewhere by a filter and by one dense solution: `note` says what each is. */
const CHECK = JSON.parse(readFileSync(new URL('./relief-check.json', import.meta.url), 'utf8')) as {
  components: { sb: number; tau: number; sw: number; J: number; q: number; prior: number }[];
  gaussian: {
    ratings: { day: number; value: number; beforeWork: boolean; otherSetting: boolean }[];
    workStart: number;
    components: {
      index: number;
      logLikelihood: number;
      filteredLevel: [number, number][];
      smoothedLevel: [number, number][];
      change: number[];
      changeSd: number[];
    }[];
    mixture: {
      logLikelihood: number;
      weights: number[];
      change: number;
      changeSd: number;
      smoothedLevel: [number, number][];
    };
  }[];
};
const NEAR = 8;
/** A standard deviation that is nought is the root of what rounding left of a variance. */
const nearSd = (actual: number, wanted: number) => expect(Math.abs(actual - wanted)).toBeLessThan(wanted ? 1e-8 : 1e-6);

describe('the models side by side, against values worked out elsewhere', () => {
  test('are the 24 that are meant', () =>
    CHECK.components.forEach((c, i) => {
      const { slowSd, slowDays, ratingSd, jump, driftPerDay, weight } = COMPONENTS[i]!;
      [slowSd, slowDays, ratingSd, jump, driftPerDay, weight].forEach((v, j) =>
        expect(v).toBeCloseTo([c.sb, c.tau, c.sw, c.J, c.q, c.prior][j]!, 12),
      );
    }));
  test.each(CHECK.gaussian.map((g, i) => [i, g] as const))('course %i without nought and ten', (_, g) => {
    const readings = g.ratings.map((r) => ({ day: r.day, value: r.value, other: r.otherSetting }));
    for (const wanted of g.components) {
      const filter = new Filter(COMPONENTS[wanted.index]!, g.workStart, false);
      const updates: Update[] = [];
      readings.forEach((reading, i) => {
        expect(reading.day <= g.workStart).toBe(g.ratings[i]!.beforeWork);
        updates.push(filter.take(reading, true)!);
        expect(filter.mean[LEVEL]).toBeCloseTo(wanted.filteredLevel[i]![0], NEAR);
        nearSd(Math.sqrt(filter.variance(LEVEL)), wanted.filteredLevel[i]![1]);
        expect(filter.change).toBeCloseTo(wanted.change[i]!, NEAR);
        nearSd(Math.sqrt(filter.changeVariance), wanted.changeSd[i]!);
      });
      expect(filter.logLikelihood).toBeCloseTo(wanted.logLikelihood, NEAR);
      smoothedLevels(updates).forEach(({ mean, variance }, i) => {
        expect(mean).toBeCloseTo(wanted.smoothedLevel[i]![0], NEAR);
        nearSd(Math.sqrt(variance), wanted.smoothedLevel[i]![1]);
      });
    }
    const mixture = new Mixture(g.workStart, false);
    for (const reading of readings) mixture.take(reading, true);
    expect(mixture.logLikelihood).toBeCloseTo(g.mixture.logLikelihood, NEAR);
    mixture.weights.forEach((w, k) => expect(w).toBeCloseTo(g.mixture.weights[k]!, NEAR));
    expect(mixture.change.mean).toBeCloseTo(g.mixture.change, NEAR);
    nearSd(mixture.change.sd, g.mixture.changeSd);
    mixture.smoothed().forEach(({ mean, sd }, i) => {
      expect(mean).toBeCloseTo(g.mixture.smoothedLevel[i]![0], NEAR);
      nearSd(sd, g.mixture.smoothedLevel[i]![1]);
    });
  });
});

import {
  dayPattern,
  distress,
  eyeStrainTally,
  globalChange,
  goalAttainment,
  gradedPain,
  headacheDaysPer28,
  headacheDisabilityDays,
  headacheImpact,
  isHeadacheResponder,
  jawLimitation20,
  jawLimitation8,
  KPA_PER_NEWTON_PER_CM2,
  kpaFrom,
  kpaFromGauge,
  mean,
  medicineLimits,
  NEWTON_PER_KGF,
  NEWTON_PER_LBF,
  newtonFrom,
  ocularSurface,
  oralBehaviours,
  ownActivities,
  ownSymptomProfile,
  perceivedStress10,
  perceivedStress4,
  pressureThreshold,
  screenBreaks,
  smallestChange,
  sum,
  tendernessTotal,
  weeklyScreenHours,
} from '../../core/measures/index.ts';
import { InputError } from '../../core/words/index.ts';
import { describe, expect, test } from 'vitest';
import { jStat } from 'jstat';
import { mean as meanByLibrary, sum as sumByLibrary } from 'simple-statistics';

/**
 * Worked examples of the scoring rules, computed apart from this program from the published formulas. Each block names
 * where its rule was published.
 */
describe('graded chronic pain 2.0 (Von Korff et al. Pain 1992;50:133–149; DC/TMD scoring)', () => {
  test.each([
    [60, [3, 6, 4], 0, [1, 1, 0], 43.33, 6.67, 0, 0, 1],
    [120, [5, 8, 6], 1, [2, 3, 2], 63.33, 23.33, 0, 0, 2],
    [90, [4, 7, 5], 4, [4, 5, 3], 53.33, 40, 2, 1, 3],
    [180, [7, 9, 8], 10, [7, 8, 7], 80, 73.33, 3, 3, 4],
    [45, [2, 5, 3], 2, [5, 5, 5], 33.33, 50, 1, 2, 3],
    [30, [5, 5, 5], 3, [2, 3, 3], 50, 26.67, 2, 0, 2],
    [100, [6, 6, 5], 6, [5, 5, 5], 56.67, 50, 3, 2, 4],
    [100, [4, 5, 5], 5, [8, 7, 6], 46.67, 70, 2, 3, 4],
    [0, [0, 0, 0], 0, [0, 0, 0], 0, 0, 0, 0, 0],
  ] as const)(
    '%s days, %j, %s, %j',
    (daysInSixMonths, pain, daysKept, interference, cpi, int, dayPoints, interferencePoints, grade) => {
      const scored = gradedPain({ daysInSixMonths, pain, daysKept, interference });
      if (!scored.scorable) throw new Error(scored.why);
      expect(scored.intensity).toBeCloseTo(cpi, 2);
      expect(scored.interference).toBeCloseTo(int, 2);
      expect(scored).toMatchObject({
        dayPoints,
        interferencePoints,
        disabilityPoints: dayPoints + interferencePoints,
        grade,
        suggestCare: grade >= 3,
      });
    },
  );
  test('one answer missing makes no score; one out of range is refused', () => {
    expect(gradedPain({ daysInSixMonths: 10, pain: [3, null, 4], daysKept: 0, interference: [1, 1, 1] })).toMatchObject(
      { scorable: false },
    );
    expect(() => gradedPain({ daysInSixMonths: 181, pain: [3, 3, 4], daysKept: 0, interference: [1, 1, 1] })).toThrow(
      InputError,
    );
    expect(() => gradedPain({ daysInSixMonths: 10, pain: [3, 11, 4], daysKept: 0, interference: [1, 1, 1] })).toThrow(
      /answers\[1\]/,
    );
  });
});

describe('jaw limitation (Ohrbach, Larsson, List. J Orofac Pain 2008;22:219–230)', () => {
  const long = [5, 4, 3, 4, 2, 1, 6, 4, 2, 1, 0, 4, 2, 1, 1, 1, 0, 2, 1, 2];
  test('eight items', () => {
    expect(jawLimitation8([3, 2, 0, 1, 0, 4, 1, 0])).toEqual({ scorable: true, score: 1.375 });
    const two = jawLimitation8([5, 4, 1, null, 0, 6, 2, 1]);
    expect(two.scorable && two.score).toBeCloseTo(2.714, 3);
    expect(jawLimitation8([5, null, 1, null, null, 6, 2, 1])).toMatchObject({ scorable: false });
    expect(jawLimitation8([5, 3, 1, 1, 0, 4, 2, 1])).toEqual({ scorable: true, score: 2.125 });
  });
  test('twenty items: the whole is the mean of its three parts, not of the items', () => {
    const scored = jawLimitation20(long);
    if (!scored.scorable) throw new Error(scored.why);
    expect(scored.chewing).toBeCloseTo(3.167, 3);
    expect(scored.mobility).toBeCloseTo(3.25, 9);
    expect(scored.expression).toBeCloseTo(1.25, 9);
    expect(scored.score).toBeCloseTo(2.556, 3);
    expect(scored.score).not.toBeCloseTo(meanByLibrary(long), 2);
  });
});

describe('oral behaviours (Markiewicz et al. J Orofac Pain 2006;20:306–316)', () => {
  const of = (total: number) => Array.from({ length: 21 }, (_, i) => Math.min(4, Math.max(0, total - i * 4)));
  test.each([
    [14, 'ordinary'],
    [16, 'ordinary'],
    [17, 'raised'],
    [24, 'raised'],
    [25, 'high'],
    [84, 'high'],
  ] as const)('%s: %s', (score, band) => expect(oralBehaviours(of(score))).toEqual({ scorable: true, score, band }));
});

describe('headache days (arithmetic of ICHD-3, Cephalalgia 2018;38:1–211)', () => {
  test('per 28 days, and whether enough was recorded', () => {
    expect(headacheDaysPer28(9, 26).per28).toBeCloseTo(9.69, 2);
    expect(headacheDaysPer28(9, 26).enoughRecorded).toBe(true);
    expect(headacheDaysPer28(5, 21).per28).toBeCloseTo(6.67, 2);
    expect(headacheDaysPer28(5, 21).enoughRecorded).toBe(false);
    expect(() => headacheDaysPer28(9, 8)).toThrow(InputError);
  });
  test('responders', () =>
    expect([isHeadacheResponder(12, 6), isHeadacheResponder(9, 5), isHeadacheResponder(0, 0)]).toEqual([
      true,
      false,
      false,
    ]));
  test('patterns', () =>
    expect([dayPattern(14.9), dayPattern(15), dayPattern(0.5)]).toEqual(['frequent', 'on most days', 'rare']));
  test('medicine days', () =>
    expect(medicineLimits({ other: 10, simple: 14 })).toEqual({
      otherReached: true,
      simpleReached: false,
      suggestTalk: true,
    }));
  test.each([
    [[3, 4, 2, 5, 1], 15, 3],
    [[5, 0, 0, 0, 0], 5, 1],
    [[6, 0, 0, 0, 0], 6, 2],
    [[10, 0, 0, 0, 0], 10, 2],
    [[20, 0, 0, 0, 0], 20, 3],
    [[21, 0, 0, 0, 0], 21, 4],
  ] as const)('disability days %j: %s, grade %s (Stewart et al. Neurology 2001)', (counts, score, grade) =>
    expect(headacheDisabilityDays(counts)).toEqual({ scorable: true, score, grade }),
  );
  test.each([
    [57, 'substantial'],
    [60, 'severe'],
    [36, 'little'],
    [52, 'some'],
  ] as const)('impact %s: %s (Kosinski et al. 2003)', (total, band) =>
    expect(headacheImpact(total)).toEqual({ score: total, band }),
  );
  test('37 cannot be reached', () => expect(() => headacheImpact(37)).toThrow(InputError));
});

describe('eye strain', () => {
  const tally = (given: [number, number][]) =>
    eyeStrainTally(
      Array.from({ length: 16 }, (_, i) => ({ frequency: given[i]?.[0] ?? 0, intensity: given[i]?.[1] ?? 0 })),
    );
  test.each([
    [[], 0, false],
    [
      [
        [1, 1],
        [1, 2],
        [2, 1],
        [1, 1],
        [1, 1],
      ],
      5,
      false,
    ],
    [
      [
        [2, 2],
        [2, 1],
        [1, 1],
        [1, 2],
        [1, 1],
      ],
      6,
      true,
    ],
    [
      [
        [2, 2],
        [2, 2],
        [2, 2],
      ],
      6,
      true,
    ],
    [
      [
        [2, 2],
        [2, 2],
        [2, 2],
        [2, 2],
        [1, 1],
        [1, 1],
        [1, 1],
        [1, 1],
        [1, 2],
        [2, 1],
        [2, 1],
        [2, 1],
      ],
      16,
      true,
    ],
    [Array.from({ length: 16 }, () => [2, 2]), 32, true],
  ] as [[number, number][], number, boolean][])(
    'tally %j: %s (Seguí et al. J Clin Epidemiol 2015)',
    (given, score, reached) => expect(tally(given)).toEqual({ scorable: true, score, reached }),
  );
  test.each([
    [20, 12, 41.67, 'severe'],
    [9, 10, 22.5, 'mild'],
    [4, 8, 12.5, 'ordinary'],
    [11, 12, 22.92, 'mild'],
    [48, 12, 100, 'severe'],
  ] as const)('surface %s of %s items: %s, %s (Schiffman et al. 2000)', (total, n, score, band) => {
    const scored = ocularSurface(total, n);
    if (!scored.scorable) throw new Error(scored.why);
    expect(scored.score).toBeCloseTo(score, 2);
    expect(scored.band).toBe(band);
  });
  test('nothing answered is not scorable', () => expect(ocularSurface(0, 0)).toMatchObject({ scorable: false }));
  test.each([
    [480, 24, 480, 23],
    [255, 12, 240, 12],
    [19, 0, 0, 0],
    [20, 1, 20, 0],
    [60, 3, 60, 2],
  ] as const)('%s minutes: %s breaks', (minutes, breaks, restSeconds, withoutLast) =>
    expect(screenBreaks(minutes)).toEqual({ breaks, restSeconds, withoutLast }),
  );
  test('hours of a week', () => expect(weeklyScreenHours(8.5, 3)).toBeCloseTo(6.93, 2));
});

describe('perceived stress (Cohen et al. 1983, 1988)', () => {
  test.each([
    [[2, 1, 3, 2, 3, 2, 1, 2, 3, 2], 21, 'moderate', 6],
    [Array<number>(10).fill(0), 16, 'moderate', 8],
    [Array<number>(10).fill(4), 24, 'moderate', 8],
    [[1, 1, 1, 3, 3, 1, 3, 3, 1, 1], 10, 'low', 4],
    [[3, 4, 3, 1, 1, 3, 1, 0, 3, 4], 33, 'high', 14],
    [[0, 0, 0, 4, 4, 0, 4, 4, 0, 0], 0, 'low', 0],
  ] as [number[], number, string, number][])('%j: %s %s, short form %s', (answers, score, band, short) => {
    expect(perceivedStress10(answers)).toMatchObject({ scorable: true, score, band });
    expect(perceivedStress4([1, 3, 4, 9].map((i) => answers[i]!))).toMatchObject({ scorable: true, score: short });
  });
  test('the same answer ten times asks to be checked', () =>
    expect(perceivedStress10(Array<number>(10).fill(2))).toMatchObject({ checkAnswers: true }));
  test('distress is a whole number from 0 to 10', () => {
    expect(distress(7)).toBe(7);
    for (const bad of [-1, 11, 2.5, NaN]) expect(() => distress(bad)).toThrow(InputError);
  });
});

describe('one’s own goals', () => {
  test('global change and its reversed variant (Guy 1976; Hurst, Bolton 2004)', () => {
    expect(globalChange(2, 'one-is-best').responder).toBe(true);
    expect(globalChange(3, 'one-is-best').responder).toBe(false);
    expect(globalChange(6, 'one-is-best')).toMatchObject({ responder: false, worse: true });
    expect(globalChange(6, 'seven-is-best')).toMatchObject({ responder: true, worse: false });
  });
  test('own activities (Stratford et al. 1995)', () => {
    const three = ownActivities([3, 4, 2], [6, 7, 4]);
    if (!three.scorable) throw new Error(three.why);
    expect(three.change).toBeCloseTo(2.67, 2);
    expect(three.beyondError).toBe(true);
    expect(ownActivities([2, 5, 4, 3], [4, 6, 5, 4])).toMatchObject({
      before: 3.5,
      after: 4.75,
      change: 1.25,
      beyondError: false,
    });
    expect(ownActivities([3, 4], [6, 7, 9])).toMatchObject({ after: 6.5 });
  });
  test('own symptoms (Paterson. BMJ 1996)', () => {
    expect(ownSymptomProfile([4, 3, 5, 3], [2, 2, 3, 2])).toMatchObject({
      before: 3.75,
      after: 2.25,
      change: -1.5,
      size: 'meaningful',
    });
    const part = ownSymptomProfile([4, null, 5, 3], [3, null, 4, 3]);
    if (!part.scorable) throw new Error(part.why);
    expect(part.change).toBeCloseTo(-0.667, 3);
    expect(part.size).toBe('small');
    expect(ownSymptomProfile([4, null, 5, 3], [3, 2, 4, 3])).toMatchObject({ scorable: false });
  });
  test.each([
    [[[0, 1]], 50],
    [
      [
        [-1, 1],
        [-1, 1],
        [-1, 1],
      ],
      36.31,
    ],
    [
      [
        [1, 1],
        [0, 1],
        [1, 1],
      ],
      59.13,
    ],
    [
      [
        [0, 1],
        [1, 2],
        [-1, 1],
        [2, 3],
      ],
      63.94,
    ],
    [
      [
        [1, 3],
        [2, 1],
      ],
      64.56,
    ],
    [
      [
        [0, 4],
        [1, 2],
        [1, 6],
      ],
      58.81,
    ],
    [
      [
        [-2, 1],
        [-2, 1],
        [-2, 1],
      ],
      22.61,
    ],
    [
      [
        [2, 1],
        [2, 1],
        [2, 1],
      ],
      77.39,
    ],
  ] as [[number, number][], number][])('goal attainment %j: %s (Kiresuk, Sherman 1968)', (goals, t) =>
    expect(goalAttainment(goals.map(([attained, weight]) => ({ attained, weight })))).toBeCloseTo(t, 2),
  );
});

describe('pressure-pain threshold and its units', () => {
  test('exact constants (SI; 1 kgf = 9.80665 N)', () => {
    expect(NEWTON_PER_KGF).toBe(9.80665);
    expect(kpaFromGauge(1, 'kgf', 1)).toBeCloseTo(98.0665, 10);
    expect(KPA_PER_NEWTON_PER_CM2).toBe(10);
    expect(NEWTON_PER_LBF).toBe(4.4482216152605);
    expect(kpaFromGauge(2, 'kgf', 1)).toBeCloseTo(196.133, 9);
    expect(kpaFromGauge(3, 'lbf', 2)).toBeCloseTo((3 * 4.4482216152605 * 10) / 2, 9);
    expect([1, 1.5, 2].map((cm2) => kpaFrom(0.5 * NEWTON_PER_KGF, cm2).toFixed(2))).toEqual([
      '49.03',
      '32.69',
      '24.52',
    ]);
    expect(newtonFrom(kpaFrom(7.3, 1.4), 1.4)).toBeCloseTo(7.3, 12);
  });
  const trials = (...kpa: number[]) => kpa.map((k) => ({ kpa: k, rampKpaPerSecond: 40 }));
  test('the mean of the second and third trial', () => {
    const threshold = pressureThreshold(trials(212, 188, 194));
    expect(threshold.kpa).toBe(191);
    expect(threshold.kgf).toBeCloseTo(1.948, 3);
    expect(threshold.newton).toBeCloseTo(19.1, 9);
    expect(threshold).toMatchObject({ unsteady: false, rampOff: false });
  });
  test('trials that differ by more than a fifth, and ramps outside 30–50 kPa/s, are told', () => {
    expect(pressureThreshold(trials(200, 150, 200)).unsteady).toBe(true);
    expect(pressureThreshold([{ kpa: 200, rampKpaPerSecond: 70 }, ...trials(190, 195)]).rampOff).toBe(true);
    expect(() => pressureThreshold(trials(200, 190))).toThrow(InputError);
    expect(() => pressureThreshold(trials(200, 190, 0))).toThrow(/trials\[2\]/);
  });
  test('smallest change from SD 25 kPa and ICC 0.88; normal quantiles cross-checked with jStat', () => {
    const { sem, mdc95, mdc90 } = smallestChange(25, 0.88);
    expect([sem.toFixed(2), mdc95.toFixed(2), mdc90.toFixed(2)]).toEqual(['8.66', '24.00', '20.15']);
    expect(jStat.normal.inv(0.975, 0, 1)).toBeCloseTo(1.96, 3);
    expect(jStat.normal.inv(0.95, 0, 1)).toBeCloseTo(1.645, 3);
  });
  test('total tenderness of 16 sites; a site not pressed makes no total (Langemark, Olesen 1987)', () => {
    const sites = [1, 2, 0, 1, 3, 2, 1, 1, 0, 0, 1, 2, 2, 1, 1, 0];
    expect(tendernessTotal(sites)).toEqual({ total: 18, mean: 18 / 16, tested: 16 });
    expect(tendernessTotal([null, ...sites.slice(1)])).toMatchObject({ total: null, tested: 15 });
  });
});

test('sums and means agree with simple-statistics', () => {
  const values = [3, 7, 2, 9, 4.5, 0];
  expect(sum(values)).toBe(sumByLibrary(values));
  expect(mean(values)).toBeCloseTo(meanByLibrary(values), 12);
});

import {
  type ItemAnswer,
  distress,
  eyeStrainTally,
  type EyeSymptom,
  globalChange,
  type Goal,
  goalAttainment,
  gradedPain,
  type GradedPainAnswers,
  headacheDaysPer28,
  headacheDisabilityDays,
  headacheImpact,
  jawLimitation20,
  jawLimitation8,
  medicineLimits,
  nrsChange,
  nrsScore,
  ocularSurface,
  openingFromFingers,
  openingFromRuler,
  oralBehaviours,
  ownActivities,
  ownSymptomProfile,
  perceivedStress10,
  perceivedStress4,
  pressureThreshold,
  smallestChange,
  tendernessTotal,
  type ThresholdTrial,
  TOTAL_SITES,
} from '../core/measures/index.ts';
import { InputError } from '../core/words/index.ts';

type Given = Record<string, unknown>;
const list = <T>(given: Given, field: string): T[] => {
  if (!Array.isArray(given[field])) throw new InputError(field, 'a list is accepted');
  return given[field] as T[];
};
const number = (given: Given, field: string): number => {
  if (typeof given[field] !== 'number') throw new InputError(field, 'a number is accepted');
  return given[field];
};
const numberOrNull = (given: Given, field: string): number | null =>
  given[field] === null || given[field] === undefined ? null : number(given, field);

/** Every measure that can be scored from the command line, by its name. */
export const SCORES: Readonly<Record<string, (given: Given) => unknown>> = {
  nrs: (g) => nrsChange(nrsScore(g.baseline, 'baseline'), nrsScore(g.followUp, 'followUp')),
  opening: (g) =>
    'fits' in g
      ? openingFromFingers(list(g, 'widthsMm'), number(g, 'fits'))
      : openingFromRuler(number(g, 'distanceMm'), numberOrNull(g, 'overlapMm') ?? 0),
  'graded-pain': (g) =>
    gradedPain({
      daysInSixMonths: numberOrNull(g, 'daysInSixMonths'),
      daysKept: numberOrNull(g, 'daysKept'),
      pain: list(g, 'pain'),
      interference: list(g, 'interference'),
    } satisfies GradedPainAnswers),
  'jaw-limitation-8': (g) => jawLimitation8(list<ItemAnswer>(g, 'answers')),
  'jaw-limitation-20': (g) => jawLimitation20(list<ItemAnswer>(g, 'answers')),
  'oral-behaviours': (g) => oralBehaviours(list<ItemAnswer>(g, 'answers')),
  'headache-days': (g) => headacheDaysPer28(number(g, 'headacheDays'), number(g, 'recordedDays')),
  'medicine-days': (g) => medicineLimits({ simple: number(g, 'simple'), other: number(g, 'other') }),
  'headache-disability': (g) => headacheDisabilityDays(list<ItemAnswer>(g, 'answers')),
  'headache-impact': (g) => headacheImpact(number(g, 'total')),
  'eye-strain': (g) => eyeStrainTally(list<EyeSymptom | null>(g, 'symptoms')),
  'ocular-surface': (g) => ocularSurface(number(g, 'total'), number(g, 'itemsAnswered')),
  'stress-10': (g) => perceivedStress10(list<ItemAnswer>(g, 'answers')),
  'stress-4': (g) => perceivedStress4(list<ItemAnswer>(g, 'answers')),
  distress: (g) => ({ value: distress(number(g, 'value')) }),
  'global-change': (g) =>
    globalChange(number(g, 'value'), g.variant === 'seven-is-best' ? 'seven-is-best' : 'one-is-best'),
  'own-activities': (g) => ownActivities(list<number>(g, 'before'), list<ItemAnswer>(g, 'after')),
  'own-symptoms': (g) => ownSymptomProfile(list<ItemAnswer>(g, 'before'), list<ItemAnswer>(g, 'after')),
  'goal-attainment': (g) => ({ t: goalAttainment(list<Goal>(g, 'goals')) }),
  'pressure-threshold': (g) => pressureThreshold(list<ThresholdTrial>(g, 'trials'), numberOrNull(g, 'areaCm2') ?? 1),
  'smallest-change': (g) => smallestChange(number(g, 'sd'), number(g, 'reliability')),
  tenderness: (g) => {
    const sites = list<number | null>(g, 'sites');
    if (sites.length !== TOTAL_SITES)
      throw new InputError('sites', `${TOTAL_SITES} sites are accepted, null for one that was not pressed`);
    return tendernessTotal(sites);
  },
};

import { InputError } from '../words/index.ts';
import { answered, missingOf, sum, wholeAnswers, type ItemAnswer, type Scored } from './answers.ts';

/**
 * Headache as counts of days; nothing here names a condition. Day patterns and medicine limits follow the arithmetic
 * of ICHD-3 (Cephalalgia 2018;38:1–211; sure), in our own words.
 */
export type DayPattern = 'rare' | 'frequent' | 'on most days';

const days = (value: number, field: string, most: number): number => {
  if (!Number.isFinite(value) || value < 0 || value > most)
    throw new InputError(field, `0 to ${most} days are accepted`);
  return value;
};

/** Headache days per 28, from a diary; needs 23 of 28 days recorded (80 %, our choice after trial practice). */
export function headacheDaysPer28(
  headacheDays: number,
  recordedDays: number,
): { per28: number; enoughRecorded: boolean } {
  days(recordedDays, 'recordedDays', 28);
  if (!Number.isInteger(recordedDays) || recordedDays < 1)
    throw new InputError('recordedDays', 'a whole number from 1 to 28 is accepted');
  if (!Number.isInteger(headacheDays) || headacheDays < 0 || headacheDays > recordedDays)
    throw new InputError('headacheDays', `a whole number from 0 to ${recordedDays} is accepted`);
  return { per28: (headacheDays * 28) / recordedDays, enoughRecorded: recordedDays >= 23 };
}

/** Pattern by days a month: under 1, 1 to under 15, 15 and more. */
export const dayPattern = (daysPerMonth: number): DayPattern =>
  days(daysPerMonth, 'daysPerMonth', 31) >= 15 ? 'on most days' : daysPerMonth >= 1 ? 'frequent' : 'rare';

/** At least half fewer headache days; whole numbers decide. */
export const isHeadacheResponder = (before: number, after: number): boolean =>
  before > 0 && (before - after) * 2 >= before;

/** Medicine days a month at which a talk with doctor or pharmacist is suggested. */
const MEDICINE_LIMITS = { simple: 15, other: 10 } as const;
export interface MedicineDays {
  /** Paracetamol, aspirin and the like. */
  simple: number;
  /** Triptans, ergots, opioids, combinations, or several kinds together. */
  other: number;
}
export function medicineLimits({ simple, other }: MedicineDays): {
  simpleReached: boolean;
  otherReached: boolean;
  suggestTalk: boolean;
} {
  const simpleReached = days(simple, 'simple', 31) >= MEDICINE_LIMITS.simple;
  const otherReached = days(other, 'other', 31) >= MEDICINE_LIMITS.other;
  return { simpleReached, otherReached, suggestTalk: simpleReached || otherReached };
}

/**
 * Days lost to headache in three months: five counts added (Stewart et al. Neurology 2001;56 Suppl 1:S20–S28; sure).
 * The form needs permission: totals and counts are entered, its wording is not shipped.
 */
export function headacheDisabilityDays(counts: readonly ItemAnswer[]): Scored<{ score: number; grade: 1 | 2 | 3 | 4 }> {
  const all = wholeAnswers(counts, 5, 0, 92);
  if (missingOf(all)) return { scorable: false, why: 'all five counts are needed' };
  const score = sum(answered(all));
  return { scorable: true, score, grade: score >= 21 ? 4 : score >= 11 ? 3 : score >= 6 ? 2 : 1 };
}

const IMPACT_VALUES = [6, 8, 10, 11, 13];
const REACHABLE_IMPACT: ReadonlySet<number> = Array.from({ length: 6 }).reduce(
  (reached: Set<number>) => new Set([...reached].flatMap((r) => IMPACT_VALUES.map((v) => r + v))),
  new Set([0]),
);
export type ImpactBand = 'little' | 'some' | 'substantial' | 'severe';
/**
 * Headache impact from the total of a six-item form that needs a licence: 36–78 (Kosinski et al. Qual Life Res
 * 2003;12:963–974; sure). Only totals that six answers of 6, 8, 10, 11 or 13 can make are accepted.
 */
export function headacheImpact(total: number): { score: number; band: ImpactBand } {
  if (!REACHABLE_IMPACT.has(total))
    throw new InputError('total', 'a total that six answers of 6, 8, 10, 11 or 13 can make is accepted (36 to 78)');
  return { score: total, band: total >= 60 ? 'severe' : total >= 56 ? 'substantial' : total >= 50 ? 'some' : 'little' };
}

import { type ComplaintKind, InputError } from '../words/index.ts';
import type { ItemAnswer, Scored } from './answers.ts';
import type { MeasureRow } from './row.ts';
import { eyeStrainTally, ocularSurface } from './eye-strain.ts';
import { gradedPain, painContradiction } from './graded-pain.ts';
import { wilson } from './share.ts';
import { dayPattern, headacheDaysPer28, headacheDisabilityDays, headacheImpact, medicineLimits } from './headache.ts';
import { jawLimitation8, oralBehaviours } from './jaw-function.ts';
import { globalChange, goalAttainment } from './own-goals.ts';
import { distress, perceivedStress10, perceivedStress4 } from './stress.ts';

/** One thing that is answered. */
export type MeasureField = { key: string; label: string } & (
  | {
      kind: 'number';
      least: number;
      most: number;
      /** Words at both ends of a scale. */
      ends?: readonly [string, string];
      optional?: true;
      /** An optional one that other answers make necessary. */
      neededWhen?: (answers: MeasureAnswers) => boolean;
    }
  | { kind: 'words' }
);

export interface MeasureResult {
  /** Null when it cannot be scored. */
  value: number | null;
  /** As it is shown. */
  words: string;
  /** Licensed care is suggested. */
  suggestCare: boolean;
}

export type MeasureAnswers = Readonly<Record<string, number | string | null>>;

/** A measure of many answers that give one score. */
export interface MeasureDef extends MeasureRow {
  /** What it tells, and over which time. */
  about: string;
  /** Complaints it is proposed for. */
  serves: readonly ComplaintKind[];
  /** Whose it is. */
  credit: string;
  /** What is answered, in order. */
  fields: readonly MeasureField[];
  /** Raised when scoring changes, so that an old total stays what it was. */
  version: number;
  /** Two answers that cannot both be so: their keys and both in words; null where all go together. */
  contradiction?: (answers: MeasureAnswers) => { keys: readonly [string, string]; words: string } | null;
  /** Answers to result; throws InputError for answers that do not go together. */
  score: (answers: MeasureAnswers) => MeasureResult;
}

const scale = (
  key: string,
  label: string,
  least: number,
  most: number,
  ends?: readonly [string, string],
): MeasureField => ({ key, label, kind: 'number', least, most, ...(ends ? { ends } : {}) });
const items = (count: number, least: number, most: number): MeasureField[] =>
  Array.from({ length: count }, (_, i) => scale(`i${i + 1}`, `Item ${i + 1}`, least, most));
const number = (answers: MeasureAnswers, key: string): ItemAnswer =>
  typeof answers[key] === 'number' ? answers[key] : null;
const all = (answers: MeasureAnswers, count: number): ItemAnswer[] =>
  Array.from({ length: count }, (_, i) => number(answers, `i${i + 1}`));
const unanswered = (why = 'every question has to be answered'): MeasureResult => ({
  value: null,
  words: `Not scored: ${why}.`,
  suggestCare: false,
});
const scored = <T>(result: Scored<T>, told: (r: T) => MeasureResult): MeasureResult =>
  result.scorable ? told(result) : unanswered(result.why);
const told = (value: number, words: string, suggestCare = false): MeasureResult => ({ value, words, suggestCare });
const round = (v: number, digits = 1): string => String(Math.round(v * 10 ** digits) / 10 ** digits);

/** Letters of an answer in words. */
export const MOST_LETTERS = 120;
const PAIN_ENDS = ['none', 'worst imaginable'] as const;
const HINDERED_ENDS = ['not at all', 'unable to'] as const;

/** Measures that can be taken in Assess, in the order in which they are offered. */
export const QUESTIONNAIRES: readonly MeasureDef[] = [
  {
    id: 'distress',
    code: 'DISTRESS',
    unit: 'of 10',
    least: 0,
    most: 10,
    name: 'Distress now',
    about: 'How upset or tense, right now.',
    minutes: 1,
    serves: ['stress', 'headache', 'jaw', 'eye-strain', 'neck-tension'],
    licence: 'free',
    credit: 'after Wolpe 1969',
    better: 'down',
    error: null,
    matters: null,
    version: 1,
    fields: [scale('i1', 'Distress right now', 0, 10, ['none', 'the most'])],
    score: (a) =>
      number(a, 'i1') === null ? unanswered() : told(distress(number(a, 'i1')!), `${number(a, 'i1')} of 10`),
  },
  {
    id: 'graded-pain',
    code: 'GRADED_PAIN',
    unit: 'grade',
    least: 0,
    most: 4,
    name: 'Graded pain, 30 days',
    about: 'How strong and how limiting over 30 days.',
    minutes: 3,
    serves: ['jaw', 'headache', 'neck-tension'],
    licence: 'free',
    credit: 'Von Korff et al. 1992, version 2.0; topics in own words',
    better: 'down',
    error: null,
    matters: null,
    version: 1,
    fields: [
      scale('days', 'Days with this pain in the last six months', 0, 180),
      scale('now', 'Pain right now', 0, 10, PAIN_ENDS),
      scale('worst', 'Worst pain in 30 days', 0, 10, PAIN_ENDS),
      scale('average', 'Average pain in 30 days', 0, 10, PAIN_ENDS),
      scale('kept', 'Days in 30 on which it kept you from usual activities', 0, 30),
      scale('daily', 'Daily activities hindered', 0, 10, HINDERED_ENDS),
      scale('social', 'Leisure and company hindered', 0, 10, HINDERED_ENDS),
      scale('work', 'Work hindered', 0, 10, HINDERED_ENDS),
    ],
    contradiction: (a) => {
      const [days, now, worst, average, kept] = ['days', 'now', 'worst', 'average', 'kept'].map((k) => number(a, k));
      const against = painContradiction({ days: days!, now: now!, worst: worst!, average: average!, kept: kept! });
      return against && { keys: [against.field, against.other], words: against.words };
    },
    score: (a) =>
      scored(
        gradedPain({
          daysInSixMonths: number(a, 'days'),
          pain: ['now', 'worst', 'average'].map((k) => number(a, k)),
          daysKept: number(a, 'kept'),
          interference: ['daily', 'social', 'work'].map((k) => number(a, k)),
        }),
        (r) =>
          told(
            r.grade,
            `Grade ${['0', 'I', 'II', 'III', 'IV'][r.grade]}: ${r.words}. Intensity ${round(r.intensity)}, interference ${round(r.interference)} of 100.`,
            r.suggestCare,
          ),
      ),
  },
  {
    id: 'jaw-limitation-8',
    code: 'JAW_LIMITATION_8',
    unit: 'of 10',
    least: 0,
    most: 10,
    name: 'Jaw limitation, 8 items',
    about: 'What the jaw could not do, last month.',
    minutes: 2,
    serves: ['jaw'],
    licence: 'by-number',
    credit: 'Ohrbach, Larsson, List 2008; use the official form',
    better: 'down',
    error: null,
    matters: null,
    version: 1,
    fields: items(8, 0, 10).map((f) => ({ ...f, optional: true }) as MeasureField),
    score: (a) => scored(jawLimitation8(all(a, 8)), (r) => told(r.score, `${round(r.score, 2)} of 10`)),
  },
  {
    id: 'oral-behaviours',
    code: 'ORAL_BEHAVIOURS',
    unit: 'of 84',
    least: 0,
    most: 84,
    name: 'Oral behaviours, 21 items',
    about: 'Clenching, grinding, holding and other habits, last month.',
    minutes: 4,
    serves: ['jaw'],
    licence: 'by-number',
    credit: 'Markiewicz, Ohrbach, McCall 2006; use the official form',
    better: 'down',
    error: null,
    matters: null,
    version: 1,
    fields: items(21, 0, 4),
    score: (a) => scored(oralBehaviours(all(a, 21)), (r) => told(r.score, `${r.score} of 84, ${r.band}`)),
  },
  {
    id: 'headache-days',
    code: 'HEADACHE_DAYS_28',
    unit: 'days in 28',
    least: 0,
    most: 28,
    name: 'Headache days',
    about: 'Days with headache among those recorded in the last 28.',
    minutes: 1,
    serves: ['headache'],
    licence: 'free',
    credit: 'arithmetic of ICHD-3 in own words',
    better: 'down',
    error: null,
    matters: null,
    version: 1,
    fields: [scale('headache', 'Days with headache', 0, 28), scale('recorded', 'Days recorded, of 28', 1, 28)],
    contradiction: (a) => {
      const [headache, recorded] = [number(a, 'headache'), number(a, 'recorded')];
      return headache !== null && recorded !== null && headache > recorded
        ? {
            keys: ['headache', 'recorded'],
            words: `${headache} days with headache cannot be more than ${recorded} days recorded`,
          }
        : null;
    },
    score: (a) => {
      const [headache, recorded] = [number(a, 'headache'), number(a, 'recorded')];
      if (headache === null || recorded === null) return unanswered();
      const { per28, enoughRecorded } = headacheDaysPer28(headache, recorded);
      const { low, high } = wilson(headache, recorded)!;
      const share = `${Math.round(low * 100)} to ${Math.round(high * 100)} % of days`;
      // A handful of days says how wide the share may be, and no number of days in 28.
      return enoughRecorded
        ? told(per28, `${round(per28)} per 28 days (${share}), ${dayPattern(per28)}`, per28 >= 15)
        : unanswered(`${headache} of ${recorded} recorded days are ${share}; 23 recorded days are needed`);
    },
  },
  {
    id: 'medicine-days',
    code: 'MEDICINE_DAYS',
    unit: 'days a month',
    least: 0,
    // Two kinds of medicine, counted together.
    most: 62,
    name: 'Medicine days',
    about: 'Days a month with medicine for headache.',
    minutes: 1,
    serves: ['headache'],
    licence: 'free',
    credit: 'limits of ICHD-3 in own words',
    better: 'down',
    error: null,
    matters: null,
    version: 1,
    fields: [
      scale('simple', 'Simple painkillers, days a month', 0, 31),
      scale('other', 'Triptans, opioids, combinations or several kinds, days a month', 0, 31),
    ],
    score: (a) => {
      const [simple, other] = [number(a, 'simple'), number(a, 'other')];
      if (simple === null || other === null) return unanswered();
      const { suggestTalk } = medicineLimits({ simple, other });
      return told(
        simple + other,
        suggestTalk
          ? 'So many that a talk with doctor or pharmacist is suggested; no medicine is to be stopped on our word.'
          : 'Below the days at which a talk is suggested.',
        suggestTalk,
      );
    },
  },
  {
    id: 'headache-disability',
    code: 'HEADACHE_DISABILITY',
    unit: 'days',
    least: 0,
    most: null,
    name: 'Days lost to headache',
    about: 'Five counts over three months.',
    minutes: 2,
    serves: ['headache'],
    licence: 'by-number',
    credit: 'Stewart et al. 2001; permission of the holder needed',
    better: 'down',
    error: null,
    matters: { amount: 4.5, source: 'Carvalho et al. 2021, from memory' },
    version: 1,
    fields: items(5, 0, 92),
    score: (a) =>
      scored(headacheDisabilityDays(all(a, 5)), (r) =>
        told(r.score, `${r.score} days, grade ${['', 'I', 'II', 'III', 'IV'][r.grade]}`, r.grade >= 3),
      ),
  },
  {
    id: 'headache-impact',
    code: 'HEADACHE_IMPACT',
    unit: 'points',
    least: 36,
    most: 78,
    name: 'Headache impact',
    about: 'Total of a licensed six-item form.',
    minutes: 2,
    serves: ['headache'],
    licence: 'by-number',
    credit: 'Kosinski et al. 2003; licence needed',
    better: 'down',
    error: null,
    matters: { amount: 2.5, source: 'Smelt et al. 2014, from memory' },
    version: 1,
    fields: [scale('total', 'Total, 36 to 78', 36, 78)],
    score: (a) => {
      const total = number(a, 'total');
      if (total === null) return unanswered();
      const { score, band } = headacheImpact(total);
      return told(score, `${score}, ${band} impact`, band === 'severe');
    },
  },
  {
    id: 'eye-strain',
    code: 'EYE_STRAIN',
    unit: 'of 32',
    least: 0,
    most: 32,
    name: 'Eye strain at screens, 16 symptoms',
    about: 'How often and how strong, from a form that needs permission.',
    minutes: 4,
    serves: ['eye-strain'],
    licence: 'by-number',
    credit: 'Seguí et al. 2015; permission of the authors needed',
    better: 'down',
    error: null,
    matters: null,
    version: 1,
    fields: Array.from({ length: 16 }, (_, i) => [
      scale(`f${i + 1}`, `Symptom ${i + 1}, how often`, 0, 2, ['never', 'often']),
      {
        ...scale(`s${i + 1}`, `Symptom ${i + 1}, how strong`, 1, 2, ['moderate', 'intense']),
        optional: true,
        neededWhen: (a: MeasureAnswers) => Number(a[`f${i + 1}`] ?? 0) > 0,
      } as MeasureField,
    ]).flat(),
    score: (a) =>
      scored(
        eyeStrainTally(
          Array.from({ length: 16 }, (_, i) => {
            const [frequency, intensity] = [number(a, `f${i + 1}`), number(a, `s${i + 1}`)];
            return frequency === null || (frequency > 0 && intensity === null)
              ? null
              : { frequency, intensity: intensity ?? 0 };
          }),
        ),
        (r) =>
          told(r.score, `${r.score} of 32, ${r.reached ? 'screen-related symptoms present' : 'below the cutoff of 6'}`),
      ),
  },
  {
    id: 'ocular-surface',
    code: 'OCULAR_SURFACE',
    unit: 'of 100',
    least: 0,
    most: 100,
    name: 'Eye surface, 12 items',
    about: 'Sum and number of items from a form that needs permission.',
    minutes: 3,
    serves: ['eye-strain'],
    licence: 'by-number',
    credit: 'Schiffman et al. 2000; permission needed',
    better: 'down',
    error: null,
    matters: { amount: 10, source: 'Miller et al. 2010 (7.0–9.9), from memory' },
    version: 1,
    fields: [scale('total', 'Sum of the answered items', 0, 48), scale('answered', 'Items answered', 0, 12)],
    score: (a) => {
      const [total, answered] = [number(a, 'total'), number(a, 'answered')];
      return total === null || answered === null
        ? unanswered()
        : scored(ocularSurface(total, answered), (r) =>
            told(r.score, `${round(r.score)} of 100, ${r.band}`, r.band === 'severe'),
          );
    },
  },
  {
    id: 'stress-10',
    code: 'STRESS_10',
    unit: 'of 40',
    least: 0,
    most: 40,
    name: 'Perceived stress, 10 items',
    about: 'Last month; items 4, 5, 7 and 8 count the other way round.',
    minutes: 3,
    serves: ['stress'],
    licence: 'by-number',
    credit: 'Cohen et al. 1983, 1988; permission for commercial use',
    better: 'down',
    error: { amount: 7, source: 'our choice from SD 6.4 and reliability 0.85' },
    matters: null,
    version: 1,
    fields: items(10, 0, 4),
    score: (a) =>
      scored(perceivedStress10(all(a, 10)), (r) =>
        told(
          r.score,
          `${r.score} of 40, ${r.band} (a band in wide use, not the authors’)${r.checkAnswers ? '; the same answer throughout: check them' : ''}`,
        ),
      ),
  },
  {
    id: 'stress-4',
    code: 'STRESS_4',
    unit: 'of 16',
    least: 0,
    most: 16,
    name: 'Perceived stress, 4 items',
    about: 'Last month, short form.',
    minutes: 1,
    serves: ['stress'],
    licence: 'by-number',
    credit: 'Cohen et al. 1983; permission for commercial use',
    better: 'down',
    error: null,
    matters: null,
    version: 1,
    fields: items(4, 0, 4),
    score: (a) =>
      scored(perceivedStress4(all(a, 4)), (r) =>
        told(r.score, `${r.score} of 16${r.checkAnswers ? '; the same answer throughout: check them' : ''}`),
      ),
  },
  {
    id: 'own-activities',
    code: 'OWN_ACTIVITIES',
    unit: 'of 10',
    least: 0,
    most: 10,
    name: 'Your own activities',
    about: 'Up to three things that are hard because of it: 0 cannot … 10 as before.',
    minutes: 3,
    serves: ['jaw', 'headache', 'eye-strain', 'stress', 'neck-tension', 'sinus', 'puffiness', 'other'],
    licence: 'free',
    credit: 'after Stratford et al. 1995',
    better: 'up',
    error: { amount: 2, source: 'Stratford et al. 1995' },
    matters: null,
    version: 1,
    fields: [1, 2, 3].flatMap((n): MeasureField[] => [
      { key: `w${n}`, label: `Activity ${n}`, kind: 'words' },
      { ...scale(`i${n}`, `Activity ${n} now`, 0, 10, ['cannot', 'as before']), optional: true } as MeasureField,
    ]),
    score: (a) => {
      const given = [1, 2, 3].flatMap((n) => (a[`w${n}`] && number(a, `i${n}`) !== null ? [number(a, `i${n}`)!] : []));
      return given.length
        ? told(
            given.reduce((x, y) => x + y, 0) / given.length,
            `${round(given.reduce((x, y) => x + y, 0) / given.length)} of 10 over ${given.length}`,
          )
        : unanswered('name at least one activity and rate it');
    },
  },
  {
    id: 'goal-attainment',
    code: 'GOAL_ATTAINMENT',
    unit: 'T',
    least: 0,
    most: 100,
    name: 'Goals',
    about: 'Up to three goals: −2 much less … 0 as expected … +2 much more.',
    minutes: 3,
    serves: ['jaw', 'headache', 'eye-strain', 'stress', 'neck-tension', 'sinus', 'puffiness', 'other'],
    licence: 'free',
    credit: 'Kiresuk, Sherman 1968',
    better: 'up',
    error: null,
    matters: null,
    version: 1,
    fields: [1, 2, 3].flatMap((n): MeasureField[] => [
      { key: `w${n}`, label: `Goal ${n}`, kind: 'words' },
      { ...scale(`i${n}`, `Goal ${n} reached`, -2, 2, ['much less', 'much more']), optional: true } as MeasureField,
    ]),
    score: (a) => {
      const goals = [1, 2, 3].flatMap((n) =>
        a[`w${n}`] && number(a, `i${n}`) !== null ? [{ attained: number(a, `i${n}`)!, weight: 1 }] : [],
      );
      return goals.length
        ? told(goalAttainment(goals), `T ${round(goalAttainment(goals))}; 50 is as expected`)
        : unanswered('name at least one goal and say how far it is reached');
    },
  },
  {
    id: 'global-change',
    code: 'GLOBAL_CHANGE',
    unit: 'of 7',
    least: 1,
    most: 7,
    name: 'Change since the first visit',
    about: '1 very much better … 4 the same … 7 very much worse.',
    minutes: 1,
    serves: ['jaw', 'headache', 'eye-strain', 'stress', 'neck-tension', 'sinus', 'puffiness', 'other'],
    licence: 'free',
    credit: 'after Guy 1976',
    better: 'down',
    error: null,
    matters: null,
    version: 1,
    fields: [scale('i1', 'On the whole since the first visit', 1, 7, ['very much better', 'very much worse'])],
    score: (a) => {
      const value = number(a, 'i1');
      if (value === null) return unanswered();
      const { responder, worse } = globalChange(value, 'one-is-best');
      return told(value, `${value} of 7, ${responder ? 'clearly better' : worse ? 'worse' : 'little changed'}`, worse);
    },
  },
];

export const measureOf = (id: string): MeasureDef | null => QUESTIONNAIRES.find((m) => m.id === id) ?? null;

/** What still has to be answered before it can be scored, in order. */
export const missingIn = (def: MeasureDef, answers: MeasureAnswers): MeasureField[] =>
  def.fields.filter(
    (f) => f.kind === 'number' && (!f.optional || f.neededWhen?.(answers)) && (answers[f.key] ?? null) === null,
  );

/** Scores what is answered so far. What cannot be scored yet says which answers are missing; nothing is ever lost by it. */
export function scoreSoFar(def: MeasureDef, answers: MeasureAnswers): MeasureResult {
  try {
    const result = def.score(answers);
    const missing = missingIn(def, answers);
    if (result.value !== null || !missing.length) return result;
    return {
      value: null,
      words: `Not finished: ${missing.length === def.fields.length ? 'nothing' : missing.map((f) => f.label).join(', ')} ${missing.length === def.fields.length ? 'answered yet' : missing.length === 1 ? 'is missing' : 'are missing'}.`,
      suggestCare: false,
    };
  } catch (error) {
    // Answers that do not go together, or a total that cannot be.
    if (!(error instanceof InputError)) throw error;
    return { value: null, words: `Not scored: ${error.message}.`, suggestCare: false };
  }
}

/** Two answers to a measure that cannot both be so; null where all go together. */
export const contradictionIn = (def: MeasureDef, answers: MeasureAnswers) => def.contradiction?.(answers) ?? null;

/** The answers to one measure, each in its range. @throws InputError naming the answer that is not, and what is accepted, or two that cannot both be so. */
export function checkedAnswers(def: MeasureDef, value: unknown): MeasureAnswers {
  if (value === null || typeof value !== 'object' || Array.isArray(value))
    throw new InputError('answers', 'an object is accepted');
  const given = value as Record<string, unknown>;
  for (const key of Object.keys(given))
    if (!def.fields.some((f) => f.key === key))
      throw new InputError('answers', 'holds an answer that is not asked for');
  const checked = Object.fromEntries(
    def.fields.map((f) => {
      const answer = Object.hasOwn(given, f.key) ? (given[f.key] ?? null) : null;
      if (answer === null) return [f.key, null];
      if (f.kind === 'words') {
        if (typeof answer !== 'string' || answer.length > MOST_LETTERS)
          throw new InputError(f.key, `${f.label}: at most ${MOST_LETTERS} characters are accepted`);
        return [f.key, answer.trim() || null];
      }
      if (typeof answer !== 'number' || !Number.isInteger(answer) || answer < f.least || answer > f.most)
        throw new InputError(f.key, `${f.label}: a whole number from ${f.least} to ${f.most} is accepted`);
      return [f.key, answer];
    }),
  );
  const against = contradictionIn(def, checked);
  if (against) throw new InputError(against.keys[0], against.words);
  return checked;
}

/** A short set for some complaints: own wording first, at most `minutesMost` minutes, most useful first. */
export function proposedMeasures(kinds: readonly ComplaintKind[], minutesMost = 8): MeasureDef[] {
  const wanted = QUESTIONNAIRES.filter((m) => m.serves.some((k) => kinds.includes(k)));
  // What serves few complaints says more about this one than what serves all.
  const order = [...wanted].sort((a, b) =>
    a.licence === b.licence ? a.serves.length - b.serves.length : a.licence === 'free' ? -1 : 1,
  );
  const out: MeasureDef[] = [];
  let minutes = 0;
  for (const m of order) {
    if (minutes + m.minutes > minutesMost) continue;
    minutes += m.minutes;
    out.push(m);
  }
  return out;
}

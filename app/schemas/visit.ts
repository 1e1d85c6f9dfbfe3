import {
  checkedAnswers,
  checkedReading,
  type MeasureKey,
  measureOf,
  MEASURES,
  READING_PHASES,
} from '../../core/measures';
import { readRoutine } from '../../core/routine';
import { acceptedFor, type Answer, isLocalKey } from '../../core/limits';
import { checkedFindings, REACTIONS, type VisitStage } from '../../core/record';
import { InputError, REGIONS } from '../../core/words';
import { array, lazy, mixed, number, object, string } from 'yup';
import { CAUTIONS } from '../../reference/facts/cautions/index';
import { MUSCLES } from '../../reference/facts/muscles';
import { PREPARATION } from '../../reference/facts/preparation';
import { calendarDay } from './day';
import { once } from './once';

const ACCEPTED = new Map(CAUTIONS.filter((c) => c.question).map((c) => [c.key, acceptedFor(c)]));
const MUSCLE_IDS = new Set(MUSCLES.map((m) => m.id));
const SAVE_STAGES = [
  'screen',
  'assess',
  'compose',
  'guide',
  'record',
  'done',
  'stopped',
  'postponed',
] as const satisfies readonly VisitStage[];

/** Turns a refusal of the core into the message of a field. */
const byCore = (read: () => unknown): true | string => {
  try {
    read();
    return true;
  } catch (error) {
    if (error instanceof InputError) return error.message;
    throw error;
  }
};

const answers = mixed<Record<string, Answer>>()
  .required()
  .test(
    'answers',
    'An answer is yes, no or unsure to a question that is asked.',
    (value) =>
      !!value &&
      typeof value === 'object' &&
      Object.keys(value).length <= 400 &&
      Object.entries(value).every(([key, a]) =>
        (isLocalKey(key) ? acceptedFor({}) : (ACCEPTED.get(key) ?? [])).includes(a),
      ),
  );

const readingEntrySchema = object({
  measure: string()
    .oneOf(Object.keys(MEASURES) as MeasureKey[], 'This measure is not known.')
    .required(),
  complaintId: string().nullable().defined(),
  place: string().max(64).defined(),
  side: string()
    .oneOf(['left', 'right', 'both', 'midline'] as const)
    .required(),
  phase: string().oneOf(READING_PHASES).required(),
  value: number().nullable().defined(),
}).test('reading', 'This reading cannot be taken.', (entry, context) => {
  const measure = entry && Object.hasOwn(MEASURES, entry.measure) ? MEASURES[entry.measure] : null;
  // What is not known is told at its own field.
  if (!measure) return true;
  if ((measure.belongs === 'complaint') !== (entry.complaintId !== null))
    return context.createError({ message: 'This reading belongs to a complaint, or must not.' });
  const sided = entry.side === 'left' || entry.side === 'right';
  if (measure.belongs === 'muscle' && (!MUSCLE_IDS.has(entry.place) || !sided))
    return context.createError({ message: 'A known muscle and a side are accepted.' });
  if (measure.belongs === 'region' && !(REGIONS as readonly string[]).includes(entry.place))
    return context.createError({ message: 'A known region is accepted.' });
  if (measure.belongs === 'side' && !sided)
    return context.createError({ message: 'The client’s left or right is accepted.' });
  if (entry.value === null) return true;
  const told = byCore(() => checkedReading(entry.measure, entry.value));
  return told === true || context.createError({ message: told });
});

const recordSchema = object({
  reactions: array().of(string().oneOf(REACTIONS).required()).max(REACTIONS.length).required(),
  where: array()
    .of(
      object({
        reaction: string().oneOf(REACTIONS).required(),
        muscle: string()
          .oneOf([...MUSCLE_IDS], 'A known muscle is accepted.')
          .required(),
        side: string()
          .oneOf(['left', 'right'] as const)
          .required(),
      }).required(),
    )
    .max(40)
    .default([]),
  tellNext: string().max(2000, 'At most 2000 characters are accepted.').default(''),
  note: string().max(2000, 'At most 2000 characters are accepted.').defined(),
  product: string().max(200, 'At most 200 characters are accepted.').defined(),
  nextOn: calendarDay,
  reviewOn: calendarDay,
});

/** Findings in their own shape. @throws InputError */
export const readFindings = (value: unknown) => checkedFindings(value, { muscle: (id) => MUSCLE_IDS.has(id) });

/** What is added to an ended visit. */
export const addendumSchema = object({
  once,
  words: string().trim().required('Write what is to be added.').max(2000, 'At most 2000 characters are accepted.'),
});

/** Why an ended visit is corrected. */
const because = string().max(2000).optional();

const patches = {
  screen: object({
    kind: string().required(),
    screen: object({
      answers,
      preparation: array()
        .of(
          string()
            .oneOf(PREPARATION.map((p) => p.key))
            .required(),
        )
        .max(PREPARATION.length)
        .required(),
      product: string().max(64).optional(),
    }).required(),
    because,
  }),
  readings: object({
    kind: string().required(),
    entries: array().of(readingEntrySchema.required()).min(1).max(60).required(),
    because,
  }),
  routine: object({
    kind: string().required(),
    origin: object({
      template: string().uuid().required(),
      version: number().integer().min(1).max(1_000_000).required(),
    })
      .nullable()
      .default(undefined)
      .optional(),
    routine: mixed()
      .required()
      .test('routine', 'This routine cannot be read.', (value, context) => {
        const told = byCore(() => readRoutine(value));
        return told === true || context.createError({ message: told });
      }),
  }),
  record: object({ kind: string().required(), record: recordSchema.required(), because }),
  findings: object({
    kind: string().required(),
    findings: mixed()
      .required()
      .test('findings', 'These findings cannot be read.', (value, context) => {
        const told = byCore(() => readFindings(value));
        return told === true || context.createError({ message: told });
      }),
    because,
  }),
  answers: object({
    kind: string().required(),
    measure: string()
      .required()
      .test('measure', 'This measure is not known.', (id) => !!measureOf(id)),
    answers: mixed()
      .nullable()
      .defined()
      .test('answers', 'These answers cannot be read.', (value, context) => {
        const def = measureOf(String((context.parent as { measure?: unknown }).measure));
        if (value === null || !def) return true;
        const told = byCore(() => checkedAnswers(def, value));
        return told === true || context.createError({ message: told });
      }),
    because,
  }),
  stage: object({ kind: string().required(), stage: string().oneOf(SAVE_STAGES).required() }),
};

/** One write to a visit: what it is, on which version it was made, and an id by which it is done once only. */
export const saveSchema = object({
  saveId: string()
    .required()
    .matches(/^[A-Za-z0-9-]{8,64}$/, 'A save needs an id of 8 to 64 letters, digits or dashes.'),
  expectedVersion: number().integer().min(1).required(),
  patch: lazy(
    (value: { kind?: unknown } | null | undefined) =>
      (typeof value?.kind === 'string' && Object.hasOwn(patches, value.kind)
        ? patches[value.kind as keyof typeof patches]
        : undefined) ??
      object({ kind: string().required().oneOf(Object.keys(patches), 'This change is not known.') }).required(),
  ),
});

import { array, lazy, mixed, number, object, string } from 'yup';
import { type GuideEvent, readGuideEvent } from '../../core/guide';
import { FELT } from '../../core/record';
import { HOME_NOTE_LETTERS, ITEMS_AT_ONCE, type HomeItem } from '../../core/schedule';
import { InputError } from '../../core/words';
import { RED_FLAG_QUESTIONS, type RedFlagKey } from '../../reference/facts/at-home';
import { moment } from './moment';

const id = string().uuid().required();
const rating = number().integer().min(0).max(10);
/** Events of one run; a long one has some hundreds. */
const EVENTS_MOST = 2000;

const base = { id, planId: id, at: moment };
const isEvent = (value: unknown): boolean => {
  try {
    readGuideEvent(value);
    return true;
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return false;
  }
};
const kinds = {
  rating: object({
    ...base,
    kind: string<'rating'>().required(),
    complaintId: id,
    value: rating.required(),
  }).noUnknown(),
  run: object({
    ...base,
    kind: string<'run'>().required(),
    startedAt: moment,
    events: array(mixed<GuideEvent>().test('event', 'An event of a run is accepted.', isEvent).required())
      .max(EVENTS_MOST)
      .required(),
    before: rating.nullable().defined(),
  }).noUnknown(),
  after: object({
    ...base,
    kind: string<'after'>().required(),
    runId: id,
    value: rating.nullable().defined(),
    felt: array(string().oneOf(FELT).required()).max(FELT.length).required(),
    note: string().max(HOME_NOTE_LETTERS).defined(),
  }).noUnknown(),
  flags: object({
    ...base,
    kind: string<'flags'>().required(),
    yes: array(
      string<RedFlagKey>()
        .oneOf(RED_FLAG_QUESTIONS.map((q) => q.key))
        .required(),
    )
      .max(RED_FLAG_QUESTIONS.length)
      .required(),
  }).noUnknown(),
};

/** What a phone sends: a few items, each of its kind, and what its clock says now. */
export const sendingSchema = object({
  sentAt: moment,
  items: array(
    lazy((item: unknown) => {
      const kind = (item as { kind?: unknown } | null)?.kind;
      return kind === 'rating' || kind === 'run' || kind === 'after' || kind === 'flags'
        ? kinds[kind]
        : object({ kind: string().oneOf(Object.keys(kinds)).required() });
    }),
  )
    .max(ITEMS_AT_ONCE)
    .required(),
});
export type Sending = { sentAt: string; items: HomeItem[] };

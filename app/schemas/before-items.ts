import { array, lazy, mixed, number, object, string } from 'yup';
import { ANSWER_WORDS, type Answers } from '../../core/limits';
import { BEFORE_ITEMS_AT_ONCE, type BeforeItem } from '../../core/schedule';
import { moment } from './moment';

const ANSWERS_MOST = 200;
const base = { id: string().uuid().required(), at: moment };
/** Which questions there are is known where the practice is; here every answer has to be one. */
const isSheet = (value: unknown): boolean =>
  value !== null &&
  typeof value === 'object' &&
  !Array.isArray(value) &&
  Object.keys(value).length <= ANSWERS_MOST &&
  Object.values(value).every((a) => typeof a === 'string' && Object.hasOwn(ANSWER_WORDS, a));
const kinds = {
  rating: object({
    ...base,
    kind: string<'rating'>().required(),
    complaintId: string().uuid().required(),
    value: number().integer().min(0).max(10).required(),
  }).noUnknown(),
  answers: object({
    ...base,
    kind: string<'answers'>().required(),
    answers: mixed<Answers>().test('answers', 'yes, no, unsure, left or right is accepted.', isSheet).required(),
  }).noUnknown(),
};

/** What comes back before a first visit: numbers and answers, and what the phone’s clock says now. */
export const beforeSendingSchema = object({
  sentAt: moment,
  items: array(
    lazy((item: unknown) => {
      const kind = (item as { kind?: unknown } | null)?.kind;
      return kind === 'rating' || kind === 'answers'
        ? kinds[kind]
        : object({ kind: string().oneOf(Object.keys(kinds)).required() });
    }),
  )
    .max(BEFORE_ITEMS_AT_ONCE)
    .required(),
});
export type BeforeSending = { sentAt: string; items: BeforeItem[] };

import { type Answer, type Answers, type Caution, isAsked } from '../limits/index.ts';
import type { Day } from './days.ts';
import type { PacketHead } from './phone.ts';

/** A question of screening as it is put to somebody who reads it alone. */
export interface BeforeQuestion {
  key: string;
  words: string;
  /** Asked only after a yes, or a not sure, to this one. */
  after?: string;
  /** May concern one side alone, and is asked for it. */
  sided?: true;
  isRedFlag: boolean;
  /** Whom to see after a yes to a red flag; empty otherwise. */
  seeWho: string;
}

/** Everything that the page before a first visit needs, and nothing else of client or practice: no answer comes back out. */
export interface BeforePacket extends PacketHead {
  visit: { id: string; startsAt: string; minutes: number };
  /** What is rated. */
  complaints: { id: string; name: string }[];
  /** Days on which a rating arrived, in order. */
  ratedOn: Day[];
  /** Ratings on different days that are asked for. */
  ratingsAsked: number;
  questions: BeforeQuestion[];
}

/** What comes back before a first visit. Its id is made on the phone; each is taken once. */
export type BeforeItem = { id: string; at: string } & (
  { kind: 'rating'; complaintId: string; value: number } | { kind: 'answers'; answers: Answers }
);
/** Items of one sending. */
export const BEFORE_ITEMS_AT_ONCE = 40;
/** Questions shown at once: few enough that each is read. Our choice. */
const QUESTIONS_A_PAGE = 6;

/** What can be told ahead: signs that belong to a doctor and what stands; how it is today is asked on the day. */
export const askedBefore = (cautions: readonly Caution[]): Caution[] =>
  (['red-flag', 'standing'] as const).flatMap((group) =>
    cautions.filter((c) => c.group === group && c.question !== null),
  );

/**
 * The questions in pages, gravest first; what hangs on another question comes right after it, on its page, once that
 * one is answered yes.
 */
export function beforePages(questions: readonly BeforeQuestion[], said: Answers): BeforeQuestion[][] {
  const first = questions.filter((q) => !q.after);
  const pages: BeforeQuestion[][] = [];
  for (let i = 0; i < first.length; i += QUESTIONS_A_PAGE)
    pages.push(first.slice(i, i + QUESTIONS_A_PAGE).flatMap((q) => [q, ...followers(q, questions, said)]));
  return pages;
}
const followers = (q: BeforeQuestion, all: readonly BeforeQuestion[], said: Answers): BeforeQuestion[] =>
  all.filter((other) => other.after === q.key && isAsked({ question: other.words, after: other.after }, said));

/** What a client said ahead of the questions of a group: those said to be no, and those that are not. */
export function saidOf(keys: readonly string[], said: Answers): { no: string[]; open: string[] } {
  const told = keys.filter((key) => said[key] !== undefined);
  return { no: told.filter((key) => said[key] === 'no'), open: told.filter((key) => said[key] !== 'no') };
}

/** The word of a client before it is confirmed. */
export const SAID_WORDS: Readonly<Record<Answer, string>> = {
  yes: 'yes',
  no: 'no',
  unsure: 'not sure',
  left: 'yes, left',
  right: 'yes, right',
};

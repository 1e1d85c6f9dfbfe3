import type { ComplaintKind, OneSide, Pressure } from '../words/index.ts';
import { closes, type Clause } from './clause.ts';
import { effectOf, type Effect } from './effect.ts';
import { mayBeOverridden } from './override.ts';
import { sideOf } from './sides.ts';

export const SEVERITIES = ['refer-out', 'avoid', 'adapt', 'note'] as const;
export type Severity = (typeof SEVERITIES)[number];

/** A caution as data. Wording is the product's own; nothing here diagnoses. */
export interface Caution {
  /** Kept for good; answers are stored by it. */
  key: string;
  /** Short name. */
  title: string;
  /** With which questions it is asked. */
  group: 'red-flag' | 'today' | 'standing' | 'everyone';
  /** Whom it concerns, in a few words. */
  who: string;
  /** Asked aloud; null for rules that concern everyone. */
  question: string | null;
  /** How far it goes. */
  severity: Severity;
  /** What it closes; any one clause is enough. */
  appliesTo: readonly Clause[];
  /** What to do instead, one or two sentences. */
  advice: string;
  /** Who to see; empty when nobody needs to be seen. */
  seeWho: string;
  /** On what ground. */
  source: string;
  /** Arises between visits: a no of last time is asked anew. */
  anew?: true;
  /** Asked only after a yes, or a not sure, to this caution. */
  after?: string;
  /** May concern one side alone, and is asked for it. */
  sided?: true;
}

/**
 * `unsure` counts as yes, and is shown as not sure so that it can be cleared up. `left` and `right` are a yes to a
 * question of one side: the client's.
 */
export type Answer = 'yes' | 'no' | 'unsure' | OneSide;
export const ANSWER_WORDS: Readonly<Record<Answer, string>> = {
  yes: 'Yes',
  no: 'No',
  unsure: 'Not sure',
  left: 'Yes, client’s left',
  right: 'Yes, client’s right',
};
export type Answers = Readonly<Record<string, Answer>>;
/** Whether an answer counts as yes. */
export const isYes = (answer: Answer | undefined): boolean => answer !== undefined && answer !== 'no';

const NONE: ReadonlySet<string> = new Set();

/** What one caution takes away. */
export interface Limit {
  /** Where it comes from. */
  caution: Caution;
  /** What it closes. */
  clause: Clause;
  /** Taken away, warned of, or told. */
  effect: Effect;
  /** Why, in words; the same for every step that runs into it. */
  reason: string;
  /** A ban that was lifted in writing, and warns instead. */
  overridden?: true;
}

export interface Screening {
  /** Cautions that count today, by severity. */
  hits: Record<Severity, Caution[]>;
  /** Everything that they close. */
  limits: Limit[];
  /** The most pressure anywhere for this client; null when not capped. */
  pressureCap: Pressure | null;
  /** Red flags: the visit does not go on. */
  mustStop: boolean;
  /** Everything is off today, but nobody needs to be seen at once. */
  postpone: boolean;
  /** The side of cautions that were told for one side, by key. */
  sides: Readonly<Record<string, OneSide>>;
  /** Kinds of complaint whose course is worse: firm work that serves them is warned of. */
  worse: readonly ComplaintKind[];
  /** Keys of questions without an answer. */
  unanswered: string[];
}

/** What of a client's own answers is to be minded today, the gravest first; what holds for everybody is not told. */
export const toMind = ({ hits }: Pick<Screening, 'hits'>): Caution[] =>
  [...hits['refer-out'], ...hits.avoid, ...hits.adapt].filter((c) => c.group !== 'everyone');

/**
 * Hold an answer sheet against all cautions. Rules for everyone always count; a question counts once it is answered
 * yes. Adding a yes only ever adds limits. An override turns the bans of that one caution into warnings, where it may be
 * overridden at all; the bans of every other caution stay.
 */
export function screen(
  cautions: readonly Caution[],
  answers: Answers,
  pressureCap: Pressure | null = null,
  overridden: ReadonlySet<string> = NONE,
): Screening {
  const hits: Screening['hits'] = { 'refer-out': [], avoid: [], adapt: [], note: [] };
  const limits: Limit[] = [];
  const unanswered: string[] = [];
  const sides: Record<string, OneSide> = {};
  for (const asked of cautions) {
    let caution = asked;
    if (caution.question !== null) {
      if (!isAsked(caution, answers)) continue;
      const answer = answers[caution.key];
      if (answer === undefined) unanswered.push(caution.key);
      if (!isYes(answer)) continue;
      const side = caution.sided ? sideOf(answer) : null;
      if (side) {
        sides[caution.key] = side;
        caution = { ...caution, title: `${caution.title}, ${side}` };
      }
    }
    hits[caution.severity].push(caution);
    const clauses = caution.appliesTo;
    // Beside a clause for the whole visit, further places only say where to show it.
    const wholeVisit = clauses.some((c) => closes(c).wholeVisit);
    const mayLift = overridden.has(caution.key) && mayBeOverridden(caution);
    for (const clause of clauses) {
      const effect =
        wholeVisit && !closes(clause).wholeVisit && !clause.effect && !clause.cap
          ? 'note'
          : effectOf(caution.severity, clause);
      const reason = `${caution.title}: ${caution.advice}`;
      limits.push(
        mayLift && !clause.final && effect === 'ban'
          ? { caution, clause, effect: 'warn', overridden: true, reason: `Overridden in writing. ${reason}` }
          : { caution, clause, effect, reason },
      );
    }
  }
  return {
    hits,
    limits,
    pressureCap,
    sides,
    mustStop: hits['refer-out'].length > 0,
    postpone: hits.avoid.some((c) => c.appliesTo.some((clause) => closes(clause).wholeVisit)),
    worse: [],
    unanswered,
  };
}

/** Whether a question is put at all: some hang on a yes to another. */
export const isAsked = ({ question, after }: Pick<Caution, 'question' | 'after'>, answers: Answers): boolean =>
  question !== null && (!after || isYes(answers[after]));

/**
 * The answers of last time as they hold today: a yes stands until it is taken back, a no for facts that do not come
 * overnight. Red flags, the state of today and what arises between visits are not sure until they are asked.
 * @param last Null where there was no last time.
 */
export function carriedOver(cautions: readonly Caution[], last: Answers | null): Record<string, Answer> {
  const out: Record<string, Answer> = {};
  for (const { key, question, group, anew } of cautions) {
    if (question === null) continue;
    const before = last?.[key];
    const stays = group === 'standing' && (isYes(before) || (before === 'no' && !anew));
    out[key] = stays ? before! : 'unsure';
  }
  return out;
}

/**
 * A visit's sheet as it holds from its first second: standing facts of last time limit until they are answered
 * otherwise. What is not answered yet stays unanswered.
 * @param last Answers of the visit before; null where there was none.
 * @param worse Kinds of complaint whose course is worse.
 */
export function screenVisit(
  cautions: readonly Caution[],
  answers: Answers,
  last: Answers | null,
  pressureCap: Pressure | null = null,
  overridden: ReadonlySet<string> = NONE,
  worse: readonly ComplaintKind[] = [],
): Screening {
  const standing = last
    ? cautions
        .filter((c) => c.group === 'standing' && isYes(last[c.key]))
        .map((c): [string, Answer] => [c.key, last[c.key]!])
    : [];
  const inForce = { ...Object.fromEntries(standing.filter(([key]) => answers[key] === undefined)), ...answers };
  const screening = screen(cautions, inForce, pressureCap, overridden);
  const open = cautions.filter((c) => isAsked(c, inForce) && answers[c.key] === undefined);
  // A question that hangs on a fact of last time is put as well.
  return { ...screening, worse, unanswered: open.map((c) => c.key) };
}

/** With which questions one is asked: what arises between visits, once it was a no, belongs to the state of today. */
export const askedWith = (caution: Pick<Caution, 'key' | 'group' | 'anew'>, last: Answers | null): Caution['group'] =>
  caution.group === 'standing' && caution.anew && last?.[caution.key] === 'no' ? 'today' : caution.group;

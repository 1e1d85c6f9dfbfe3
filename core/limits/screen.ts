import { type Catalogue, hardestOf, type Step } from '../routine/index.ts';
import { type ComplaintKind, lighterOf, type OneSide, type Pressure, pressureRank, PRESSURES } from '../words/index.ts';
import { factsOf } from './facts.ts';
import {
  CLAUSE_KINDS,
  closes,
  closesStep,
  type Clause,
  type ClauseKind,
  type Closed,
  type StepFacts,
} from './clause.ts';
import { effectOf, type Effect } from './effect.ts';
import { mayBeOverridden } from './override.ts';
import { onOneSide, otherSide, sideOf, touchesSide } from './sides.ts';

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
export type Answers = Readonly<Record<string, Answer>>;
/** Whether an answer counts as yes. */
export const isYes = (answer: Answer | undefined): boolean => answer !== undefined && answer !== 'no';

/** What one caution takes away. */
interface Limit {
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

const NONE: ReadonlySet<string> = new Set();

/** A limit that a step runs into, and the most pressure at which it would not (null: no pressure frees it). */
export interface Breach {
  /** What it runs into; null for the client’s own cap. */
  limit: Limit | null;
  /** Taken away, warned of, or told. */
  effect: Limit['effect'];
  /** In words. */
  reason: string;
  /** Pressure at which it would be free. */
  lowerTo: Pressure | null;
  /** Side on which alone it would be free; null when it is no question of side. */
  freeSide: OneSide | null;
}

/** A screening as steps are held against it, made once for each: by one of the words of each limit, and by key. */
interface Index {
  /** What is closed, by limit. */
  closed: Closed[];
  /** Limits that concern every step. */
  always: number[];
  /** Limits by their rarest word: a step has few words, and most limits name none of them. */
  near: Readonly<Record<ClauseKind, Map<string, number[]>>>;
  /** For each limit, the round in which it was last looked at: a step may have several of its words. */
  seen: Int32Array;
  round: number;
  /** Cautions that count, the hardest first. */
  hits: ReadonlyMap<string, { caution: Caution; rank: number }>;
}
const indexes = new WeakMap<Screening, Index>();
function indexOf(screening: Screening): Index {
  let index = indexes.get(screening);
  if (index) return index;
  const hits = SEVERITIES.flatMap((s) => screening.hits[s]);
  index = {
    closed: screening.limits.map((l) => closes(l.clause)),
    always: [],
    near: Object.fromEntries(CLAUSE_KINDS.map((k) => [k, new Map<string, number[]>()])) as Index['near'],
    seen: new Int32Array(screening.limits.length),
    round: 0,
    hits: new Map(hits.map((caution, rank) => [caution.key, { caution, rank }])),
  };
  for (const [i, { words }] of index.closed.entries()) {
    const kind = CLAUSE_KINDS.find((k) => words[k])!;
    if (kind === 'work' && words.work!.has('any')) index.always.push(i);
    else
      for (const word of words[kind]!) {
        const list = index.near[kind].get(word);
        if (list) list.push(i);
        else index.near[kind].set(word, [i]);
      }
  }
  indexes.set(screening, index);
  return index;
}

/** Limits that close something of a step, in their order. */
function limitsMet(index: Index, facts: StepFacts): number[] {
  const { closed, always, near, seen } = index;
  const round = ++index.round;
  const met: number[] = always.filter((i) => closesStep(closed[i]!, facts));
  for (const kind of CLAUSE_KINDS)
    for (const word of facts[kind]) {
      const list = near[kind].get(word);
      if (list)
        for (const i of list)
          if (seen[i] !== round) {
            seen[i] = round;
            if (closesStep(closed[i]!, facts)) met.push(i);
          }
    }
  return met.sort((a, b) => a - b);
}

/** Every limit that a step runs into. */
export function breachesOf(step: Step, screening: Screening, catalogue: Catalogue): Breach[] {
  const facts = factsOf(step, catalogue);
  const index = indexOf(screening);
  const out: Breach[] = [];
  for (const i of limitsMet(index, facts)) {
    const limit = screening.limits[i]!;
    const told = limit.clause.bothSides ? undefined : screening.sides[limit.caution.key];
    if (told && !touchesSide(step, told, catalogue)) continue;
    out.push({
      limit,
      effect: limit.effect,
      reason: limit.reason,
      lowerTo: freeingPressure(limit.clause, facts, step),
      freeSide: told ? freeSideOf(step, told, catalogue) : null,
    });
  }
  // What a technique raises by its own row is law: care, where no clause of that caution says what else.
  const raised = (catalogue.techniques.get(step.technique)?.heed ?? NO_HEED).flatMap(
    (key) => index.hits.get(key) ?? [],
  );
  for (const { caution } of raised.sort((a, b) => a.rank - b.rank)) {
    if (caution.question === null || out.some((b) => b.limit?.caution === caution)) continue;
    const told = screening.sides[caution.key];
    if (told && !touchesSide(step, told, catalogue)) continue;
    out.push({
      limit: null,
      effect: 'warn',
      reason: `${caution.title}: ${caution.advice}`,
      lowerTo: null,
      freeSide: null,
    });
  }
  const hardest = hardestOf(step);
  if (screening.pressureCap && hardest && pressureRank(hardest) > pressureRank(screening.pressureCap))
    out.push({
      limit: null,
      effect: 'ban',
      reason: `This client is worked at ${screening.pressureCap} at most.`,
      lowerTo: screening.pressureCap,
      freeSide: null,
    });
  return out;
}

const NO_HEED: readonly string[] = [];

/** True when no pressure and no change of the step's dose would make it allowed. */
export const isBannedOutright = (step: Step, screening: Screening, catalogue: Catalogue): boolean =>
  breachesOf(step, screening, catalogue).some((b) => b.effect === 'ban' && b.lowerTo === null);

/** The side that is left when one was told: none for work that lies in the middle or over it anyway. */
function freeSideOf(step: Step, told: OneSide, catalogue: Catalogue): OneSide | null {
  const { mode } = step.sides;
  if (mode !== 'each' && mode !== 'together') return null;
  const free = otherSide(told);
  return touchesSide(onOneSide(step, free), told, catalogue) ? null : free;
}

function freeingPressure(clause: Clause, facts: StepFacts, step: Step): Pressure | null {
  if (clause.effect === 'stop') return null;
  // Where the pressure was left out, it is the hardest until somebody sets it.
  if (clause.cap) return step.pressure ? lighterOf(clause.cap, step.pressure.there) : clause.cap;
  if (!step.pressure) return null;
  const { there } = step.pressure;
  const { pressures, words } = closes(clause);
  // Firm and deep work counts as strong stimulation: lighter work of the same kind is free of that word.
  if (!pressures) return isOnlyStrong(words.work, facts) ? lighterOf('medium', there) : null;
  for (let i = pressureRank(hardestOf(step)!) - 2; i >= 0; i--)
    if (!pressures.has(PRESSURES[i]!)) return lighterOf(PRESSURES[i]!, there);
  return null;
}

/** True when strong stimulation is the one word by which a step runs into a clause. */
function isOnlyStrong(work: ReadonlySet<string> | undefined, facts: StepFacts): boolean {
  if (!work?.has('strong-stimulation') || !facts.work.has('strong-stimulation')) return false;
  let words = 0;
  for (const word of facts.work) if (work.has(word)) words++;
  return words === 1;
}

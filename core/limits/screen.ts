import { type Catalogue, hardestOf, type Step } from '../routine/index.ts';
import { lighterOf, type Pressure, pressureRank, PRESSURES } from '../words/index.ts';
import { factsOf } from './facts.ts';
import { clauseHolds, isWholeVisit, parseAppliesTo, TERM_KINDS, type Clause, type StepFacts } from './grammar.ts';
import { mayBeOverridden } from './override.ts';

export const SEVERITIES = ['refer-out', 'avoid', 'adapt', 'note'] as const;
export type Severity = (typeof SEVERITIES)[number];

/** A caution as data. Wording is the product's own; nothing here diagnoses. */
export interface Caution {
  key: string;
  title: string;
  group: 'red-flag' | 'today' | 'standing' | 'everyone';
  /** Whom it concerns, in a few words. */
  who: string;
  /** Asked aloud; null for rules that concern everyone. */
  question: string | null;
  severity: Severity;
  appliesTo: string;
  /** What to do instead, one or two sentences. */
  advice: string;
  /** Who to see; empty when nobody needs to be seen. */
  seeWho: string;
  source: string;
}

export type Answer = 'yes' | 'no';
export type Answers = Readonly<Record<string, Answer>>;

/** What one caution takes away. */
export interface Limit {
  caution: Caution;
  clause: Clause;
  effect: 'ban' | 'warn' | 'note';
  /** Why, in words; the same for every step that runs into it. */
  reason: string;
  /** A ban that was lifted in writing, and warns instead. */
  overridden?: true;
}

export interface Screening {
  hits: Record<Severity, Caution[]>;
  limits: Limit[];
  /** The most pressure anywhere for this client; null when not capped. */
  pressureCap: Pressure | null;
  /** Red flags: the visit does not go on. */
  mustStop: boolean;
  /** Everything is off today, but nobody needs to be seen at once. */
  postpone: boolean;
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
  for (const caution of cautions) {
    if (caution.question !== null) {
      const answer = answers[caution.key];
      if (answer === undefined) unanswered.push(caution.key);
      if (answer !== 'yes') continue;
    }
    hits[caution.severity].push(caution);
    const clauses = clausesOf(caution);
    // Beside a clause for the whole visit, further places only say where to show it.
    const wholeVisit = clauses.some(isWholeVisit);
    const lifted = overridden.has(caution.key) && mayBeOverridden(caution);
    for (const clause of clauses) {
      const effect = wholeVisit && !isWholeVisit(clause) ? 'note' : effectOf(caution.severity, clause);
      const reason = `${caution.title}: ${caution.advice}`;
      limits.push(
        lifted && effect === 'ban'
          ? { caution, clause, effect: 'warn', overridden: true, reason: `Overridden in writing. ${reason}` }
          : { caution, clause, effect, reason },
      );
    }
  }
  return {
    hits,
    limits,
    pressureCap,
    mustStop: hits['refer-out'].length > 0,
    postpone: hits.avoid.some((c) => clausesOf(c).some(isWholeVisit)),
    unanswered,
  };
}

const NONE: ReadonlySet<string> = new Set();

const parsed = new Map<string, Clause[]>();
function clausesOf(caution: Caution): Clause[] {
  let clauses = parsed.get(caution.appliesTo);
  if (!clauses) parsed.set(caution.appliesTo, (clauses = parseAppliesTo(caution.appliesTo)));
  return clauses;
}

/**
 * refer-out and avoid ban what they apply to. adapt bans only what is too hard (a clause with a pressure) and warns
 * otherwise; adapt and note for the whole visit are advice.
 */
function effectOf(severity: Severity, clause: Clause): Limit['effect'] {
  if (severity === 'refer-out' || severity === 'avoid') return 'ban';
  if (severity === 'note') return clause.some((t) => t.kind === 'pressure') ? 'warn' : 'note';
  if (isWholeVisit(clause)) return 'note';
  return clause.some((t) => t.kind === 'pressure') ? 'ban' : 'warn';
}

/** A limit that a step runs into, and the most pressure at which it would not (null: no pressure frees it). */
export interface Breach {
  limit: Limit | null;
  effect: Limit['effect'];
  reason: string;
  lowerTo: Pressure | null;
}

/**
 * Limits by the words of their first term, made once for each screening: a step has few facts, and most limits name none
 * of them.
 */
const byWord = new WeakMap<Screening, { always: number[]; near: Map<string, number[]> }>();
function indexOf(screening: Screening): { always: number[]; near: Map<string, number[]> } {
  let index = byWord.get(screening);
  if (index) return index;
  index = { always: [], near: new Map() };
  for (const [i, { clause }] of screening.limits.entries()) {
    const { kind, values } = clause[0]!;
    if (kind === 'technique' && values.includes('any')) index.always.push(i);
    else
      for (const value of values) {
        const key = `${kind}:${value}`;
        const list = index.near.get(key);
        if (list) list.push(i);
        else index.near.set(key, [i]);
      }
  }
  byWord.set(screening, index);
  return index;
}

/** Limits whose first term holds for a step, in their order. */
function limitsNear(screening: Screening, facts: StepFacts): Limit[] {
  const { always, near } = indexOf(screening);
  const found = new Set(always);
  for (const kind of TERM_KINDS)
    for (const value of facts[kind]) for (const i of near.get(`${kind}:${value}`) ?? []) found.add(i);
  return [...found].sort((a, b) => a - b).map((i) => screening.limits[i]!);
}

/** Every limit that a step runs into. */
export function breachesOf(step: Step, screening: Screening, catalogue: Catalogue): Breach[] {
  const facts = factsOf(step, catalogue);
  const out: Breach[] = [];
  for (const limit of limitsNear(screening, facts)) {
    if (!clauseHolds(limit.clause, facts)) continue;
    out.push({
      limit,
      effect: limit.effect,
      reason: limit.reason,
      lowerTo: freeingPressure(limit.clause, facts, step),
    });
  }
  const hardest = hardestOf(step);
  if (screening.pressureCap && hardest && pressureRank(hardest) > pressureRank(screening.pressureCap))
    out.push({
      limit: null,
      effect: 'ban',
      reason: `This client is worked at ${screening.pressureCap} at most.`,
      lowerTo: screening.pressureCap,
    });
  return out;
}

/** True when no pressure and no change of the step's dose would make it allowed. */
export const isBannedOutright = (step: Step, screening: Screening, catalogue: Catalogue): boolean =>
  breachesOf(step, screening, catalogue).some((b) => b.effect === 'ban' && b.lowerTo === null);

function freeingPressure(clause: Clause, facts: StepFacts, step: Step): Pressure | null {
  if (!step.pressure) return null;
  const { there } = step.pressure;
  const named = clause.find((t) => t.kind === 'pressure');
  // Firm and deep work counts as strong stimulation: lighter work of the same kind is free of that word.
  if (!named) return clause.some((t) => isOnlyStrong(t, facts)) ? lighterOf('medium', there) : null;
  for (let i = pressureRank(hardestOf(step)!) - 2; i >= 0; i--)
    if (!named.set.has(PRESSURES[i]!)) return lighterOf(PRESSURES[i]!, there);
  return null;
}

/** True when strong stimulation is the one word by which a step runs into a term. */
function isOnlyStrong(term: Clause[number], facts: StepFacts): boolean {
  if (term.kind !== 'technique' || !term.set.has('strong-stimulation') || !facts.technique.has('strong-stimulation'))
    return false;
  let words = 0;
  for (const fact of facts.technique) if (term.set.has(fact)) words++;
  return words === 1;
}

/** In short words what a caution takes away, for the list beside each answer. Few points are named, many are counted. */
export function takesAway(caution: Caution, names: { region: (id: string) => string }): string {
  if (caution.severity === 'refer-out') return 'the whole visit';
  const clauses = clausesOf(caution);
  if (clauses.some(isWholeVisit)) return caution.severity === 'avoid' ? 'the whole visit' : 'nothing; work with care';
  const parts = clauses.map((clause) => {
    const pressure = clause.find((t) => t.kind === 'pressure');
    const where = clause
      .filter((t) => t.kind !== 'pressure')
      .map((t) => termWords(t, names))
      .join(' with ');
    return pressure ? `${where ? `${where}: ` : ''}${pressure.values.join(' and ')} pressure` : where;
  });
  return [...new Set(parts)].join('; ');
}

function termWords({ kind, values }: Clause[number], names: { region: (id: string) => string }): string {
  if (kind === 'region') return values.map(names.region).join(', ');
  if (kind === 'muscle') return values.length === 1 ? '1 muscle' : `${values.length} muscles`;
  if (kind === 'point') return values.length > 4 ? `${values.length} points` : values.join(', ');
  return values.map((v) => v.replaceAll('-', ' ')).join(', ');
}

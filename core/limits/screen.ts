import { type Catalogue, hardestOf, type Step } from '../routine/index.ts';
import { lighterOf, type Pressure, pressureRank, PRESSURES } from '../words/index.ts';
import { factsOf } from './facts.ts';
import { CLAUSE_KINDS, closes, closesStep, type Clause, type StepFacts } from './clause.ts';
import { mayBeOverridden } from './override.ts';

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
}

export type Answer = 'yes' | 'no';
export type Answers = Readonly<Record<string, Answer>>;

/** What one caution takes away. */
export interface Limit {
  /** Where it comes from. */
  caution: Caution;
  /** What it closes. */
  clause: Clause;
  /** Taken away, warned of, or told. */
  effect: 'ban' | 'warn' | 'note';
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
  for (const caution of cautions) {
    if (caution.question !== null) {
      const answer = answers[caution.key];
      if (answer === undefined) unanswered.push(caution.key);
      if (answer !== 'yes') continue;
    }
    hits[caution.severity].push(caution);
    const clauses = caution.appliesTo;
    // Beside a clause for the whole visit, further places only say where to show it.
    const wholeVisit = clauses.some((c) => closes(c).wholeVisit);
    const lifted = overridden.has(caution.key) && mayBeOverridden(caution);
    for (const clause of clauses) {
      const effect = wholeVisit && !closes(clause).wholeVisit ? 'note' : effectOf(caution.severity, clause);
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
    postpone: hits.avoid.some((c) => c.appliesTo.some((clause) => closes(clause).wholeVisit)),
    unanswered,
  };
}

const NONE: ReadonlySet<string> = new Set();

/**
 * refer-out and avoid ban what they apply to. adapt bans only what is too hard (a clause with a pressure) and warns
 * otherwise; adapt and note for the whole visit are advice.
 */
function effectOf(severity: Severity, clause: Clause): Limit['effect'] {
  const { wholeVisit, pressures } = closes(clause);
  if (severity === 'refer-out' || severity === 'avoid') return 'ban';
  if (severity === 'note') return pressures ? 'warn' : 'note';
  if (wholeVisit) return 'note';
  return pressures ? 'ban' : 'warn';
}

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
}

/**
 * Limits by one of their words, made once for each screening: a step has few words, and most limits name none of them.
 */
const byWord = new WeakMap<Screening, { always: number[]; near: Map<string, number[]> }>();
function indexOf(screening: Screening): { always: number[]; near: Map<string, number[]> } {
  let index = byWord.get(screening);
  if (index) return index;
  index = { always: [], near: new Map() };
  for (const [i, { clause }] of screening.limits.entries()) {
    const { words } = closes(clause);
    const kind = CLAUSE_KINDS.find((k) => words[k])!;
    if (kind === 'work' && words.work!.has('any')) index.always.push(i);
    else
      for (const word of words[kind]!) {
        const key = `${kind}:${word}`;
        const list = index.near.get(key);
        if (list) list.push(i);
        else index.near.set(key, [i]);
      }
  }
  byWord.set(screening, index);
  return index;
}

/** Limits that share a word with a step, in their order. */
function limitsNear(screening: Screening, facts: StepFacts): Limit[] {
  const { always, near } = indexOf(screening);
  const found = new Set(always);
  for (const kind of CLAUSE_KINDS)
    for (const word of facts[kind]) for (const i of near.get(`${kind}:${word}`) ?? []) found.add(i);
  return [...found].sort((a, b) => a - b).map((i) => screening.limits[i]!);
}

/** Every limit that a step runs into. */
export function breachesOf(step: Step, screening: Screening, catalogue: Catalogue): Breach[] {
  const facts = factsOf(step, catalogue);
  const out: Breach[] = [];
  for (const limit of limitsNear(screening, facts)) {
    if (!closesStep(closes(limit.clause), facts)) continue;
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

/** In short words what a caution takes away, for the list beside each answer. Few points are named, many are counted. */
export function takesAway(caution: Caution, names: { region: (id: string) => string }): string {
  if (caution.severity === 'refer-out') return 'the whole visit';
  if (caution.appliesTo.some((c) => closes(c).wholeVisit))
    return caution.severity === 'avoid' ? 'the whole visit' : 'nothing; work with care';
  const parts = caution.appliesTo.map((clause) => {
    const where = WORD_KINDS.flatMap((kind) => (clause[kind] ? [kindWords(kind, clause[kind], names)] : [])).join(
      ' with ',
    );
    return clause.pressure ? `${where ? `${where}: ` : ''}${clause.pressure.join(' and ')} pressure` : where;
  });
  return [...new Set(parts)].join('; ');
}
/** In the order in which they are told. */
const WORD_KINDS = ['muscle', 'point', 'region', 'work', 'tool', 'position'] as const;

function kindWords(
  kind: (typeof WORD_KINDS)[number],
  words: readonly string[],
  names: { region: (id: string) => string },
): string {
  if (kind === 'region') return words.map(names.region).join(', ');
  if (kind === 'muscle') return words.length === 1 ? '1 muscle' : `${words.length} muscles`;
  if (kind === 'point') return words.length > 4 ? `${words.length} points` : words.join(', ');
  return words.map((v) => v.replaceAll('-', ' ')).join(', ');
}

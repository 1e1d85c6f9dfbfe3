import { type Catalogue, hardestOf, type Step } from '../routine/index.ts';
import { lighterOf, type OneSide, otherSide, type Pressure, pressureRank, PRESSURES } from '../words/index.ts';
import {
  CLAUSE_KINDS,
  closes,
  closesStep,
  type Clause,
  type ClauseKind,
  type Closed,
  type StepFacts,
} from './clause.ts';
import { factsOf } from './facts.ts';
import { onOneSide, touchesSide } from './sides.ts';
import { type Caution, type Limit, type Screening, SEVERITIES } from './screen.ts';

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

import { InputError } from '../words/index.ts';

/**
 * What a caution applies to. Clauses separated by `;` (any one is enough); inside a clause terms joined by `+` (all
 * must hold); a term is `kind:value|value` (any of). `technique:any` is the whole visit.
 * Example: `region:forehead|brow+technique:gua-sha;point:GB14`.
 */
export const TERM_KINDS = ['technique', 'pressure', 'tool', 'position', 'region', 'point', 'muscle'] as const;
type TermKind = (typeof TERM_KINDS)[number];
interface Term {
  kind: TermKind;
  values: readonly string[];
  /** The same, for looking up. */
  set: ReadonlySet<string>;
}
export type Clause = readonly Term[];

/** @throws InputError naming the clause that cannot be read. */
export function parseAppliesTo(text: string): Clause[] {
  return text.split(';').map((clause) =>
    clause.split('+').map((term) => {
      const [kind, list, ...rest] = term.split(':');
      if (!TERM_KINDS.includes(kind as TermKind) || !list || rest.length)
        throw new InputError('appliesTo', `cannot read "${term}" in "${clause}"`);
      const values = list.split('|');
      return { kind: kind as TermKind, values, set: new Set(values) };
    }),
  );
}

/** What is known about one step when it is held against cautions. */
export interface StepFacts {
  technique: ReadonlySet<string>;
  pressure: ReadonlySet<string>;
  tool: ReadonlySet<string>;
  position: ReadonlySet<string>;
  region: ReadonlySet<string>;
  point: ReadonlySet<string>;
  muscle: ReadonlySet<string>;
}

function termHolds(term: Term, facts: StepFacts): boolean {
  if (term.kind === 'technique' && term.set.has('any')) return true;
  // A step has few facts, a term may name many points.
  for (const fact of facts[term.kind]) if (term.set.has(fact)) return true;
  return false;
}

export const clauseHolds = (clause: Clause, facts: StepFacts): boolean =>
  clause.every((term) => termHolds(term, facts));

export const isWholeVisit = (clause: Clause): boolean =>
  clause.length === 1 && clause[0]!.kind === 'technique' && clause[0]!.values.includes('any');

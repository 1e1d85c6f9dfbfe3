import { type Catalogue, type Routine, stepsOf } from '../routine/index.ts';
import { factsOf } from './facts.ts';
import { clauseHolds, parseAppliesTo } from './grammar.ts';

/** One thing to make ready. */
export interface PreparationItem {
  key: string;
  label: string;
  /** Work that needs it, in the grammar of cautions; null = always. */
  neededFor: string | null;
}

/** What has to be ready before a routine: what always is, and what its tools, places and kinds of work need. */
export function preparationFor(
  items: readonly PreparationItem[],
  routine: Pick<Routine, 'items'> | null,
  catalogue: Catalogue,
): PreparationItem[] {
  const facts = routine ? stepsOf(routine).map((s) => factsOf(s, catalogue)) : [];
  return items.filter((item) => {
    if (item.neededFor === null) return true;
    const clauses = parseAppliesTo(item.neededFor);
    return facts.some((f) => clauses.some((c) => clauseHolds(c, f)));
  });
}

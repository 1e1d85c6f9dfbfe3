import { type Catalogue, type Routine, stepsOf } from '../routine/index.ts';
import { factsOf } from './facts.ts';
import { closes, closesStep, type Clause } from './clause.ts';

/** One thing to make ready. */
export interface PreparationItem {
  /** Kept with the visit. */
  key: string;
  /** As it is shown. */
  label: string;
  /** Work that needs it, any one clause; null = always. */
  neededFor: readonly Clause[] | null;
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
    const clauses = item.neededFor.map(closes);
    return facts.some((f) => clauses.some((c) => closesStep(c, f)));
  });
}

import type { StoredTechnique } from '../../../core/record';
import { catalogueWith, fromOwn, type Catalogue } from '../../../core/routine';
import { createContext, use, useMemo } from 'react';
import { CATALOGUE } from '../../../reference/catalogue';

type Own = readonly Pick<StoredTechnique, 'own' | 'retired'>[];

/** The practice's own techniques on this page, as the loader brought them. */
export const OwnTechniques = createContext<Own>([]);

/** The library with a practice's own techniques. */
export const withOwn = (own: Own): Catalogue =>
  catalogueWith(
    CATALOGUE,
    own.map((t) => fromOwn(t.own, CATALOGUE, t.retired)),
  );

/** The library with the practice's own techniques, the same one at every call until they change. */
export function useCatalogue(): Catalogue {
  const own = use(OwnTechniques);
  return useMemo(() => withOwn(own), [own]);
}

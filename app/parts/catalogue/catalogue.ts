import { catalogueWith, fromOwn, type Catalogue } from '../../../core/routine';
import { use, useMemo } from 'react';
import { CATALOGUE } from '../../../reference/catalogue';
import { OwnTechniques, type OwnHere } from './own-techniques';

/** The library with a practice's own techniques. */
export const withOwn = (own: OwnHere): Catalogue =>
  catalogueWith(
    CATALOGUE,
    own.map((t) => fromOwn(t.own, CATALOGUE, t.retired)),
  );

/** The library with the practice's own techniques, the same one at every call until they change. */
export function useCatalogue(): Catalogue {
  const own = use(OwnTechniques);
  return useMemo(() => withOwn(own), [own]);
}

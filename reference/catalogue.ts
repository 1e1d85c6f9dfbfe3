import type { Catalogue } from '../core/routine/index.ts';
import { TECHNIQUES } from './facts/techniques/index.ts';
import { PLACE_INDEX } from './place-index.ts';
import { SCHOOLS } from './schools/index.ts';

export { TECHNIQUES };

/** Techniques, places and schools, as the core wants them. */
export const CATALOGUE: Catalogue = {
  techniques: new Map(TECHNIQUES.map((t) => [t.id, t])),
  schools: new Map(SCHOOLS.map((s) => [s.id, s])),
  ...PLACE_INDEX,
};

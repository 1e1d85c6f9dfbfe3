import type { PointPlace, PointRow } from '../../../core/atlas/index.ts';
import type { Region } from '../../../core/words/index.ts';

/**
 * Acupressure points under their WHO standard codes (WHO Standard Acupuncture Point Locations in the Western Pacific
 * Region, 2008; extra points by their customary codes). `place` names the landmark and the body-inches from it; the
 * position itself is computed. Sentences are the product's own; what tradition uses a point for is tradition, not
 * evidence. A row marked from-memory is to be verified against the standard.
 */
export const pointRow = (
  id: string,
  name: string,
  gloss: string,
  paired: boolean,
  region: Region,
  place: PointPlace,
  facts: Omit<PointRow, 'id' | 'name' | 'gloss' | 'paired' | 'region' | 'place'>,
): PointRow => ({ id, name, gloss, paired, region, place, ...facts });

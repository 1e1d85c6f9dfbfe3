import type { Catalogue, Step } from '../routine/index.ts';
import type { OneSide, PlaceRef, Region } from '../words/index.ts';
import type { Answer } from './screen.ts';

/** The side that an answer tells; null when it tells none, and the caution holds on both. */
export const sideOf = (answer: Answer | undefined): OneSide | null =>
  answer === 'left' || answer === 'right' ? answer : null;

/** Regions so narrow that a hand on one half lies on the other as well. Our choice, the safe side. */
const NARROW: ReadonlySet<Region> = new Set([
  'glabella',
  'nose',
  'upper-lip',
  'lips',
  'chin',
  'under-chin',
  'neck-front',
  'whole-face',
]);
const isAcross = (place: PlaceRef, catalogue: Catalogue): boolean =>
  place.kind === 'region' ? NARROW.has(place.id as Region) : !catalogue.isPaired(place);

/** Whether a step touches one side of the client: it works there, in the middle, or over it. */
export function touchesSide(step: Step, side: OneSide, catalogue: Catalogue): boolean {
  const { mode } = step.sides;
  if (mode !== 'left' && mode !== 'right') return true;
  if (mode === side) return true;
  // Where nothing is said of the way, the technique's own regions stand for it.
  const places: readonly PlaceRef[] = step.path.length
    ? step.path
    : (catalogue.techniques.get(step.technique)?.regions ?? []).map((id) => ({ kind: 'region', id }));
  // A still hand that only holds the chin or the forehead works nothing there.
  return places.some((p) => isAcross(p, catalogue));
}

/** The same step on one side of the client only. */
export const onOneSide = (step: Step, side: OneSide): Step => ({
  ...step,
  sides: { ...step.sides, mode: side, first: side, extra: null },
});

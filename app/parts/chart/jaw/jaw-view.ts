import type { StepOpening } from '../../../../core/routine';
import { bestView, spotOf, type Place, type View } from '../places';
import type { JawShown } from './posed';

/**
 * The view that shows a step while the mouth is open: an O from in front, a jaw that moves in profile, where it can be
 * followed; both sides of a face that opens are two profiles, since the opened face knows one opening only.
 */
export function viewWithJaw(opening: StepOpening | null, places: readonly Place[]): View {
  const best = bestView(places);
  if (!opening || best === 'palms' || best === 'backs' || best === 'chest') return best;
  if (opening.isRound) return places.every((p) => spotOf(p, 'front')) ? 'front' : best;
  if (best !== 'opened' && !opening.moves) return best;
  const seen = (view: View) => places.filter((p) => spotOf(p, view)).length;
  if (!seen('left') && !seen('right')) return best;
  return seen('right') > seen('left') ? 'right' : 'left';
}

/** How a step holds the jaw, standing still. */
export const jawHeld = (opening: StepOpening | null): JawShown | null =>
  opening && opening.openingMm > 0
    ? { pose: { openingMm: opening.openingMm, ...(opening.isRound ? { round: 1 } : {}) }, notWider: true }
    : null;

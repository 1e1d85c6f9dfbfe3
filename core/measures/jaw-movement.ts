import { InputError } from '../words/index.ts';

/**
 * Sideways and forward movement of the lower jaw and the path of opening, after the examiner protocol of Schiffman et
 * al., J Oral Facial Pain Headache 2014;28:6–27. All in mm between the same two front teeth.
 */

/** Movement of 7 mm and more is usual, sideways and forward (a convention, sure; it is no verdict on the joint). */
export const USUAL_MOVEMENT_MM = 7;
export const movementBand = (mm: number): 'usual' | 'short' => (mm >= USUAL_MOVEMENT_MM ? 'usual' : 'short');

/** From this far off the midline a path is no longer called straight (three patterns sure, the edge from memory). */
const STRAIGHT_BELOW_MM = 2;
export type OpeningPath = 'straight' | 'returns' | 'stays-off';

const inRange = (field: string, mm: number, least: number, most: number): void => {
  if (!Number.isFinite(mm) || mm < least || mm > most)
    throw new InputError(field, `${least} to ${most} mm is accepted`);
};

/**
 * Sideways movement when the lower midline does not sit under the upper one at rest.
 * @param midlineMm how far it sits to the client's right; negative to the left, −10 to 10.
 */
export function lateralMovement(rightMm: number, leftMm: number, midlineMm = 0): { rightMm: number; leftMm: number } {
  inRange('rightMm', rightMm, 0, 25);
  inRange('leftMm', leftMm, 0, 25);
  inRange('midlineMm', midlineMm, -10, 10);
  return { rightMm: rightMm - midlineMm, leftMm: leftMm + midlineMm };
}

/** Forward movement: what is measured in front of the upper teeth and the horizontal overlap at rest (negative when the lower teeth stand in front). */
export function protrusion(measuredMm: number, overjetMm = 0): number {
  inRange('measuredMm', measuredMm, 0, 20);
  inRange('overjetMm', overjetMm, -15, 15);
  return measuredMm + overjetMm;
}

/** @param offMm furthest distance from the midline on the way, 0 to 20. @param returns whether full opening is on the midline again. */
export function openingPath(offMm: number, returns: boolean): OpeningPath {
  inRange('offMm', offMm, 0, 20);
  return offMm < STRAIGHT_BELOW_MM ? 'straight' : returns ? 'returns' : 'stays-off';
}

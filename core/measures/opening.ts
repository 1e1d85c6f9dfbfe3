import { InputError, roundHalfAway } from '../words/index.ts';

/**
 * Mouth opening. `opening = distance between the incisor edges + vertical overlap`, overlap negative for an open bite
 * (DC/TMD examination protocol, Schiffman et al., J Oral Facial Pain Headache 2014;28:6–27; sure).
 */
export interface Opening {
  /** With the overlap added, in mm. */
  openingMm: number;
  /** How it is called. */
  band: OpeningBand;
}
/** Below 40 mm is limited in the published rule, which is about the assisted opening; taken here as a level of caution. */
export type OpeningBand = 'limited' | 'not-limited';
export const LIMITED_BELOW_MM = 40;
/** Marks on the way of an opening, mm: the published rule, and a stricter one before it (common practice, no source). */
export const OPENING_MARKS_MM = [35, LIMITED_BELOW_MM] as const;

export function openingFromRuler(distanceMm: number, overlapMm = 0): Opening {
  if (!Number.isFinite(distanceMm) || distanceMm < 0 || distanceMm > 90)
    throw new InputError('distanceMm', '0 to 90 mm is accepted');
  if (!Number.isFinite(overlapMm) || overlapMm < -15 || overlapMm > 15)
    throw new InputError('overlapMm', '-15 to 15 mm is accepted');
  const openingMm = roundHalfAway(distanceMm + overlapMm, 1);
  return { openingMm, band: openingBand(openingMm) };
}

/** The three openings in the order in which the jaw reaches them; all are kept with the overlap. */
export const OPENING_KEYS = ['opening-mm', 'opening-furthest-mm', 'opening-assisted-mm'] as const;
export type OpeningKey = (typeof OPENING_KEYS)[number];

/** What the ruler showed between the edges, to the tenth of a millimetre. */
export const betweenEdges = (openingMm: number, overlapMm: number): number => roundHalfAway(openingMm - overlapMm, 1);

/**
 * An opening kept with one overlap, when the overlap turns out to be another: what was measured between the edges stays.
 * @throws InputError when the two cannot both be.
 */
export function movedByOverlap(openingMm: number, fromOverlapMm: number, toOverlapMm: number): number {
  const edgesMm = betweenEdges(openingMm, fromOverlapMm);
  const moved = openingFromRuler(edgesMm, toOverlapMm).openingMm;
  if (moved < 0)
    throw new InputError(
      'Overlap of the front teeth',
      `with ${edgesMm} mm between the edges, ${-edgesMm} mm or more is accepted`,
    );
  return moved;
}

/**
 * Openings that contradict each other: the comfortable one is never wider than the furthest, nor that than the helped
 * one. Up to 2 mm is reading error (our choice).
 */
export function openingsContradict(openings: Readonly<Partial<Record<OpeningKey, number>>>): boolean {
  const given = OPENING_KEYS.flatMap((key) => (openings[key] === undefined ? [] : [openings[key]]));
  return given.some((mm, i) => i > 0 && mm < given[i - 1]! - 2);
}

export const openingBand = (openingMm: number): OpeningBand =>
  openingMm < LIMITED_BELOW_MM ? 'limited' : 'not-limited';

/** Adult finger widths at the end joint run from 14 to 20 mm (from memory, to be verified). */
export const FINGER_WIDTH_MM = { least: 10, most: 26 } as const;

export interface FingerOpening {
  /** The opening is at least this, */
  leastMm: number;
  /** and less than this; null when every measured finger fitted. */
  belowMm: number | null;
}

/**
 * Finger test: how many of the client's own fingers fit between the incisors (index first). Lower bound = sum of the
 * widths that fit, upper bound = that plus the next finger. Overlap is not added: the test is between the incisors.
 */
export function openingFromFingers(widthsMm: readonly number[], fits: number): FingerOpening {
  if (!Array.isArray(widthsMm) || widthsMm.length < 1 || widthsMm.length > 4)
    throw new InputError('widthsMm', 'one to four finger widths are accepted');
  widthsMm.forEach((w, i) => {
    if (!(w >= FINGER_WIDTH_MM.least && w <= FINGER_WIDTH_MM.most))
      throw new InputError(`widthsMm[${i}]`, `${FINGER_WIDTH_MM.least} to ${FINGER_WIDTH_MM.most} mm is accepted`);
  });
  if (!Number.isInteger(fits) || fits < 0 || fits > widthsMm.length)
    throw new InputError('fits', `a whole number from 0 to ${widthsMm.length} is accepted`);
  const sum = (n: number) => widthsMm.slice(0, n).reduce((a, b) => a + b, 0);
  return { leastMm: sum(fits), belowMm: fits < widthsMm.length ? sum(fits + 1) : null };
}

/**
 * The two readings that practitioners give to the finger test; they do not agree (common practice, no source), so both
 * are shown and no single verdict is drawn.
 */
export function fingerReadings(fits: number, strainAt: number | null): { countOnly: string; withStrain: string } {
  const countOnly = fits >= 4 ? 'not bad' : fits === 3 ? 'much tension' : 'much tension, work on it';
  const withStrain =
    fits >= 4
      ? 'fine'
      : fits === 3
        ? strainAt !== null && strainAt <= 3
          ? 'work on it: strain is felt at three'
          : 'fine as long as no strain is felt'
        : 'tight, begin gently';
  return { countOnly, withStrain };
}

/**
 * Change of opening against measuring error: under 5 mm within error, from 9 mm beyond it, between them possible
 * (after Kropmans et al. 1999, 2000: smallest detectable difference 5–9 mm, sure of the range; the three words are our
 * choice).
 */
export type OpeningChange = 'within-error' | 'possible' | 'beyond-error';
const OPENING_ERROR_MM = { possible: 5, beyond: 9 } as const;
export function openingChange(beforeMm: number, afterMm: number): OpeningChange {
  const change = Math.abs(afterMm - beforeMm);
  return change >= OPENING_ERROR_MM.beyond
    ? 'beyond-error'
    : change >= OPENING_ERROR_MM.possible
      ? 'possible'
      : 'within-error';
}

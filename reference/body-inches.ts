import type { BodyInchRow } from '../core/atlas/rows.ts';

const WHO = 'WHO Standard Acupuncture Point Locations in the Western Pacific Region, 2008';

/**
 * Proportional measure: how many body-inches a distance counts. Different in every region; one number for the whole
 * head would misplace points by centimetres. Millimetres of the average adult are from memory, to be verified.
 */
export const BODY_INCHES: readonly BodyInchRow[] = [
  { id: 'face', name: 'face inch', between: 'hairline to between the brows', inches: 3, measure: 'hairlineBrow', use: 'Face, ear, jaw and side of the neck.', source: WHO, mark: 'sure', adult: { mm: 18, sdMm: 2.2 } },
  { id: 'forehead', name: 'forehead inch', between: 'corner to corner of the hairline', inches: 9, measure: 'hairlineCorners', use: 'Sideways inside the front hairline.', source: WHO, mark: 'sure', adult: { mm: 17.5, sdMm: 1.5 } },
  { id: 'scalp', name: 'scalp inch', between: 'front to rear hairline over the crown', inches: 12, measure: 'scalpArc', use: 'Along the midline of the scalp, and upward at the back of the head.', source: WHO, mark: 'sure', adult: { mm: 28.8, sdMm: 1.5 } },
  { id: 'mastoids', name: 'back-of-head inch', between: 'mastoid to mastoid', inches: 9, measure: 'mastoids', use: 'Sideways at the back of the head and the nape.', source: WHO, mark: 'sure', adult: { mm: 14.2, sdMm: 1 } },
  { id: 'nape', name: 'nape inch', between: 'rear hairline to the seventh neck spine', inches: 3, measure: 'nape', use: 'Down the nape below the hairline.', source: 'GB/T 12346 and textbooks', mark: 'from-memory', adult: { mm: 17.3, sdMm: 3 } },
  { id: 'chest', name: 'chest inch', between: 'nipple to nipple, that is the mid-clavicular lines', inches: 8, measure: 'chest', use: 'Chest and collarbone; the mid-clavicular line is at 4.', source: WHO, mark: 'sure', adult: { mm: 24.3, sdMm: 2 } },
  { id: 'forearm', name: 'forearm inch', between: 'elbow crease to wrist crease', inches: 12, measure: 'forearm', use: 'Up the forearm from the wrist crease.', source: WHO, mark: 'sure', adult: { mm: 21.2, sdMm: 1.5 } },
  { id: 'shin', name: 'shin inch', between: 'crease behind the knee to the outer ankle', inches: 16, measure: null, use: 'Heights on the lower leg.', source: WHO, mark: 'sure', adult: { mm: 24.5, sdMm: 2 } },
  { id: 'middle-finger', name: 'middle-finger inch', between: 'the crease ends of the middle finger’s two joints', inches: 1, measure: 'middleFinger', use: 'Short distances; the client’s own finger.', source: WHO, mark: 'sure', adult: { mm: 22, sdMm: 2 } },
  { id: 'thumb', name: 'thumb inch', between: 'width of the thumb’s end joint', inches: 1, measure: 'thumb', use: 'Short distances; the client’s own thumb.', source: WHO, mark: 'sure', adult: { mm: 21.5, sdMm: 2 } },
  { id: 'four-fingers', name: 'four-finger inch', between: 'four fingers together', inches: 3, measure: 'fourFingers', use: 'About three inches at once.', source: WHO, mark: 'sure', adult: { mm: 24.5, sdMm: 1.8 } },
];

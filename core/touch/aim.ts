import { PRESSURE_KPA, type Contact, type Pressure } from '../words/index.ts';

/** What a press aims at, within what its word means. */
export interface Aim {
  word: Pressure;
  /** Of the word. */
  wordLeastKpa: number;
  wordMostKpa: number;
  leastKpa: number;
  mostKpa: number;
}
/** A fifth more or less than the nominal pressure of a word is the aim: twice what a hand can just tell apart (about a tenth, Jones 1989, from memory). Our choice. */
const AIM_SHARE = 0.2;

/**
 * The aim of a word, within its range.
 * @param capKpa what a client may have at most: nothing above it is aimed at
 * @param nominalKpa what a practice has agreed on for the word, in place of its usual middle
 */
export function aimOf(
  word: Pressure,
  { capKpa, nominalKpa }: { capKpa?: number | null; nominalKpa?: number | undefined } = {},
): Aim {
  const { nominal: usual, least, most } = PRESSURE_KPA[word];
  const nominal = Math.min(most, Math.max(least, nominalKpa ?? usual));
  const free = { least: Math.max(least, nominal * (1 - AIM_SHARE)), most: Math.min(most, nominal * (1 + AIM_SHARE)) };
  const cap = capKpa ?? Infinity;
  const mostKpa = Math.min(free.most, cap);
  // A cap below the aim moves the whole of it down, also out of the word: it is the client's.
  const leastKpa = cap < free.most ? Math.min(free.least, (mostKpa * (1 - AIM_SHARE)) / (1 + AIM_SHARE)) : free.least;
  return { word, wordLeastKpa: Math.min(least, leastKpa), wordMostKpa: Math.min(most, cap), leastKpa, mostKpa };
}
/** In the middle of the aim. */
export const middleKpa = (aim: Pick<Aim, 'leastKpa' | 'mostKpa'>): number => (aim.leastKpa + aim.mostKpa) / 2;

/** F = P · A: newton of a pressure in kPa on an area in cm². */
export const forceOn = (kpa: number, areaCm2: number): number => (kpa * areaCm2) / 10;

/**
 * What of a hand can be trained on a pad, and the area that it bears on. Fingertips about 1 cm² each, a thumb's pad 1.5 to
 * 2.5 cm² at working force: from memory, to be checked; knuckle and palm are our choice. A pad tells the area itself.
 */
export const PAD_CONTACTS = ['thumb', 'two-fingers', 'index-knuckle', 'palm'] as const satisfies readonly Contact[];
export type PadContact = (typeof PAD_CONTACTS)[number];
export const PAD_AREA_CM2: Readonly<Record<PadContact, number>> = {
  thumb: 2.2,
  'two-fingers': 2,
  'index-knuckle': 1.4,
  palm: 30,
};
const LIKE: Readonly<Partial<Record<Contact, PadContact>>> = {
  thumb: 'thumb',
  pinch: 'thumb',
  'thumb-knuckle': 'index-knuckle',
  'index-knuckle': 'index-knuckle',
  knuckles: 'index-knuckle',
  fist: 'index-knuckle',
  palm: 'palm',
  'palm-heel': 'palm',
  'whole-hand': 'palm',
};
/** With which of them a contact is rehearsed. */
export const padContactOf = (contact: Contact): PadContact => LIKE[contact] ?? 'two-fingers';

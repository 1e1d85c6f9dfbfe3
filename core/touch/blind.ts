import { afterAnswer, nextQuestion, type TrainerCard, type TrainerGrade } from '../learning/index.ts';
import { PRESSURE_KPA, PRESSURES, type Pressure } from '../words/index.ts';
import { aimOf, type PadContact } from './aim.ts';
import { type Estimated, meanEstimate, averageOf, studentHalf, varianceOf } from './interval.ts';
import { pressesOf } from './presses.ts';
import type { Touch } from './touch.ts';

/** A word that was pressed without seeing anything. */
export interface WordPress {
  id: string;
  /** ISO 8601. */
  at: string;
  word: Pressure;
  contact: PadContact;
  kpa: number;
  sensor: string;
  isStandIn: boolean;
}
/** How a word of a round was met. */
export interface KeptWord {
  word: Pressure;
  kpa: number;
  fit: WordFit;
}
/** Presses agreed on in a practice for a word, kPa. */
export type PadScale = Readonly<Partial<Record<Pressure, number>>>;

/** As if this were aimed at, kPa: a press begins at a quarter of it, half of the least that the lightest word is. */
const LOOKED_FOR_KPA = PRESSURE_KPA.feather.nominal;
/** What was pressed for a word: the mean of the press that was held longest; null where nothing was. */
export function blindPress(trace: readonly Touch[]): number | null {
  const presses = pressesOf(trace, LOOKED_FOR_KPA);
  if (!presses.length) return null;
  return presses.reduce((a, b) => (b.endMs - b.startMs > a.endMs - a.startMs ? b : a)).meanKpa;
}

export type WordFit = 'in-aim' | 'in-word' | 'too-hard' | 'too-soft';
/** Where a press lies against its word. */
export function wordFit(kpa: number, word: Pressure, scale: PadScale = {}): WordFit {
  const aim = aimOf(word, { nominalKpa: scale[word] });
  if (kpa > aim.wordMostKpa) return 'too-hard';
  if (kpa < aim.wordLeastKpa) return 'too-soft';
  return kpa >= aim.leastKpa && kpa <= aim.mostKpa ? 'in-aim' : 'in-word';
}
const GRADES: Readonly<Record<WordFit, TrainerGrade>> = {
  'in-aim': 'good',
  'in-word': 'hard',
  'too-hard': 'again',
  'too-soft': 'again',
};

/** When each word comes back, from all that was pressed of it, oldest first. */
export function wordCards(presses: readonly WordPress[], scale: PadScale = {}): Partial<Record<Pressure, TrainerCard>> {
  const cards: Partial<Record<Pressure, TrainerCard>> = {};
  for (const { at, word, kpa } of presses)
    cards[word] = afterAnswer(cards[word]?.card ?? null, GRADES[wordFit(kpa, word, scale)], new Date(at));
  return cards;
}
/** Two words to press one after the other: what is due first, then what is due after it. */
export function wordsToAsk(cards: Partial<Record<Pressure, TrainerCard>>, now: Date): [Pressure, Pressure] {
  const due = Object.fromEntries(Object.entries(cards).map(([word, { due: at }]) => [word, at]));
  const first = nextQuestion(PRESSURES, due, now, null)!;
  const second = nextQuestion(
    PRESSURES.filter((p) => p !== first),
    due,
    now,
    null,
  )!;
  return [first as Pressure, second as Pressure];
}

/** What is known of a word: its latest presses. */
export interface WordKnown {
  presses: number;
  /** How many fell into the word. */
  within: number;
  /** Which way those that fell out went; null where none did or neither way prevails. */
  leans: 'hard' | 'soft' | null;
}
/** So many of the latest presses of a word count. */
export const WORD_PRESSES = 10;
export const latestOf = <T extends { word: Pressure }>(presses: readonly T[], word: Pressure): T[] =>
  presses.filter((p) => p.word === word).slice(-WORD_PRESSES);

export function wordKnown(presses: readonly WordPress[], word: Pressure, scale: PadScale = {}): WordKnown {
  const fits = latestOf(presses, word).map((p) => wordFit(p.kpa, word, scale));
  const hard = fits.filter((f) => f === 'too-hard').length;
  const soft = fits.filter((f) => f === 'too-soft').length;
  return {
    presses: fits.length,
    within: fits.length - hard - soft,
    leans: hard > soft ? 'hard' : soft > hard ? 'soft' : null,
  };
}

/** From so many presses of a word on its level is told. */
const FEWEST = 5;
const logs = (kpa: readonly number[]): number[] => kpa.map(Math.log);
const risen = ({ value, least, most }: Estimated): Estimated => ({
  value: Math.exp(value),
  least: Math.exp(least),
  most: Math.exp(most),
});
/** Where somebody's word lies, kPa: geometric mean with its 95 % interval, as forces are felt by their ratio (Weber). */
export function wordLevel(kpa: readonly number[]): Estimated | null {
  const level = meanEstimate(logs(kpa), FEWEST);
  return level && risen(level);
}
/** How many times as hard as the first the second presses: ratio of the geometric means with its 95 % interval (Welch). */
export function wordApart(first: readonly number[], second: readonly number[]): Estimated | null {
  if (first.length < FEWEST || second.length < FEWEST) return null;
  const [a, b] = [logs(first), logs(second)];
  const [va, vb] = [varianceOf(a) / a.length, varianceOf(b) / b.length];
  const value = averageOf(b) - averageOf(a);
  if (va + vb === 0) return risen({ value, least: value, most: value });
  const freedom = (va + vb) ** 2 / (va ** 2 / (a.length - 1) + vb ** 2 / (b.length - 1));
  const half = studentHalf(freedom) * Math.sqrt(va + vb);
  return risen({ value, least: value - half, most: value + half });
}
/**
 * What a practice could agree on for a word, kPa: midway between its people, never outside the word.
 * @param levels of each who pressed it often enough
 * @returns null with fewer than two people
 */
export function scaleFor(word: Pressure, levels: readonly number[]): number | null {
  if (levels.length < 2) return null;
  const { least, most } = PRESSURE_KPA[word];
  const midway = Math.exp(averageOf(logs(levels)));
  return Number(Math.min(most, Math.max(least, midway)).toPrecision(2));
}

import type { OneSide } from '../words/index.ts';

/** What is done on one side again and again, and is asked once. */
export const HABITS = ['chewing', 'hand', 'instrument', 'desk'] as const;
export type Habit = (typeof HABITS)[number];
export type HabitSides = Partial<Record<Habit, OneSide | 'both'>>;
export const HABIT_LABELS: Record<Habit, string> = {
  chewing: 'Chews on',
  hand: 'Hand used first',
  instrument: 'Instrument or phone held on',
  desk: 'Screen or desk stands to the',
};

const TOLD: Record<Habit, (side: OneSide | 'both') => string> = {
  chewing: (s) => (s === 'both' ? 'chews on both sides' : `chews on the ${s}`),
  hand: (s) => (s === 'both' ? 'uses both hands' : `${s}-handed`),
  instrument: (s) => (s === 'both' ? 'holds things on both sides' : `holds instrument or phone on the ${s}`),
  desk: (s) => (s === 'both' ? 'screens on both sides' : `screen to the ${s}`),
};

/** "chews on the right, left-handed": for the top of every visit. */
export const habitWords = (sides: HabitSides): string =>
  HABITS.flatMap((h) => (sides[h] ? [TOLD[h](sides[h])] : [])).join(', ');

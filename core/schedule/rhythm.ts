import { type Day, daysOf, weekdayOf } from './days.ts';

/** On which days, and how often. */
export interface Rhythm {
  from: Day;
  /** Last day. */
  until: Day;
  /** 1 = Monday … 7 = Sunday. */
  weekdays: readonly number[];
  timesADay: number;
}

/** The days on which something is planned, in order. */
export const plannedDays = ({ from, until, weekdays }: Pick<Rhythm, 'from' | 'until' | 'weekdays'>): Day[] =>
  daysOf(from, until).filter((day) => weekdays.includes(weekdayOf(day)));

/** How many times in all. */
export const plannedTimes = (plan: Rhythm): number => plannedDays(plan).length * plan.timesADay;

/** What is done between visits, and when. */
export { addDays, daysFrom, weekdayOf } from './days.ts';
export {
  atHome,
  dailyMost,
  HOME_DAYS_MOST,
  HOME_STEPS_MOST,
  HOME_WORDS_LETTERS,
  noLongerForHome,
  planProblems,
  TIMES_A_DAY_MOST,
} from './home-plan.ts';
export { aboutMinutes, homeWords, rhythmWords, yourSides } from './words.ts';
export { plannedDays, plannedTimes } from './rhythm.ts';
export { adherence } from './adherence.ts';

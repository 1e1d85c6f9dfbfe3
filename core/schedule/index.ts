/** What is done between visits, and when. */
export { addDays, weekdayOf } from './days.ts';
export { atHome, dailyMost, HOME_STEPS_MOST, HOME_WORDS_LETTERS, planProblems, TIMES_A_DAY_MOST } from './home-plan.ts';
export { aboutMinutes, homeWords, rhythmWords, yourSides } from './words.ts';
export { adherence, plannedDays, plannedTimes } from './adherence.ts';

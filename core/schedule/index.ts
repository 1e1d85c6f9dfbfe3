/** What is done between visits, and when. */
export { clockValue, datesIn, dayOf, type Dates } from './dates.ts';
export { momentOfLocal } from './local-time.ts';
export { addDays, daysFrom, weekdayOf, type Day } from './days.ts';
export { handLines, handWorkDone, type HandLine, type VisitHands } from './hands-day.ts';
export {
  axisOf,
  bothFree,
  firstFit,
  lanesOf,
  type Lane,
  type RailBooking,
  type RailVisit,
  type DaySpan,
} from './day-rail.ts';
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
export { notForHome, pickForHome } from './pick.ts';
export { aboutMinutes, homeWords, rhythmWords, yourSides } from './words.ts';
export { plannedDays, plannedTimes } from './rhythm.ts';
export { adherence, countsAsDone } from './adherence.ts';
export {
  askFirst,
  FELT_NAMES,
  FELT_TO_TELL,
  happenedAt,
  HOME_NOTE_LETTERS,
  HOME_SILENT_DAYS,
  homeCatalogue,
  homeToday,
  isWarning,
  ITEMS_AT_ONCE,
  homePlaces,
  STOPPED_FOR_TIME,
  type HomeItem,
  type HomePacket,
  type HomeToday,
  type PacketHead,
} from './phone.ts';
export {
  askedBefore,
  BEFORE_ITEMS_AT_ONCE,
  beforePages,
  SAID_WORDS,
  saidOf,
  type BeforeItem,
  type BeforePacket,
  type BeforeQuestion,
} from './before-visit.ts';
export {
  homePlanLetter,
  missedToTell,
  REMINDED_FROM_HOUR,
  visitLetter,
  type Letter,
  type ReminderKind,
} from './reminders.ts';

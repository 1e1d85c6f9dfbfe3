/** What goes out to other programs, and comes in from them: one file for each format. */
export { clientCalendar } from './calendar.ts';

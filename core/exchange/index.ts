/** What goes out to other programs, and comes in from them: one file for each format. */
export { clientCalendar } from './calendar.ts';
export {
  CLIENT_COPY_FORMAT,
  CLIENT_COPY_VERSION,
  COPY_KINDS,
  limitedCopy,
  type ClientCopy,
  type CopiedRow,
  type CopyKind,
} from './client-copy.ts';

import { nrsScore } from '../core/measures/index.ts';
import { courseReason, coursesOf, courseTitle, type RatedAt } from '../core/relief/index.ts';
import { InputError } from '../core/words/index.ts';
import Papa from 'papaparse';

/** What a command line may say beside the ratings. */
export interface ReliefOptions {
  /** ISO 8601: when the work began on every complaint whose rows do not say it themselves. */
  workBegan?: string;
  /** Days of work before a review. */
  reviewDays?: string;
  /** The latest screening found a red flag. */
  redFlag?: boolean;
}

const ISO = /^(\d{4}-\d{2}-\d{2})(T\d{2}:\d{2}(:\d{2}(\.\d+)?)?(Z|[+-]\d{2}:\d{2})?)?$/;
/** What a rating is of: now, or the average or the worst of the past week. Never mixed in one course. */
const WINDOWS = ['now', 'average-week', 'worst-week'];
/** Two offsets of one zone differ by the hour of summer time at most. */
const SUMMER_TIME_MINUTES = 60;

/** A moment in ms since 1970, and its offset from UTC in minutes; null without one. */
function momentOf(text: string, field: string): { atMs: number; offset: number | null } {
  const [, day, time, , , zone] = ISO.exec(text) ?? [];
  const atMs = Date.parse(text);
  // A day that is none is moved on by the parser: the 31st of February is no date.
  const exists = day !== undefined && new Date(`${day}T00:00:00Z`).toJSON()?.startsWith(day);
  if (!exists || Number.isNaN(atMs)) throw new InputError(field, 'an ISO 8601 date is accepted');
  if (!time || !zone) return { atMs, offset: null };
  const [hours, minutes] = zone === 'Z' ? [0, 0] : zone.slice(1).split(':').map(Number);
  return { atMs, offset: (zone.startsWith('-') ? -1 : 1) * (hours! * 60 + minutes!) };
}

const zoneWords = (offset: number | null): string =>
  offset === null
    ? 'no zone'
    : `the zone ${offset < 0 ? '−' : '+'}${String(Math.floor(Math.abs(offset) / 60)).padStart(2, '0')}:${String(Math.abs(offset) % 60).padStart(2, '0')}`;

interface Row extends RatedAt {
  complaint: string;
  offset: number | null;
  window: string;
  workBeganMs: number | null;
  line: number;
}

function rowsOf(text: string, nowMs: number): Row[] {
  const { data, errors } = Papa.parse<Record<string, string>>(text.trim(), { header: true });
  if (errors[0]) throw new InputError(`line ${(errors[0].row ?? 0) + 2}`, errors[0].message);
  return data.map((row, i): Row => {
    const line = `line ${i + 2}`;
    const { atMs, offset } = momentOf(row.at ?? '', `${line}.at`);
    if (atMs > nowMs) throw new InputError(`${line}.at`, 'lies in the future');
    if (!row.complaint) throw new InputError(`${line}.complaint`, 'is missing');
    if (row.source !== 'studio' && row.source !== 'home')
      throw new InputError(`${line}.source`, 'studio or home is accepted');
    const value = nrsScore(row.value === '' ? undefined : Number(row.value), `${line}.value`);
    const window = row.window || 'now';
    if (!WINDOWS.includes(window)) throw new InputError(`${line}.window`, `${WINDOWS.join(', ')} is accepted`);
    const workBeganMs = row.work_began ? momentOf(row.work_began, `${line}.work_began`).atMs : null;
    return { complaint: row.complaint, atMs, value, source: row.source, offset, window, workBeganMs, line: i + 2 };
  });
}

/** One zone in a file, one window and one beginning of the work for each complaint. */
function checkTogether(rows: readonly Row[]): void {
  const first = rows[0];
  const of = new Map<string, Row>();
  for (const row of rows) {
    const apart =
      first!.offset === null || row.offset === null
        ? first!.offset !== row.offset
        : Math.abs(first!.offset - row.offset) > SUMMER_TIME_MINUTES;
    if (apart)
      throw new InputError(
        `line ${row.line}.at`,
        `has ${zoneWords(row.offset)}, line ${first!.line} has ${zoneWords(first!.offset)}; one zone is accepted`,
      );
    const before = of.get(row.complaint);
    if (!before) of.set(row.complaint, row);
    else if (before.window !== row.window)
      throw new InputError(
        `line ${row.line}.window`,
        `is ${row.window}, line ${before.line} of the same complaint is ${before.window}; one window is accepted`,
      );
    else if (before.workBeganMs !== row.workBeganMs)
      throw new InputError(
        `line ${row.line}.work_began`,
        `differs from line ${before.line} of the same complaint; one beginning is accepted`,
      );
  }
}

/**
 * Columns: complaint, at (ISO 8601), value (0–10), source (studio or home); if wanted window (now, average-week,
 * worst-week) and work_began (ISO 8601). Where nobody says when the work began, it began with the first rating.
 */
export function relief(text: string, options: ReliefOptions, nowMs: number): unknown {
  const rows = rowsOf(text, nowMs);
  checkTogether(rows);
  const reviewDays = options.reviewDays === undefined ? undefined : Number(options.reviewDays);
  if (reviewDays !== undefined && !(Number.isInteger(reviewDays) && reviewDays >= 7 && reviewDays <= 180))
    throw new InputError('review-days', '7 to 180 days are accepted');
  const began = options.workBegan === undefined ? null : momentOf(options.workBegan, 'work-began').atMs;
  const courses = coursesOf(rows, (complaint) => {
    const own = rows.filter((r) => r.complaint === complaint);
    return {
      workStartMs: own[0]!.workBeganMs ?? began ?? Math.min(...own.map((r) => r.atMs)),
      redFlag: options.redFlag ?? false,
      ...(reviewDays === undefined ? {} : { reviewDays }),
    };
  });
  return [...courses].map(([complaint, { judgement }]) => ({
    complaint,
    title: courseTitle(complaint, judgement),
    reason: courseReason(judgement),
    ...judgement,
  }));
}

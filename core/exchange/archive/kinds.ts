import { CLIENT_ROWS } from './client-rows.ts';
import { LATER_ROWS } from './later-rows.ts';
import { PRACTICE_ROWS } from './practice-rows.ts';

/**
 * Every kind of row of a practice, in an order in which each refers to those before it. The names of fields are those
 * under which they are stored; moments carry their offset.
 */
export const ARCHIVE_ROWS = { ...PRACTICE_ROWS, ...CLIENT_ROWS, ...LATER_ROWS } as const;
export type ArchiveKind = keyof typeof ARCHIVE_ROWS;
export const ARCHIVE_KINDS = Object.keys(ARCHIVE_ROWS) as ArchiveKind[];

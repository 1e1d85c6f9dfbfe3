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

/** The version from which on an archive has a kind; the others were there from the first. */
export const KIND_SINCE: Readonly<Partial<Record<ArchiveKind, number>>> = {
  ...{ rooms: 2, waiting: 2, 'pad-tries': 3 },
  ...{ 'pad-words': 4, 'pad-scale': 4, 'pad-checks': 4, 'tempo-tries': 4 },
};
/** What rows of earlier versions say without saying it, by the version that added it. */
const ADDED_IN: Readonly<Record<number, Partial<Record<ArchiveKind, Readonly<Record<string, unknown>>>>>> = {
  2: {
    practice: { before_minutes: 15, after_minutes: 5, day_from: '09:00', day_until: '19:00' },
    members: { left_at: null, hand_strength: {} },
    clients: { practitioner_id: null },
    visits: { room_id: null },
  },
  4: { 'find-it-answers': { took_ms: null } },
};
/** What a row of a kind has to be given that stands in an archive of an earlier version. */
export const addedSince = (version: number, kind: ArchiveKind): Record<string, unknown> =>
  Object.assign(
    {},
    ...Object.entries(ADDED_IN).map(([since, of]) => (Number(since) > version ? of[kind] : {})),
  ) as Record<string, unknown>;

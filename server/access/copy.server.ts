import { QueryTypes } from 'sequelize';
import { copy } from '../db/connection.ts';
import { inCopy } from '../db/scope.ts';

/** Older than this, what a copy has is not shown: the primary is asked. Our choice. */
const OLDEST_MS = 60_000;

/** What was read, and of when it is where it came from the copy: ISO 8601, null where it is of now. */
interface Read<T> {
  told: T;
  asOf: string | null;
}

/**
 * Of when the rows of the copy are: of now where it has played everything that it got and still gets more, else of the
 * last write that it played. Null where the primary answers in its place.
 */
const ASKED = `select case when not pg_is_in_recovery() then null
  when pg_last_wal_receive_lsn() = pg_last_wal_replay_lsn() and exists (select 1 from pg_stat_wal_receiver) then now()
  else pg_last_xact_replay_timestamp() end as at, pg_is_in_recovery() as "isCopy"`;

interface CopyState {
  at: Date | null;
  isCopy: boolean;
}
/** Whether what a copy has may be shown: it is one, it says of when it is, and that is not long ago. */
export const isShown = ({ at, isCopy }: CopyState, nowMs: number): boolean =>
  isCopy && at !== null && nowMs - at.getTime() < OLDEST_MS;

/**
 * Reads from the copy where a page says of when its figures are; from the primary where there is no copy, it is too far
 * behind or it does not answer. `work` asks in SQL and writes nothing.
 */
export async function fromCopy<T>(work: () => Promise<T>): Promise<Read<T>> {
  const there = copy();
  if (!there) return { told: await work(), asOf: null };
  try {
    const [state] = await inCopy(() => there.query<CopyState>(ASKED, { type: QueryTypes.SELECT }));
    if (isShown(state!, Date.now())) return { told: await inCopy(work), asOf: state!.at!.toISOString() };
  } catch (error) {
    // Away: everything else is told as it is.
    if (!(error instanceof Response && error.status === 503)) throw error;
  }
  return { told: await work(), asOf: null };
}

import { type GuideEvent, payloadOf, readGuideEvent } from '../../core/guide/index.ts';
import { readRoutine, type Routine } from '../../core/routine/index.ts';

/**
 * What stands in the database is read, never cast: documents of an earlier version are brought up to the present one at
 * every reading, so that nothing behind this file knows that there were others.
 */
export const storedRoutine = (value: unknown): Routine | null => (value === null ? null : readRoutine(value));

/** A row of the log of a run. */
export interface StoredEvent {
  id: string;
  kind: string;
  atMs: number;
  /** What belongs to the event; earlier rows kept it as one text. */
  payload: Record<string, unknown> | null;
  text: string | null;
}
export const storedEvent = ({ id, kind, atMs, payload, text }: StoredEvent): GuideEvent =>
  readGuideEvent({ id, kind, atMs, ...(text === null ? {} : { text }), ...payload });

export const eventRow = (event: GuideEvent): Omit<StoredEvent, 'text'> => ({
  id: event.id,
  kind: event.kind,
  atMs: event.atMs,
  payload: payloadOf(event),
});

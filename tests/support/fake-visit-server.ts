import {
  EMPTY_FINDINGS,
  EMPTY_SCREEN,
  hasEnded,
  type Visit,
  type VisitPatch,
  withPatch,
  type Working,
  workingOf,
} from '../../core/record/index.ts';
import type { Post, SaveAnswer } from '../../app/rooms/visit/session/save-queue.ts';

export const VISIT = 'v1';
export const NOW = '2027-03-09T10:00:00.000Z';
/** A note that the server refuses for good. */
export const BAD_NOTE = 'a note that is refused';

/** A visit's server as a device meets it: the same rules as the real one, without a database. */
export class FakeVisitServer {
  version = 1;
  state: Working = workingOf(
    {
      stage: 'screen',
      screen: EMPTY_SCREEN,
      routine: null,
      record: null,
      findings: EMPTY_FINDINGS,
    } as unknown as Visit,
    [],
    [],
  );
  signedIn = true;
  /** Ids that were acknowledged or could be, with what they said and the version they made. */
  readonly known = new Map<string, { body: string; version: number }>();

  private visit(): Visit {
    const { stage, screen, routine, origin, record, findings } = this.state;
    return {
      id: VISIT,
      clientId: 'c1',
      practitionerId: 'p1',
      startsAt: NOW,
      bookedMinutes: null,
      stage,
      screen,
      routine,
      origin,
      record,
      findings,
      referral: null,
      endedAt: null,
      version: this.version,
    };
  }
  /** Another window writes. */
  foreign(patch: VisitPatch): void {
    if (hasEnded(this.state.stage)) return;
    this.state = withPatch(this.state, patch, VISIT, NOW);
    this.version++;
  }
  take({ saveId, expectedVersion, patch }: Parameters<Post>[0]): SaveAnswer {
    if (!this.signedIn) return { result: 'signed-out' };
    if (patch.kind === 'record' && patch.record.note === BAD_NOTE)
      return { result: 'invalid', field: 'patch.record.note', message: 'This note cannot be kept.' };
    const body = JSON.stringify(patch);
    const before = this.known.get(saveId);
    if (before)
      return before.body === body
        ? { result: 'saved', version: before.version }
        : { result: 'refused', message: 'Another entry was written under this id before.' };
    const theirs = () =>
      structuredClone({ visit: this.visit(), readings: this.state.readings, scores: this.state.scores });
    if (expectedVersion !== this.version) return { result: 'stale', ...theirs() };
    if (hasEnded(this.state.stage)) return { result: 'ended', ...theirs() };
    this.state = withPatch(this.state, structuredClone(patch), VISIT, NOW);
    this.known.set(saveId, { body, version: ++this.version });
    return { result: 'saved', version: this.version };
  }
}

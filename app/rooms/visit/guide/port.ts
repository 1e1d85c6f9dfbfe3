import { type GuideEvent, readGuideEvent } from '../../../../core/guide';
import { readRoutine } from '../../../../core/routine';
import type { OpenRun, RunPort } from '../../../parts/player/port';
import { nowMs } from '../../../parts/player/clock';
import { tellSignedOut } from '../../../parts/frame/signed-out';

interface Answer {
  run?: { id: string; routine: unknown; events: unknown[] };
  taken?: string[];
  status?: OpenStatus;
}
type OpenStatus = 'open' | 'done' | 'stopped';

async function post(visitId: string, body: unknown): Promise<Answer | 'refused' | null> {
  try {
    const response = await fetch(`/visits/${visitId}/run`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (response.status === 401) tellSignedOut();
    // The run has ended elsewhere, or the event is none that is taken: sending it again changes nothing.
    if (response.status === 409 || response.status === 422) return 'refused';
    return response.ok && response.headers.get('Content-Type')?.includes('json')
      ? ((await response.json()) as Answer)
      : null;
  } catch {
    return null;
  }
}

/** Runs of a visit: kept there, event by event. */
export const portOfVisit = (visitId: string): RunPort => ({
  begin: async (id): Promise<OpenRun | null> => {
    const answer = await post(visitId, { kind: 'open', runId: id });
    if (!answer || answer === 'refused' || !answer.run) return null;
    const { run } = answer;
    return { id: run.id, routine: readRoutine(run.routine), events: run.events.map(readGuideEvent) };
  },
  send: async (runId, events: readonly GuideEvent[]) => {
    const answer = await post(visitId, { kind: 'events', runId, events, nowMs: nowMs() });
    return answer === 'refused' ? 'refused' : (answer?.taken ?? null);
  },
  // Every event is there already: asked is whether the run has ended there too, by the clock that decides.
  packet: async ({ id }) => {
    const answer = await post(visitId, { kind: 'events', runId: id, events: [], nowMs: nowMs() });
    return answer === 'refused' || (answer !== null && answer.status !== 'open');
  },
});

import type { Routine } from '../../../core/routine';
import { forgetRun } from '../../parts/player/event-queue';
import type { RunPort } from '../../parts/player/port';

/** Runs that nobody is worked on in: nothing of them is kept, on this device neither. */
export function rehearsalPort(routine: Routine): RunPort & { forget: () => void } {
  let own: string | null = null;
  return {
    begin: (id) => {
      own = id;
      return Promise.resolve({ id, routine, events: [] });
    },
    send: (_runId, events) => Promise.resolve(events.map((e) => e.id)),
    packet: () => Promise.resolve(true),
    forget: () => own !== null && forgetRun(own),
  };
}

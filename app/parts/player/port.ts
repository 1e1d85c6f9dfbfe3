import type { GuideEvent, GuideState } from '../../../core/guide';
import type { Cue, Routine, Step } from '../../../core/routine';
import type { Pressure } from '../../../core/words';

/** One performance of a routine, with what happened in it so far. */
export interface OpenRun {
  /** Made on the device that began it. */
  id: string;
  /** As it was when the run began. */
  routine: Routine;
  events: GuideEvent[];
}

/**
 * Where a run goes to: to a visit, to a plan at home, or nowhere in a rehearsal. The player knows nothing else of where
 * it stands.
 */
export interface RunPort {
  /** Begins a run under an id made on the device; the one that is open already comes back instead. Null when it could not. */
  begin: (id: string) => Promise<OpenRun | null>;
  /** Ids that are kept now; refused when none of them ever will be; null when nobody was reached. */
  send: (runId: string, events: readonly GuideEvent[]) => Promise<string[] | 'refused' | null>;
  /** Hands over the run when it has ended; true once its end is kept. */
  packet: (run: OpenRun) => Promise<boolean>;
}

/** Where a run is, for what is measured beside it. */
export interface BesideRun {
  cue: Cue;
  step: Step;
  /** As it was made lighter or firmer. */
  pressure: Pressure | null;
  status: GuideState['status'];
}

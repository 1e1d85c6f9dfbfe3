import type { Cue } from '../routine/index.ts';

/** An opening and a closing that nobody counts takes so long, ms. Our choice. */
const UNCOUNTED_MS = 5000;
/** The unit of a count in which every beat is one opening. */
const OPENINGS = 'openings';

/**
 * How far a moving jaw is open in a cue, 0 shut to 1 as far as it opens: one opening and closing for every beat of a count
 * of openings; where something else is counted, or nothing, at the client's own pace.
 * @param intoMs since the cue began
 */
export function jawShare(cue: Cue, intoMs: number): { share: number; closing: boolean } {
  const intervalMs = cue.beats?.unit === OPENINGS ? cue.beats.intervalMs : UNCOUNTED_MS;
  const phase = (((intoMs % intervalMs) + intervalMs) % intervalMs) / intervalMs;
  return { share: (1 - Math.cos(2 * Math.PI * phase)) / 2, closing: phase >= 0.5 };
}

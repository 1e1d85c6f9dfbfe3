import { DRAWN_POSES, nearestPose } from '../../../core/drawing';
import { jawShare, type GuideState } from '../../../core/guide';
import { type Cue, type StepOpening, WORKING } from '../../../core/routine';
import { useLayoutEffect, useMemo } from 'react';
import { jawHeld } from '../chart/jaw/jaw-view';
import type { JawShown } from '../chart/jaw/posed';
import { useStillness } from '../chart/jaw/use-jaw-frames';

/** Tells at any time how far a run's jaw is open: what it was told last goes on with the clock. */
class JawClock {
  private now: { cue: Cue; state: GuideState } | null = null;
  constructor(private readonly mostMm: number) {}
  tell(cue: Cue, state: GuideState): void {
    this.now = { cue, state };
  }
  at = (nowMs: number): number => {
    if (!this.now) return 0;
    const { cue, state } = this.now;
    const since = state.status === 'running' ? Math.max(0, nowMs - state.atMs) : 0;
    return this.mostMm * shareAt(cue, state.intoMs + since);
  };
}

/** How the jaw is held in a run now: still, or opening and closing with the count. */
export function useJaw(cue: Cue, state: GuideState, opening: StepOpening | null): JawShown | null {
  const still = useStillness();
  const mostMm = opening?.openingMm ?? 0;
  const isLive = state.status === 'running' || state.status === 'paused';
  const moves = isLive && !!opening?.moves && mostMm > 0;
  const clock = useMemo(() => (moves && !still ? new JawClock(mostMm) : null), [moves, still, mostMm]);
  useLayoutEffect(() => clock?.tell(cue, state));
  const moving = useMemo(() => (clock ? { mostMm, at: clock.at } : undefined), [clock, mostMm]);
  if (!opening) return null;
  if (!moves) return jawHeld(opening);
  const share = shareAt(cue, state.intoMs);
  if (moving) return { pose: { openingMm: mostMm * share }, notWider: true, moving };
  // Without motion the drawn poses take turns.
  const { name } = nearestPose({ openingMm: mostMm }, 'left', true);
  return { pose: { openingMm: share > 0.5 && name ? DRAWN_POSES[name].openingMm : 0 }, notWider: true };
}

/** Hands that look for their place wait with the mouth shut. */
const shareAt = (cue: Cue, intoMs: number): number => (WORKING.has(cue.kind) ? jawShare(cue, intoMs).share : 0);

const STOPS = {
  usual: '',
  comfortable: ', no wider than is comfortable',
  click: ', to just before the click',
} as const;
/** "now opening, to 25 mm"; empty where the jaw does not move. */
export function jawWords(cue: Cue, state: GuideState, opening: StepOpening | null): string {
  if (!opening) return '';
  const to = `${Number(opening.openingMm.toFixed(1))} mm${STOPS[opening.stopsAt]}`;
  if (!opening.moves) return `mouth open ${to}`;
  if (!WORKING.has(cue.kind)) return `then opens to ${to}`;
  return jawShare(cue, state.intoMs).closing ? 'now closing' : `now opening, to ${to}`;
}

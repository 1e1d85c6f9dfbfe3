import { cueLengthMs, type GuideState } from '../../../core/guide';
import { alongPath, type Cue, type Step, type StepOpening } from '../../../core/routine';
import type { Screening } from '../../../core/limits';
import { keepOffMarks, standingMarks } from '../chart/chart-marks';
import { FaceChart } from '../chart/face-chart';
import type { RingState } from '../chart/layers';
import { pathMark } from '../chart/path-layer';
import { viewWithJaw } from '../chart/jaw/jaw-view';
import { placesOn, spotOf, VIEWS, worldOf, type Place } from '../chart/places';
import { useMemo } from 'react';
import { useJaw } from './use-jaw';

/** A keep-off place is named when the contact comes so near. Our choice. */
const NEAR_MM = 55;
/** On the drawn head, straight through; a hand and the head are never near each other. */
function mmBetween(a: Place, b: Place): number {
  const [from, to] = [worldOf(a)?.mm, worldOf(b)?.mm];
  if (!from || !to || !VIEWS.some((v) => spotOf(a, v) && spotOf(b, v))) return Infinity;
  return Math.hypot(from[0] - to[0], from[1] - to[1], from[2] - to[2]);
}

/** Where the contact is now, on each side it is worked. */
function contactNow(step: Step, cue: Cue, intoMs: number): RingState['at'] {
  const at = alongPath(cue, intoMs, step.stroke);
  const [from, to] = [step.path[Math.floor(at)], step.path[Math.ceil(at)]];
  if (!from || !to) return [];
  const [starts, ends] = [placesOn(from, cue.side), placesOn(to, cue.side)];
  // From the midline a stroke parts to both sides, toward it they meet.
  const longer = starts.length >= ends.length ? starts : ends;
  return longer.map((_, i) => ({
    from: (starts[i] ?? starts[0])!,
    to: (ends[i] ?? ends[0])!,
    share: at - Math.floor(at),
  }));
}

/** What the chart keeps in sight: the place that is worked, or the whole way that is travelled. */
const inSight = (step: Step, cue: Cue): Place[] =>
  (cue.placeIndex === null ? step.path : step.path.slice(cue.placeIndex, cue.placeIndex + 1)).flatMap((p) =>
    placesOn(p, cue.side),
  );

/** The chart of a run: the ring on the place of the cue, its way along the skin, what is done of it, what to keep off. */
export function PlayerChart({
  step,
  cue,
  state,
  screening,
  opening,
  mirror,
  onTouch,
}: {
  step: Step;
  cue: Cue;
  state: GuideState;
  screening: Screening | null;
  /** How far the mouth opens in this step; null where it stays shut. */
  opening: StepOpening | null;
  /** As in a mirror, or not, whatever the practitioner chose for the chart. */
  mirror?: boolean | undefined;
  /** The face itself is a large control; who cannot touch it has another. */
  onTouch?: (() => void) | undefined;
}) {
  const isLive = state.status === 'running' || state.status === 'paused';
  const isReady = state.status === 'ready';
  const follow = useMemo(() => inSight(step, cue), [step, cue]);
  const keepOff = useMemo(() => (screening ? keepOffMarks(screening) : standingMarks()), [screening]);
  // Named only where hands are near: elsewhere the mark is enough.
  const near = useMemo(
    () => keepOff.map((k) => ({ ...k, named: follow.some((p) => mmBetween(p, k.place) < NEAR_MM) })),
    [keepOff, follow],
  );
  const jaw = useJaw(cue, state, opening);
  const view = follow.length ? viewWithJaw(opening, follow) : null;
  /** What the view that fits best does not show: the other side, the back, a hand. */
  const elsewhere = useMemo(() => (view ? follow.filter((p) => !spotOf(p, view)) : []), [view, follow]);
  const lengthMs = cueLengthMs(cue, state);
  const at = isLive ? contactNow(step, cue, Math.min(state.intoMs, lengthMs)) : [];
  const ring = isLive ? { at, left: lengthMs ? 1 - state.intoMs / lengthMs : 0, pressure: state.pressure } : null;
  const paths = isLive ? [{ ...pathMark(step, cue.side), done: cue.placeIndex ?? 0 }] : [];
  return (
    <div className="guide-chart" onClick={onTouch}>
      <FaceChart
        key={String(mirror)}
        {...(mirror === undefined ? {} : { mirror, bare: true, isOwn: true })}
        zoom={isLive}
        follow={follow}
        turn={view}
        jaw={jaw}
        paths={paths}
        keepOff={isReady ? keepOff : near}
        muscles={step.path
          .filter((p) => p.kind === 'muscle')
          .flatMap((p) =>
            placesOn(p, cue.side).flatMap((q) =>
              q.side === 'midline' ? [] : [{ id: p.id, side: q.side, chosen: true }],
            ),
          )}
        ring={ring}
      />
      {isLive && elsewhere.length > 0 && (
        <div className="guide-second" aria-hidden="true">
          <FaceChart
            zoom
            bare
            mirror={mirror ?? false}
            isOwn={mirror !== undefined}
            follow={elsewhere}
            jaw={jaw}
            paths={paths}
            ring={ring}
          />
        </div>
      )}
    </div>
  );
}

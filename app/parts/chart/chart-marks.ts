import type { Reading, ReadingPhase } from '../../../core/measures';
import type { ValuePair } from '../../../core/relief';
import { hardestOf, stepsOf, type Routine, type SidePlan } from '../../../core/routine';
import { keepOffPlaces, type Screening } from '../../../core/limits';
import type { OneSide, Side } from '../../../core/words';
import { PLACE_INDEX } from '../../../reference/place-index';
import { KEEP_OFF, REGION_PATCHES } from '../../../reference/facts/other-places';
import type { Change, KeepOff, Sounding, Stop } from './layers';
import { placeKey, placesOn } from './places';

const PX_PER_MM = 1.5;
const RADIUS = new Map<string, number>(REGION_PATCHES.map((r) => [r.id, r.radiusMm * PX_PER_MM * 0.8]));

/** What is off limits today, and the joint that never is pressed. */
export function keepOffMarks(screening: Screening): KeepOff[] {
  const today = keepOffPlaces(screening, PLACE_INDEX).flatMap(({ place, side, why }) =>
    placesOn(place, side ?? 'both').map((p) => ({
      place: p,
      radius: place.kind === 'region' ? (RADIUS.get(place.id) ?? 14) : 10,
      word: why.toLowerCase(),
      named: true,
    })),
  );
  // On the midline, and where several close it, one mark says it.
  const byPlace = new Map(today.map((mark) => [placeKey(mark.place), mark]));
  return [...byPlace.values(), ...standingMarks()];
}

export const standingMarks = (): KeepOff[] =>
  KEEP_OFF.flatMap((k) =>
    placesOn({ kind: 'keep-off', id: k.id }, 'both').map((place) => ({ place, radius: 6, word: k.name, named: false })),
  );

export const soundingsOf = (readings: readonly Reading[], phase: ReadingPhase): Sounding[] =>
  readings
    .filter((r) => r.measure === 'tenderness' && r.phase === phase)
    .map((r) => ({ place: { kind: 'muscle', id: r.place, side: r.side as OneSide }, value: r.value }));

const planSide = (mode: SidePlan['mode']): Side => (mode === 'together' || mode === 'each' ? 'both' : mode);

/** Tenderness of two times, where it was pressed at both. */
export const changeMarks = (pairs: readonly ValuePair[]): Change[] =>
  pairs
    .filter((p) => p.measure === 'tenderness' && (p.side === 'left' || p.side === 'right'))
    .map((p) => ({
      place: { kind: 'muscle', id: p.place, side: p.side as OneSide },
      before: p.first,
      after: p.now,
    }));

/** Numbered stops of a routine; a step over several places stops at the first of its path on each side. */
export function stopsOf(routine: Routine, chosen: string | null): Stop[] {
  return stepsOf(routine).flatMap((step, i) => {
    const first = step.path.map((p) => placesOn(p, planSide(step.sides.mode))).find((p) => p.length) ?? [];
    return first.map((place) => ({
      id: step.id,
      number: i + 1,
      place,
      pressure: hardestOf(step),
      active: step.id === chosen,
    }));
  });
}

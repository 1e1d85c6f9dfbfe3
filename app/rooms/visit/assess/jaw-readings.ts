import { otherSide } from '../../../../core/words';
import type { ReadingEntry } from '../../../../core/record';
import {
  checkedReading,
  type MeasureKey,
  MEASURES,
  movedByOverlap,
  OPENING_KEYS,
  type ReadingPhase,
} from '../../../../core/measures';
import type { JawLimits } from '../../../../core/routine';
import { useMemo } from 'react';
import { useVisit } from '../session/context';
import { usePast } from './past';

const MOVEMENTS: ReadonlySet<MeasureKey> = new Set<MeasureKey>([
  'sideways-mm',
  'forward-mm',
  'midline-mm',
  'path-off-mm',
  'click-opening-mm',
  'click-closing-mm',
]);
type Sided = 'midline' | 'left' | 'right';

/** Readings of the jaw in one phase of this visit, those of the last visit beside them, and how they are set. */
export function useJawReadings(phase: ReadingPhase) {
  const { readings, setReading } = useVisit();
  const past = usePast();
  const find = (measure: MeasureKey, side: Sided, p: ReadingPhase) =>
    readings.find((r) => r.measure === measure && r.side === side && r.phase === p)?.value;
  const entry = (measure: MeasureKey, value: number | null, side: Sided = 'midline', p = phase): ReadingEntry => ({
    measure,
    complaintId: null,
    place: '',
    side,
    phase: p,
    value,
  });
  /** The overlap is asked once, before the work, and holds for the whole visit. */
  const overlapMm = find('overlap-mm', 'midline', 'before');
  return {
    overlapMm,
    /** Sideways, forward, path or clicks were measured before the work. */
    hasMoved: readings.some((r) => r.phase === 'before' && MOVEMENTS.has(r.measure)),
    of: (measure: MeasureKey, side: Sided = 'midline') => find(measure, side, phase),
    /** On re-test what was measured before the work, otherwise what was measured last time. */
    was: (measure: MeasureKey, side: Sided = 'midline') =>
      phase === 'after' ? find(measure, side, 'before') : past({ measure, side }).at(-1),
    /** The whole course so far. */
    past: (measure: MeasureKey, side: Sided = 'midline') => (phase === 'after' ? [] : past({ measure, side })),
    check: (measure: MeasureKey) => (typed: number) => checkedReading(measure, typed, MEASURES[measure].name),
    set: (measure: MeasureKey, value: number | null, side: Sided = 'midline') =>
      setReading(entry(measure, value, side)),
    /** Of two sides only one can hold: giving one takes the other away. */
    setOneSide: (measure: MeasureKey, value: number | null, side: 'left' | 'right') => {
      const other = otherSide(side);
      setReading(
        entry(measure, value, side),
        ...(value !== null && find(measure, other, phase) !== undefined ? [entry(measure, null, other)] : []),
      );
    },
    /** Openings are kept with the overlap, so they move with it and stay what was measured between the edges. */
    setOverlap: (value: number | null) => {
      const openings = readings.filter((r) => (OPENING_KEYS as readonly MeasureKey[]).includes(r.measure));
      setReading(
        entry('overlap-mm', value, 'midline', 'before'),
        ...openings.map((r) =>
          entry(r.measure, movedByOverlap(r.value, overlapMm ?? 0, value ?? 0), 'midline', r.phase),
        ),
      );
    },
    /** Refuses an overlap with which an opening already measured could not be. */
    checkOverlap: (typed: number): number => {
      const overlap = checkedReading('overlap-mm', typed, MEASURES['overlap-mm'].name);
      for (const r of readings)
        if ((OPENING_KEYS as readonly MeasureKey[]).includes(r.measure))
          movedByOverlap(r.value, overlapMm ?? 0, overlap);
      return overlap;
    },
  };
}
/** How far the client's mouth may open today: as measured in this visit, else at the last one. */
export function useOpeningLimits(): JawLimits {
  const { of, was } = useJawReadings('before');
  const latest = (measure: MeasureKey, side?: Sided) => of(measure, side) ?? was(measure, side);
  const clicks = (['left', 'right'] as const).flatMap((side) => latest('click-opening-mm', side) ?? []);
  const comfortableMm = latest('opening-mm');
  const clickMm = clicks.length ? Math.min(...clicks) : undefined;
  return useMemo(() => ({ comfortableMm, clickMm }), [comfortableMm, clickMm]);
}
export type JawReadings = ReturnType<typeof useJawReadings>;

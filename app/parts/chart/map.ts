import { CLIENT_MEASURE_IDS, CLIENT_MEASURES, type ClientMeasureId } from '../../../core/atlas';
import { CAMERAS, onSheet, project, PX_PER_MM } from '../../../core/drawing';
import { LANDMARKS } from '../../../reference/facts/landmarks';
import { DRAINAGE_PATHS, LYMPH_NODES } from '../../../reference/facts/lymph';
import { MUSCLES } from '../../../reference/facts/muscles';
import { POINTS } from '../../../reference/facts/points';
import { flipX, placesOn, sheetOf, type Place, type PlaceTable, type Shown, type Spot, type View } from './places';

export interface MapMark {
  place: Place;
  name: string;
  at: Spot;
}

const SIDES = ['left', 'right'] as const;
const marksOf = (
  kind: Place['kind'],
  rows: readonly { id: string; name: string }[],
  shown: Shown,
  label: (row: { id: string; name: string }) => string,
): MapMark[] =>
  rows.flatMap((row) =>
    placesOn({ kind, id: row.id }, 'both').flatMap((place) => {
      const at = shown(place);
      return at ? [{ place, name: label(row), at }] : [];
    }),
  );

export const pointMarks = (shown: Shown) =>
  marksOf('point', POINTS, shown, (p) => p.id.replace('EX-', '').replace('HN-', ''));
export const landmarkMarks = (shown: Shown) => marksOf('landmark', LANDMARKS, shown, (l) => l.name);
export const nodeMarks = (shown: Shown) => marksOf('node', LYMPH_NODES, shown, (n) => n.name);
export const muscleMarks = (shown: Shown, deep: boolean) =>
  marksOf(
    'muscle',
    MUSCLES.filter((m) => m.fan && (deep || m.layer === 'superficial')),
    shown,
    (m) => m.name,
  );

/** Both sides are drawn, the viewer's right half is named: the other half mirrors it. */
export const isNamed = (mark: MapMark, view: View): boolean =>
  view === 'left' || view === 'right' || mark.at.x >= sheetOf(view).width / 2 - 1;

export interface MeasureLine {
  id: ClientMeasureId;
  path: Spot[];
}

const VIA: Partial<Record<ClientMeasureId, readonly string[]>> = {
  scalpArc: ['vertex', 'crown-point', 'opisthocranion', 'eop'],
};
/** Half the length of a line across a finger, in mm. */
const ACROSS_MM = 9;

/**
 * The measuring lines of a view, from landmark to landmark as the caliper goes: through the head, so that an end that
 * is hidden by skin is drawn all the same.
 */
export function measureLines(view: View, mirrored: boolean, table: PlaceTable): MeasureLine[] {
  // Calipers go through the head: on the opened face there is no such way.
  if (view === 'opened') return [];
  const camera = CAMERAS[view];
  const at = (landmark: string, side: 'left' | 'right'): Spot | null => {
    const placed = table[`landmark:${landmark}.midline`] ?? table[`landmark:${landmark}.${side}`];
    if (!placed) return null;
    const [x, y] = project(camera, placed.mm);
    return { x: flipX(onSheet(camera, x, side === 'right'), mirrored, view), y };
  };
  return CLIENT_MEASURE_IDS.filter((id) => CLIENT_MEASURES[id].view === view).flatMap((id) => {
    const { from, to } = CLIENT_MEASURES[id];
    const middle = at(from, 'left');
    const path =
      from !== to
        ? [from, ...(VIA[id] ?? []), to].map((landmark) => at(landmark, 'left'))
        : view === 'palms'
          ? middle && [-1, 1].map((s) => ({ x: middle.x + s * ACROSS_MM * PX_PER_MM, y: middle.y }))
          : SIDES.map((side) => at(from, side));
    return path?.every((p) => p !== null) ? [{ id, path: path as Spot[] }] : [];
  });
}

export interface DrainageStroke {
  id: string;
  from: Spot;
  to: Spot;
}

/** Strokes of the drainage paths, and the ways from group to group, that can be seen whole in a view. */
export function drainageIn(shown: Shown): { strokes: DrainageStroke[]; ways: DrainageStroke[] } {
  const spot = (kind: 'node' | 'drainage', id: string, side: 'left' | 'right') => shown(`${kind}:${id}.${side}`);
  const line = (id: string, from: Spot | null, to: Spot | null): DrainageStroke[] =>
    from && to ? [{ id, from, to }] : [];
  return {
    strokes: SIDES.flatMap((side) =>
      DRAINAGE_PATHS.flatMap((p) => line(`${p.id}.${side}`, spot('drainage', p.id, side), spot('node', p.to, side))),
    ),
    ways: SIDES.flatMap((side) =>
      LYMPH_NODES.flatMap((n) =>
        n.next[0] ? line(`${n.id}.${side}`, spot('node', n.id, side), spot('node', n.next[0], side)) : [],
      ),
    ),
  };
}

import { CLIENT_MEASURES, CLIENT_MEASURE_IDS, type ClientMeasureId } from '../../core/atlas/client-measure';
import { LANDMARKS } from '../../reference/landmarks';
import { DRAINAGE_PATHS, LYMPH_NODES } from '../../reference/lymph';
import { MUSCLES } from '../../reference/muscles';
import { POINTS } from '../../reference/points';
import { placesOn, sheetOf, shownSpot, type Place, type Spot, type View } from './places';

export interface MapMark {
  place: Place;
  name: string;
  at: Spot;
}

const SIDES = ['left', 'right'] as const;
const marksOf = (kind: Place['kind'], rows: readonly { id: string; name: string }[], view: View, mirrored: boolean, label: (row: { id: string; name: string }) => string): MapMark[] =>
  rows.flatMap((row) =>
    placesOn({ kind, id: row.id }, 'both').flatMap((place) => {
      const at = shownSpot(place, view, mirrored);
      return at ? [{ place, name: label(row), at }] : [];
    }),
  );

export const pointMarks = (view: View, mirrored: boolean) => marksOf('point', POINTS, view, mirrored, (p) => p.id.replace('EX-', '').replace('HN-', ''));
export const landmarkMarks = (view: View, mirrored: boolean) => marksOf('landmark', LANDMARKS, view, mirrored, (l) => l.name);
export const nodeMarks = (view: View, mirrored: boolean) => marksOf('node', LYMPH_NODES, view, mirrored, (n) => n.name);
export const muscleMarks = (view: View, mirrored: boolean, deep: boolean) => marksOf('muscle', MUSCLES.filter((m) => m.fan && (deep || m.layer === 'superficial')), view, mirrored, (m) => m.name);

/** Both sides are drawn, the viewer's right half is named: the other half mirrors it. */
export const isNamed = (mark: MapMark, view: View): boolean => view === 'left' || view === 'right' || mark.at.x >= sheetOf(view).width / 2 - 1;

export interface MeasureLine {
  id: ClientMeasureId;
  path: Spot[];
}

const VIA: Partial<Record<ClientMeasureId, readonly string[]>> = { scalpArc: ['vertex', 'crown-point', 'opisthocranion', 'eop'] };

/** The measuring lines that can be drawn in a view: from landmark to landmark, on the client's left where it has a side. */
export function measureLines(view: View, mirrored: boolean): MeasureLine[] {
  return CLIENT_MEASURE_IDS.flatMap((id) => {
    const { from, to } = CLIENT_MEASURES[id];
    const at = (landmark: string, side: 'left' | 'right') => {
      const place = placesOn({ kind: 'landmark', id: landmark }, side)[0];
      return place ? shownSpot(place, view, mirrored) : null;
    };
    const path = from === to ? SIDES.map((side) => at(from, side)) : [from, ...(VIA[id] ?? []), to].map((landmark) => at(landmark, view === 'right' ? 'right' : 'left'));
    return path.every((p) => p !== null) ? [{ id, path: path as Spot[] }] : [];
  });
}

export interface DrainageStroke {
  id: string;
  from: Spot;
  to: Spot;
}

/** Strokes of the drainage paths, and the ways from group to group, that can be seen whole in a view. */
export function drainageIn(view: View, mirrored: boolean): { strokes: DrainageStroke[]; ways: DrainageStroke[] } {
  const spot = (kind: 'node' | 'drainage', id: string, side: 'left' | 'right') => shownSpot(`${kind}:${id}.${side}`, view, mirrored);
  const line = (id: string, from: Spot | null, to: Spot | null): DrainageStroke[] => (from && to ? [{ id, from, to }] : []);
  return {
    strokes: SIDES.flatMap((side) => DRAINAGE_PATHS.flatMap((p) => line(`${p.id}.${side}`, spot('drainage', p.id, side), spot('node', p.to, side)))),
    ways: SIDES.flatMap((side) => LYMPH_NODES.flatMap((n) => (n.next[0] ? line(`${n.id}.${side}`, spot('node', n.id, side), spot('node', n.next[0], side)) : []))),
  };
}

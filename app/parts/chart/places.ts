import type { ChartPlace } from '../../../core/atlas';
import {
  FLAT_VIEWS,
  type FlatView,
  isOnChest,
  leftEdge,
  sheetOf,
  type Spot,
  squareness,
  type View,
  VIEWS,
} from '../../../core/drawing';
import type { OneSide, PlaceRef, Side } from '../../../core/words';
import PLACES from '../../../reference/derived/places.json';

export { FLAT_VIEWS, sheetOf, VIEWS, type View };
export const VIEW_NAMES: Record<View, string> = {
  opened: 'Opened',
  front: 'Front',
  right: 'Right',
  left: 'Left',
  back: 'Back',
  top: 'Top',
  chest: 'Chest',
  palms: 'Palms',
  backs: 'Hands',
};

export type { Spot };
export type PlaceTable = Readonly<Record<string, ChartPlace>>;
/** The places of the standard drawing. */
export const places = PLACES as unknown as PlaceTable;

/** A place on one side: what marks are put on and what can be picked. */
export interface Place {
  kind: PlaceRef['kind'];
  id: string;
  side: OneSide | 'midline';
}
export const placeKey = (p: Place): string => `${p.kind}:${p.id}.${p.side}`;

/** The single-sided places behind a reference worked on some side; a place on the midline stays there. */
export function placesOn(ref: PlaceRef, side: Side): Place[] {
  const { kind, id } = ref;
  if (places[`${kind}:${id}.midline`]) return [{ kind, id, side: 'midline' }];
  const sides: OneSide[] = side === 'both' || side === 'midline' ? ['left', 'right'] : [side];
  return sides.filter((s) => places[`${kind}:${id}.${s}`]).map((s) => ({ kind, id, side: s }));
}

/** Where a place is drawn in a view; null where it cannot be seen. */
export const spotOf = (place: Place, view: View): Spot | null => places[placeKey(place)]?.views[view] ?? null;

/** On the drawn head or hand, in mm; null when it is not drawn. */
export const worldOf = (place: Place): ChartPlace | null => places[placeKey(place)] ?? null;

/** Mirrored for self-work in front of a mirror: the drawing is flipped, words are not. */
export const flipX = (x: number, mirrored: boolean, view: View): number => (mirrored ? sheetOf(view).width - x : x);

/** Finds where a place is shown: by place, or by the key of something that is no place of work. */
export type Shown = (place: Place | string) => Spot | null;

/** Places as one view shows them, mirrored or not, on the standard drawing or on one fitted to a client. */
export const shownIn =
  (view: View, mirrored: boolean, table: PlaceTable = places): Shown =>
  (place) => {
    const spot = table[typeof place === 'string' ? place : placeKey(place)]?.views[view];
    return spot ? { x: flipX(spot.x, mirrored, view), y: spot.y } : null;
  };

/** Farther back than this the sheet of the opened face is a rim. */
const BEHIND_MM = -50;
/** How squarely a flat view looks at a place; below nothing where it does not show it. */
function facing(place: Place, view: FlatView): number {
  const located = places[placeKey(place)];
  return located?.views[view] ? squareness(located.mm, view) : -1;
}

/**
 * The view whose surface faces these places: the opened face where they lie on both sides of it, else the one that shows
 * most of them squarely. One that hides a place pays for it, ties go to the front.
 */
export function bestView(wanted: readonly Place[]): View {
  const sides = new Set(wanted.map((p) => p.side));
  const bothSides = sides.has('left') && sides.has('right');
  const opens = (p: Place): boolean => {
    const located = places[placeKey(p)];
    return !!located?.views.opened && !isOnChest(located.mm) && located.mm[2] > BEHIND_MM;
  };
  if (bothSides && wanted.every(opens)) return 'opened';
  const score = (view: FlatView) => wanted.reduce((sum, p) => sum + facing(p, view), view === 'front' ? 0.01 : 0);
  return [...FLAT_VIEWS].sort((a, b) => score(b) - score(a))[0]!;
}

/** Words at the edges of a view, left edge first. Profiles show one side only. */
export function edgesOf(view: View, mirrored: boolean): [string, string] {
  const left = leftEdge(view);
  if (left === null) return [`client’s ${view}`, ''];
  const edges: [string, string] = left === 'right' ? ['R', 'L'] : ['L', 'R'];
  return mirrored ? [edges[1], edges[0]] : edges;
}

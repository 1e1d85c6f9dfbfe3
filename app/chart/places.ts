import type { PlaceRef } from '../../core/routine/model';
import type { OneSide, Side } from '../../core/units';
import PLACES from '../../reference/chart/places.json';

export const VIEWS = ['front', 'right', 'left', 'back'] as const;
export type View = (typeof VIEWS)[number];
export const VIEW_NAMES: Record<View, string> = { front: 'Front', right: 'Right', left: 'Left', back: 'Back' };
export const CHART_WIDTH = 440;
export const CHART_HEIGHT = 560;

export interface Spot {
  x: number;
  y: number;
  visible: boolean;
}
interface Located {
  mm: number[];
  views: Record<View, Spot>;
}
const places = PLACES as unknown as Record<string, Located>;

/** A place on one side: what marks are put on and what can be picked. */
export interface Place {
  kind: PlaceRef['kind'];
  id: string;
  side: OneSide | 'midline';
}
export const placeKey = (p: Place): string => `${p.kind}:${p.id}.${p.side}`;

/** The single-sided places behind a reference worked on some side; a place on the midline stays there. */
export function placesOn(ref: PlaceRef, side: Side): Place[] {
  if (places[`${ref.kind}:${ref.id}.midline`]) return [{ ...ref, side: 'midline' }];
  const sides: OneSide[] = side === 'both' || side === 'midline' ? ['left', 'right'] : [side];
  return sides.filter((s) => places[`${ref.kind}:${ref.id}.${s}`]).map((s) => ({ ...ref, side: s }));
}

export const spotOf = (place: Place, view: View): Spot | null => places[placeKey(place)]?.views[view] ?? null;

/** Mirrored for self-work in front of a mirror: the drawing is flipped, words are not. */
export const flipX = (x: number, mirrored: boolean): number => (mirrored ? CHART_WIDTH - x : x);

/** How squarely a view looks at a place: 1 = straight on. */
function facing(place: Place, view: View): number {
  const located = places[placeKey(place)];
  if (!located?.views[view].visible) return -1;
  const [x, , z] = located.mm as [number, number, number];
  const length = Math.hypot(x / 75, z / 100) || 1;
  return { front: z / 100, back: -z / 100, left: x / 75, right: -x / 75 }[view] / length;
}

/** The view that shows most of these places squarely; one that hides a place pays for it, ties go to the front. */
export function bestView(wanted: readonly Place[]): View {
  const score = (view: View) => wanted.reduce((sum, p) => sum + facing(p, view), view === 'front' ? 0.01 : 0);
  return [...VIEWS].sort((a, b) => score(b) - score(a))[0]!;
}

/** Words at the edges of a view, left edge first. Profiles show one side only. */
export function edgesOf(view: View, mirrored: boolean): [string, string] {
  if (view === 'left' || view === 'right') return [`client’s ${view}`, ''];
  const edges: [string, string] = view === 'front' ? ['R', 'L'] : ['L', 'R'];
  return mirrored ? [edges[1], edges[0]] : edges;
}

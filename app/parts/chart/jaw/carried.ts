import { DRAWN_POSES, MOST_DRAWN_MM, nearestPose, POSES_OF, type PoseName } from '../../../../core/drawing';
import { isProfile, type PosedView } from './posed';
import type { Carried, CarryAsked } from '../../../workers/carry-lines';
import { type PoseDrawings, STANDARD_DRAWINGS } from './pose-drawings';

export type Profile = 'left' | 'right';
export const drawnMm = (pose: PoseName | null): number => (pose ? DRAWN_POSES[pose].openingMm : 0);

/** The drawn openings of a profile in their order, the shut one first. */
const order = (view: Profile): readonly (PoseName | null)[] => [null, ...POSES_OF[view]];

/** From where to where a drawing is carried: half way to its neighbours. */
function reachOf(view: Profile, pose: PoseName | null): { fromMm: number; toMm: number } {
  const all = order(view);
  const i = all.indexOf(pose);
  const half = (a: number, b: number) => (drawnMm(all[a]!) + drawnMm(all[b]!)) / 2;
  return { fromMm: i > 0 ? half(i - 1, i) : 0, toMm: i < all.length - 1 ? half(i, i + 1) : MOST_DRAWN_MM };
}

/** A drawn profile whose lines can be carried to any opening within its reach. */
export interface CarriedDrawing extends Carried {
  reach: { fromMm: number; toMm: number };
  atMm: number;
}

/** The drawings that a posed view needs: one, or all between which it moves. */
export const drawingsFor = ({ view, drawing, moving }: Pick<PosedView, 'view' | 'drawing' | 'moving'>) =>
  moving && isProfile(view) ? drawingsUpTo(view, moving.mostMm) : [drawing];

/** The drawings between which a profile moves that opens so far at most. */
function drawingsUpTo(view: Profile, mostMm: number): (PoseName | null)[] {
  const all = order(view);
  return all.slice(0, all.indexOf(nearestPose({ openingMm: mostMm }, view).name) + 1);
}
/** Fetches what such a movement needs, so that it is there when there is no network. */
export async function fetchMovement(view: Profile, mostMm: number): Promise<void> {
  const each = drawingsUpTo(view, mostMm).flatMap((pose) => [
    STANDARD_DRAWINGS.markup(view, pose),
    STANDARD_DRAWINGS.depths(view, pose),
  ]);
  await Promise.allSettled(each);
}

const known = new Map<string, Promise<CarriedDrawing>>();
/** Worked out once per drawing, in a worker. */
export function carriedDrawing(drawings: PoseDrawings, view: Profile, pose: PoseName | null): Promise<CarriedDrawing> {
  const key = `${drawings.key} ${view} ${pose}`;
  let made = known.get(key);
  if (!made) {
    made = carry(drawings, view, pose);
    known.set(key, made);
    made.catch(() => known.delete(key));
  }
  return made;
}

async function carry(drawings: PoseDrawings, view: Profile, pose: PoseName | null): Promise<CarriedDrawing> {
  const [markup, depths] = await Promise.all([drawings.markup(view, pose), drawings.depths(view, pose)]);
  const { proportions } = drawings.head;
  const reach = reachOf(view, pose);
  const atMm = drawnMm(pose);
  const toMm = [reach.fromMm, reach.toMm];
  const asked: CarryAsked = { proportions, view, markup, depths, drawnMm: atMm, toMm };
  const worker = new Worker(new URL('../../../workers/carry-lines.ts', import.meta.url), { type: 'module' });
  try {
    const carried = await new Promise<Carried>((done, failed) => {
      worker.onmessage = ({ data }: MessageEvent<Carried>) => done(data);
      worker.onerror = () => failed(new Error('the lines could not be carried'));
      worker.postMessage(asked);
    });
    return { ...carried, reach, atMm };
  } finally {
    worker.terminate();
  }
}

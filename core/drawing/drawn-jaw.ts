import { CAMERAS, project } from './views.ts';
import { flatLens, type Lens } from './lens.ts';
import { poseFlesh, type PosedFlesh } from './jaw-flesh.ts';
import { jawPlaces, type JawPose } from './jaw-motion.ts';
import { openedLens } from './opened.ts';
import type { PoseView } from './poses.ts';
import { frame } from './proportions.ts';
import type { Vec3, Xy } from './vector.ts';

/** The jaw of the drawn adult, in closed form: what is laid over its drawings needs no body. */
const drawn = frame();
/** Where it turns and is measured. */
export const DRAWN_JAW = jawPlaces(drawn);
const lenses: Partial<Record<PoseView, Lens>> = {};
const lensOfPose = (view: PoseView): Lens =>
  (lenses[view] ??= view === 'opened' ? openedLens(drawn.height) : flatLens(CAMERAS[view]));

/** A place of the drawn adult on the sheet of a view, viewBox px. */
export const onPosedSheet = (view: PoseView, p: Vec3): Xy => {
  const [x, y] = view === 'opened' ? lensOfPose(view).project(p) : project(CAMERAS[view], p);
  return [x, y];
};

/** No opening is drawn beyond this, mm: farther it looks forced. */
export const MOST_DRAWN_MM = 45;
const asDrawn = ({ openingMm, leftMm = 0, round = 0 }: JawPose): Required<JawPose> => ({
  openingMm: Math.min(MOST_DRAWN_MM, Math.max(0, openingMm)),
  leftMm,
  round,
});

const KEPT_MOST = 200;
const known = new Map<string, PosedFlesh>();
/** The flesh of the drawn adult in a pose. */
export function drawnFlesh(pose: JawPose): PosedFlesh {
  const { openingMm, leftMm, round } = asDrawn(pose);
  const key = `${openingMm.toFixed(2)} ${leftMm} ${round}`;
  let flesh = known.get(key);
  if (!flesh) {
    if (known.size >= KEPT_MOST) known.clear();
    known.set(key, (flesh = poseFlesh({ openingMm, leftMm, round }, DRAWN_JAW)));
  }
  return flesh;
}

/** A straight opening is worked out every so many mm, and in between mixed. */
const STATION_MM = 5;
const STATIONS = Array.from({ length: MOST_DRAWN_MM / STATION_MM + 1 }, (_, i) => i * STATION_MM);
const ways = new Map<string, Vec3[]>();

/** Where a place of the shut drawn adult's flesh is in a pose: within 0.3 mm, quick enough for every frame. */
export function posedFlesh(q: Vec3, pose: JawPose): Vec3 {
  const { openingMm, leftMm, round } = asDrawn(pose);
  if (leftMm || round) return drawnFlesh(pose).posed(q);
  const key = q.join(' ');
  let way = ways.get(key);
  if (!way) ways.set(key, (way = STATIONS.map((mm) => drawnFlesh({ openingMm: mm }).posed(q))));
  const at = openingMm / STATION_MM;
  const i = Math.min(Math.floor(at), STATIONS.length - 2);
  const [a, b, t] = [way[i]!, way[i + 1]!, at - i];
  return [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t];
}

/** The throat: its skin is held back by the neck, which does not follow an opening, mm. */
const THROAT = { belowY: -102, fromZ: -20, toZ: 60 } as const;
/** The same of a place that is worked or told; those of the throat stay. */
export const posedPlace = (q: Vec3, pose: JawPose): Vec3 =>
  q[1] < THROAT.belowY && q[2] > THROAT.fromZ && q[2] < THROAT.toZ ? q : posedFlesh(q, pose);

/**
 * A fibre that runs from the skull, which stays, to the jaw, which carries its lower end: straight stays straight, its
 * slant changes. Sideways it lies on the skin.
 * @param line from skull to jaw, shut
 */
export function stretchedFibre(line: readonly Vec3[], pose: JawPose): Vec3[] {
  const end = line[line.length - 1]!;
  const to = drawnFlesh(pose).motion.moved(end);
  return line.map((q, i) => {
    const share = i / (line.length - 1);
    return [posedFlesh(q, pose)[0], q[1] + share * (to[1] - end[1]), q[2] + share * (to[2] - end[2])];
  });
}

import { earOutline } from './ear.ts';
import { featureCurves, openedCurves } from './features.ts';
import { handCurves } from './hand.ts';
import type { Bodies } from './bodies.ts';
import type { Mouth } from './mouth.ts';
import { mouthSvg, openMouthCurves } from './mouth-drawing.ts';
import type { PosedBodies } from './posed-head.ts';
import type { PoseView } from './poses.ts';
import { drawRelief, type QuietZone, type Relief } from './relief.ts';
import { terrainSvg } from './svg.ts';
import { thumbsSvg } from './thumbs.ts';
import { traceDepth, type DepthMap } from './trace.ts';
import { mirrored, type Vec3, type Xy } from './vector.ts';
import { flatLens, type Lens } from './lens.ts';
import { openedLens } from './opened.ts';
import { CAMERAS, PICTURES, VIEWS, type View } from './views.ts';

/** The right profile is the left one seen in a mirror: trace once, flip the columns. */
function flipped(map: DepthMap): DepthMap {
  const { columns, rows } = map;
  const depth = new Float32Array(map.depth.length);
  const height = new Float32Array(map.depth.length);
  const normal = new Float32Array(map.normal.length);
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      const to = j * columns + i;
      const from = j * columns + columns - 1 - i;
      depth[to] = map.depth[from]!;
      height[to] = map.height[from]!;
      normal.set([-map.normal[3 * from]!, map.normal[3 * from + 1]!, map.normal[3 * from + 2]!], 3 * to);
    }
  return { ...map, lens: flatLens(CAMERAS.right), depth, height, normal };
}

/** How a view sees a head. */
export const lensOf = (view: View, { head }: Bodies): Lens =>
  view === 'opened' ? openedLens(head.frame.height) : flatLens(CAMERAS[view]);

/** What a view sees of the bodies. `resolution` = samples per viewBox px, 0.4–3; `left` saves tracing the right profile. */
export function traceView(bodies: Bodies, view: View, resolution: number, left?: DepthMap): DepthMap {
  if (view === 'right') return flipped(left ?? traceView(bodies, 'left', resolution));
  const picture = PICTURES[view];
  return traceDepth(
    picture.body === 'hand' ? bodies.handDistance : bodies.head.body.distance,
    lensOf(view, bodies),
    picture,
    resolution * picture.detail,
  );
}

/** The terrain drawing of one view as SVG text. Pure and deterministic. */
export const drawView = (bodies: Bodies, view: View, map: DepthMap): string =>
  terrainSvg(view, PICTURES[view], reliefOf(bodies, view, map));

/**
 * What a view of the head sees of it with its jaw posed: an aside pose is not the same on both sides.
 * @param left saves tracing the right profile of one that does not go aside
 */
export function tracePose(posed: PosedBodies, view: PoseView, resolution: number, left?: DepthMap): DepthMap {
  const { bodies, flesh } = posed;
  if (view === 'right' && !flesh.motion.pose.leftMm) return flipped(left ?? tracePose(posed, 'left', resolution));
  const picture = PICTURES[view];
  const symmetric = picture.symmetric && !flesh.motion.pose.leftMm;
  return traceDepth(bodies.head.body.distance, lensOf(view, bodies), { ...picture, symmetric }, resolution);
}

/** The terrain drawing of a view of a head whose jaw is posed, as SVG text. */
export function drawPose({ bodies, mouth }: PosedBodies, view: PoseView, map: DepthMap): string {
  if (!mouth) return drawView(bodies, view, map);
  const relief = reliefOf(bodies, view, map, mouth);
  return terrainSvg(view, PICTURES[view], relief, mouthSvg(mouth, view, map, relief.silhouette));
}

/** One small picture of every view, side by side in one SVG text. */
export const drawThumbs = (bodies: Bodies, maps: Readonly<Record<View, DepthMap>>): string =>
  thumbsSvg(VIEWS.map((view) => ({ view, relief: reliefOf(bodies, view, maps[view]) })));

/** @param mouth of a head whose mouth is open: its lines in place of those of the shut one */
function reliefOf(bodies: Bodies, view: View, map: DepthMap, mouth?: Mouth): Relief {
  const picture = PICTURES[view];
  const { project } = map.lens;
  const { head, drop, hand } = bodies;
  if (view === 'palms' || view === 'backs')
    return drawRelief({ view, picture, map, curves: handCurves(hand, view), quiet: [], mute: [] });
  const own = featureCurves(head, drop);
  const curves = [
    ...(mouth ? [...own.filter((c) => !c.ofMouth), ...openMouthCurves(mouth)] : own),
    ...(view === 'opened' ? openedCurves(head, drop) : []),
  ];
  const quiet: QuietZone[] = [];
  const sides: ((p: Vec3) => Vec3)[] =
    view === 'left' ? [(p) => p] : view === 'right' ? [mirrored] : [(p) => p, mirrored];
  for (const side of sides) {
    const zone: QuietZone = {
      outline: earOutline(head.ear)
        .map((p) => project(side(p)))
        .map((q) => [q[0], q[1]]),
    };
    quiet.push(
      view === 'left' || view === 'right'
        ? zone
        : { ...zone, depthMm: project(side(head.ear.at(0, 15, 0)))[2], slackMm: 22 },
    );
  }
  if (mouth && (view === 'front' || view === 'opened'))
    quiet.push({
      outline: mouth.rim.map((p): Xy => {
        const q = project(p);
        return [q[0], q[1]];
      }),
    });
  const nostrils = [1, -1].map((s) => project([...head.frame.zone.nose(s * 7, -33), 98] as unknown as Vec3));
  const mute = view === 'front' || view === 'opened' ? nostrils.map((q) => [q[0], q[1], 13] as const) : [];
  return drawRelief({ view, picture, map, curves, quiet, mute });
}

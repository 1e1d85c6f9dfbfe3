import { earOutline } from './ear.ts';
import { featureCurves } from './features.ts';
import { handCurves } from './hand.ts';
import type { Bodies } from './bodies.ts';
import { drawRelief, type QuietZone } from './relief.ts';
import { terrainSvg } from './svg.ts';
import { traceDepth, type DepthMap } from './trace.ts';
import { mirrored, type Vec3 } from './vector.ts';
import { CAMERAS, project, type View } from './views.ts';

/** The right profile is the left one seen in a mirror: trace once, flip the columns. */
function flipped(map: DepthMap): DepthMap {
  const { columns, rows } = map;
  const depth = new Float32Array(map.depth.length);
  const normal = new Float32Array(map.normal.length);
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      const to = j * columns + i;
      const from = j * columns + columns - 1 - i;
      depth[to] = map.depth[from]!;
      normal.set([-map.normal[3 * from]!, map.normal[3 * from + 1]!, map.normal[3 * from + 2]!], 3 * to);
    }
  return { ...map, depth, normal };
}

/** What a view sees of the bodies. `resolution` = samples per viewBox px, 0.4–3; `left` saves tracing the right profile. */
export function traceView(bodies: Bodies, view: View, resolution: number, left?: DepthMap): DepthMap {
  if (view === 'right') return flipped(left ?? traceView(bodies, 'left', resolution));
  const camera = CAMERAS[view];
  return traceDepth(
    camera.body === 'hand' ? bodies.handDistance : bodies.head.body.distance,
    camera,
    resolution * camera.detail,
  );
}

/** The terrain drawing of one view as SVG text. Pure and deterministic. */
export function drawView(bodies: Bodies, view: View, map: DepthMap): string {
  const camera = CAMERAS[view];
  const { head, drop, hand } = bodies;
  if (view === 'palms' || view === 'backs')
    return terrainSvg(
      view,
      camera,
      drawRelief({ view, camera, map, curves: handCurves(hand, view), quiet: [], mute: [] }),
    );
  const curves = featureCurves(head, drop);
  const quiet: QuietZone[] = [];
  const sides: ((p: Vec3) => Vec3)[] =
    view === 'left' ? [(p) => p] : view === 'right' ? [mirrored] : [(p) => p, mirrored];
  for (const side of sides) {
    const zone: QuietZone = {
      outline: earOutline(head.ear)
        .map((p) => project(camera, side(p)))
        .map((q) => [q[0], q[1]]),
    };
    quiet.push(
      view === 'left' || view === 'right'
        ? zone
        : { ...zone, depthMm: project(camera, side(head.ear.at(0, 15, 0)))[2], slackMm: 22 },
    );
  }
  const nostrils = [1, -1].map((s) => project(camera, [...head.frame.zone.nose(s * 7, -33), 98] as unknown as Vec3));
  const mute = view === 'front' ? nostrils.map((q) => [q[0], q[1], 13] as const) : [];
  return terrainSvg(view, camera, drawRelief({ view, camera, map, curves, quiet, mute }));
}

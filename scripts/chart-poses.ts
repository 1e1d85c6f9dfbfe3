/**
 * Draws the head with its jaw posed: `npm run chart-poses [-- resolution [drawings]]`, a drawing being a view and a pose
 * (`left.open-25`), or a view alone for what carries the lines of the shut one. Writes beside the terrain of the shut
 * head, and the fibres that an opening jaw stretches under reference/derived/. The results are committed.
 */
import {
  buildBodies,
  CAMERAS,
  DRAWN_POSES,
  depthBytes,
  drawPose,
  fibreLines,
  pathsOfSvg,
  poseBodies,
  poseFlesh,
  jawPlaces,
  POSE_VIEWS,
  POSES_OF,
  seenFibres,
  tracePose,
  traceView,
  type PoseName,
  type PoseView,
  type Vec3,
} from '../core/drawing/index.ts';
import { readFileSync, writeFileSync } from 'node:fs';
import { MUSCLES } from '../reference/facts/muscles/index.ts';
import { STRETCHED_BY_OPENING } from '../reference/facts/muscles/jaw.ts';

const FOLDER = 'app/parts/chart/terrain';
/** Samples per px of what is committed. */
const SHIPPED = 1.4;
const resolution = Number(process.argv[2] ?? SHIPPED);
const PROFILES = ['left', 'right'] as const;
const every = [...PROFILES, ...POSE_VIEWS.flatMap((view) => POSES_OF[view].map((pose) => `${view}.${pose}`)), 'fibres'];
const asked = process.argv[3]?.split(',') ?? every;

for (const [i, name] of asked.entries()) {
  if (name === 'fibres') continue;
  const [view, pose] = name.split('.') as [PoseView, PoseName | undefined];
  const posed = poseBodies(pose ? DRAWN_POSES[pose] : { openingMm: 0 });
  const map = tracePose(posed, view, resolution);
  // The shut one is drawn by `npm run chart`.
  const svg = pose ? drawPose(posed, view, map) : readFileSync(`${FOLDER}/${view}.svg`, 'utf8');
  if (pose) writeFileSync(`${FOLDER}/${name}.svg`, svg);
  else if (resolution === SHIPPED && drawPose(posed, view, map) !== svg)
    throw new Error(`${name}: a shut jaw is drawn otherwise than the head of ${FOLDER}; run npm run chart first`);
  if (view === 'left' || view === 'right')
    writeFileSync(`${FOLDER}/${name}.depths.bin`, depthBytes(pathsOfSvg(svg), map, CAMERAS[view]));
  console.log(`${i + 1} of ${asked.length}: ${name}, ${(svg.length / 1000).toFixed(0)} kB`);
}

if (asked.includes('fibres')) {
  /** A fibre that nowhere moves so far at the widest drawn opening stays, mm. */
  const MOVES_MM = 0.5;
  /** Every so many places of a fibre are kept. */
  const EVERY = 4;
  const bodies = buildBodies();
  const wide = poseFlesh(DRAWN_POSES['open-40'], jawPlaces(bodies.head.frame));
  const moves = (p: Vec3) => Math.hypot(...wide.posed(p).map((v, i) => v - p[i]!)) > MOVES_MM;
  const views = ['front', 'left', 'opened'] as const;
  const maps = Object.fromEntries(views.map((view) => [view, traceView(bodies, view, 0.7)]));
  const rows = MUSCLES.flatMap(({ id, fan }) => {
    if (!fan) return [];
    const lines = fibreLines(fan, bodies);
    const isStretched = (STRETCHED_BY_OPENING as readonly string[]).includes(id);
    if (!isStretched && !lines.some((line) => line.some((p) => p && moves(p)))) return [];
    const seen = views.flatMap((view) => {
      const drawn = seenFibres(lines, maps[view]!, false);
      const thin = drawn?.map((line) =>
        line
          .filter((_, i) => i % EVERY === 0 || i === line.length - 1)
          .map((p) => p.map((v) => Math.round(v * 10) / 10)),
      );
      return thin ? [[view, thin] as const] : [];
    });
    return seen.length
      ? [[id, { isRing: fan.kind === 'ring' && !fan.half, ...Object.fromEntries(seen) }] as const]
      : [];
  });
  const text = rows.map(([id, row]) => `${JSON.stringify(id)}: ${JSON.stringify(row)}`).join(',\n');
  writeFileSync('reference/derived/jaw-fibres.json', `{\n${text}\n}\n`);
  console.log(`${rows.length} muscles, ${(text.length / 1000).toFixed(0)} kB`);
}

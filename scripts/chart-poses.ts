/**
 * Draws the head with its jaw posed: `npm run chart-poses [-- resolution [drawings]]`, a drawing being a view and a pose
 * (`left.open-25`), or a view alone for what carries the lines of the shut one. Writes beside the terrain of the shut
 * head, and the fibres that an opening jaw stretches under reference/derived/. The results are committed.
 */
import {
  buildBodies,
  CAMERAS,
  DRAWN_HEAD,
  DRAWN_POSES,
  depthBytes,
  drawPose,
  jawFibres,
  type JawFibreView,
  pathsOfSvg,
  poseBodies,
  POSE_VIEWS,
  POSES_OF,
  tracePose,
  traceView,
  type PoseName,
  type PoseView,
} from '../core/drawing/index.ts';
import { readFileSync, writeFileSync } from 'node:fs';
import { format, resolveConfig } from 'prettier';
import { MUSCLES } from '../reference/facts/muscles/index.ts';
import { STRETCHED_BY_OPENING } from '../reference/facts/muscles/jaw.ts';

const FOLDER = 'app/parts/chart/terrain';
/** Samples per px of what is committed. */
const SHIPPED = 1.4;
const FIBRE_RESOLUTION = 0.7;
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
  const bodies = buildBodies();
  const seen = (view: JawFibreView) => traceView(bodies, view, FIBRE_RESOLUTION);
  const maps = { front: seen('front'), left: seen('left'), opened: seen('opened') };
  const rows = Object.entries(jawFibres(MUSCLES, STRETCHED_BY_OPENING, bodies, DRAWN_HEAD, maps));
  const text = rows.map(([id, row]) => `${JSON.stringify(id)}: ${JSON.stringify(row)}`).join(',\n');
  // Written as the layout of every file is.
  const file = 'reference/derived/jaw-fibres.json';
  writeFileSync(file, await format(`{\n${text}\n}\n`, { ...(await resolveConfig(file)), filepath: file }));
  console.log(`${rows.length} muscles, ${(text.length / 1000).toFixed(0)} kB`);
}

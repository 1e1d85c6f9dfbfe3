/**
 * Draws the face chart from the parametric head: `npm run chart [-- resolution]`. Writes the terrain of every view
 * under app/chart/terrain/ and the positions of all places under reference/chart/. The results are committed, so
 * this runs only when the head, its drawing rules or the tables of places change.
 */
import { mkdirSync, writeFileSync } from 'node:fs';
import type { Anchor } from '../core/terrain/anchors.ts';
import { dropper } from '../core/terrain/drop.ts';
import { earOutline } from '../core/terrain/ear.ts';
import { featureCurves } from '../core/terrain/features.ts';
import { buildHead } from '../core/terrain/head.ts';
import { drawFibres, fibreLines, locateAnchor, placeInView, type FibreDrawing, type Placement } from '../core/terrain/places.ts';
import { drawRelief, type QuietZone } from '../core/terrain/relief.ts';
import { terrainSvg } from '../core/terrain/svg.ts';
import { traceDepth, type DepthMap } from '../core/terrain/trace.ts';
import { mirrored, type Vec3 } from '../core/terrain/vector.ts';
import { CAMERAS, HEAD_VIEWS, project, type HeadView } from '../core/terrain/views.ts';
import { LANDMARKS } from '../reference/landmarks.ts';
import { MUSCLES } from '../reference/muscles.ts';
import { KEEP_OFF, LYMPH_NODES, REGION_PATCHES } from '../reference/other-places.ts';
import { POINTS } from '../reference/points.ts';

const resolution = Number(process.argv[2] ?? 1.4);
const head = buildHead();
const drop = dropper(head.body.distance);
const curves = featureCurves(head, drop);
const outline = earOutline(head.ear);

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

const maps = {} as Record<HeadView, DepthMap>;
for (const view of HEAD_VIEWS) {
  const started = Date.now();
  maps[view] = view === 'right' ? flipped(maps.left) : traceDepth(head.body.distance, CAMERAS[view], resolution);
  console.log(`${view}: traced in ${((Date.now() - started) / 1000).toFixed(1)} s`);
}

mkdirSync('app/chart/terrain', { recursive: true });
mkdirSync('reference/chart', { recursive: true });

for (const view of HEAD_VIEWS) {
  const camera = CAMERAS[view];
  const quiet: QuietZone[] = [];
  const seenSides: ((p: Vec3) => Vec3)[] = view === 'left' ? [(p) => p] : view === 'right' ? [mirrored] : [(p) => p, mirrored];
  for (const side of seenSides) {
    const zone: QuietZone = { outline: outline.map((p) => project(camera, side(p))).map((q) => [q[0], q[1]]) };
    quiet.push(view === 'front' || view === 'back' ? { ...zone, depthMm: project(camera, side(head.ear.at(0, 15, 0)))[2], slackMm: 22 } : zone);
  }
  const nostrils = [1, -1].map((s) => project(camera, [...head.frame.zone.nose(s * 7, -33), 98] as unknown as Vec3));
  const mute = view === 'front' ? nostrils.map((q) => [q[0], q[1], 13] as const) : [];
  const relief = drawRelief({ view, camera, map: maps[view], curves, quiet, mute });
  const svg = terrainSvg(view, camera, relief);
  writeFileSync(`app/chart/terrain/${view}.svg`, svg);
  console.log(`${view}: ${(svg.length / 1000).toFixed(0)} kB`);
}

interface Located {
  mm: Vec3;
  views: Partial<Record<HeadView, Placement>>;
}

const places: Record<string, Located> = {};
function locate(id: string, anchor: Anchor, paired: boolean): void {
  const left = locateAnchor(head, drop, anchor);
  if (!left) throw new Error(`${id}: its line misses the head`);
  const sides: [string, Vec3][] = paired
    ? [
        [`${id}.left`, left],
        [`${id}.right`, mirrored(left)],
      ]
    : [[`${id}.midline`, left]];
  for (const [key, mm] of sides) {
    if (places[key]) throw new Error(`${key} stands twice`);
    places[key] = {
      mm: mm.map((v) => Math.round(v * 10) / 10) as unknown as Vec3,
      views: Object.fromEntries(HEAD_VIEWS.map((view) => [view, placeInView(CAMERAS[view], maps[view], mm)])),
    };
  }
}
for (const l of LANDMARKS) locate(`landmark:${l.id}`, l.anchor, l.paired);
for (const p of POINTS) if (p.anchor) locate(`point:${p.id}`, p.anchor, p.paired);
for (const m of MUSCLES) locate(`muscle:${m.id}`, m.belly, m.id !== 'procerus');
for (const n of LYMPH_NODES) locate(`node:${n.id}`, n.anchor, true);
for (const k of KEEP_OFF) locate(`keep-off:${k.id}`, k.anchor, k.paired);
for (const r of REGION_PATCHES) locate(`region:${r.id}`, r.anchor, r.paired);
const lines = Object.entries(places).map(([key, located]) => `${JSON.stringify(key)}: ${JSON.stringify(located)}`);
writeFileSync('reference/chart/places.json', `{\n${lines.join(',\n')}\n}\n`);

const fibres: Record<string, Partial<Record<HeadView, FibreDrawing>>> = {};
for (const m of MUSCLES) {
  if (!m.fan) continue;
  const strands = fibreLines(m.fan, drop);
  for (const side of ['left', 'right'] as const) {
    const drawn = HEAD_VIEWS.map((view) => [view, drawFibres(strands, CAMERAS[view], maps[view], side === 'right')] as const).filter(([, d]) => d);
    fibres[`${m.id}.${side}`] = Object.fromEntries(drawn) as Partial<Record<HeadView, FibreDrawing>>;
  }
}
writeFileSync('reference/chart/fibres.json', `${JSON.stringify(fibres, null, 1)}\n`);
console.log(`${Object.keys(places).length} places, ${Object.keys(fibres).length} muscle sides`);

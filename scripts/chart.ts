/**
 * Draws the face chart from the parametric head and hand: `npm run chart [-- resolution [views]]`. Writes the terrain
 * of every view under app/chart/terrain/ and the positions of all places under reference/chart/. The results are
 * committed, so this runs only when the bodies, their drawing rules or the tables of places change.
 */
import { mkdirSync, writeFileSync } from 'node:fs';
import { locateAll } from '../core/atlas/locate.ts';
import { bodyOf, type BodyName } from '../core/terrain/anchors.ts';
import { buildBodies, locateAnchor } from '../core/terrain/bodies.ts';
import { drawView, traceView } from '../core/terrain/draw.ts';
import { bellyOf, drawFibres, fibreLines, type FibreDrawing } from '../core/terrain/muscle-drawing.ts';
import { spotsOf } from '../core/terrain/places.ts';
import type { DepthMap } from '../core/terrain/trace.ts';
import type { Vec3 } from '../core/terrain/vector.ts';
import { CAMERAS, VIEWS, type View } from '../core/terrain/views.ts';
import { LANDMARKS } from '../reference/landmarks.ts';
import { DRAINAGE_PATHS, LYMPH_NODES } from '../reference/lymph.ts';
import { MUSCLES } from '../reference/muscles/index.ts';
import { KEEP_OFF, REGION_PATCHES } from '../reference/other-places.ts';
import { POINTS } from '../reference/points/index.ts';

const resolution = Number(process.argv[2] ?? 1.4);
const asked = (process.argv[3]?.split(',') as View[] | undefined) ?? VIEWS;
const bodies = buildBodies();

mkdirSync('app/chart/terrain', { recursive: true });
mkdirSync('reference/chart', { recursive: true });

const maps: Partial<Record<View, DepthMap>> = {};
for (const view of ['left', ...VIEWS.filter((v) => v !== 'left')] as View[]) {
  const started = Date.now();
  maps[view] = traceView(bodies, view, asked.includes(view) ? resolution : 0.5, maps.left);
  if (!asked.includes(view)) continue;
  const svg = drawView(bodies, view, maps[view]);
  writeFileSync(`app/chart/terrain/${view}.svg`, svg);
  console.log(`${view}: ${((Date.now() - started) / 1000).toFixed(1)} s, ${(svg.length / 1000).toFixed(0)} kB`);
}

const places: Record<string, unknown> = {};
function put(id: string, mm: Vec3 | null, body: BodyName, paired: boolean): void {
  if (!mm) throw new Error(`${id}: its line misses the body`);
  for (const side of paired ? ['left', 'right'] : ['midline']) {
    const key = `${id}.${side}`;
    if (places[key]) throw new Error(`${key} stands twice`);
    const onRight = side === 'right';
    const [x, y, z] = mm.map((v) => Math.round(v * 10) / 10) as unknown as Vec3;
    places[key] = { mm: [onRight && body === 'head' ? -x : x, y, z], ...(body === 'hand' ? { body } : {}), views: spotsOf(mm, body, onRight, maps) };
  }
}

const located = locateAll(bodies, LANDMARKS, POINTS);
for (const p of located.landmarks.values()) put(`landmark:${p.id}`, p.mm, p.body, p.paired);
for (const p of located.points.values()) put(`point:${p.id}`, p.mm, p.body, p.paired);
for (const n of LYMPH_NODES) put(`node:${n.id}`, locateAnchor(bodies, n.anchor), 'head', true);
for (const p of DRAINAGE_PATHS) put(`drainage:${p.id}`, locateAnchor(bodies, p.start), 'head', true);
for (const k of KEEP_OFF) put(`keep-off:${k.id}`, locateAnchor(bodies, k.anchor), 'head', k.paired);
for (const r of REGION_PATCHES) put(`region:${r.id}`, locateAnchor(bodies, r.anchor), bodyOf(r.anchor), r.paired);

const fibres: Record<string, Partial<Record<View, FibreDrawing>>> = {};
for (const m of MUSCLES) {
  const strands = m.fan ? fibreLines(m.fan, bodies) : [];
  put(`muscle:${m.id}`, m.belly ? locateAnchor(bodies, m.belly) : bellyOf(strands), 'head', m.paired);
  if (!m.fan) continue;
  for (const side of ['left', 'right'] as const) {
    const drawn = VIEWS.filter((view) => CAMERAS[view].body === 'head')
      .map((view) => [view, drawFibres(strands, m.fan!.kind === 'ring' && !m.fan!.half, view, maps[view]!, side === 'right')] as const)
      .filter(([, drawing]) => drawing);
    fibres[`${m.id}.${side}`] = Object.fromEntries(drawn) as Partial<Record<View, FibreDrawing>>;
  }
}

const lines = Object.entries(places).map(([key, place]) => `${JSON.stringify(key)}: ${JSON.stringify(place)}`);
writeFileSync('reference/chart/places.json', `{\n${lines.join(',\n')}\n}\n`);
writeFileSync('reference/chart/fibres.json', `{\n${Object.entries(fibres).map(([key, views]) => `${JSON.stringify(key)}: ${JSON.stringify(views)}`).join(',\n')}\n}\n`);
console.log(`${Object.keys(places).length} places, ${Object.keys(fibres).length} muscle sides`);
const unseen = Object.entries(places).filter(([, p]) => !Object.keys((p as { views: object }).views).length).map(([key]) => key);
if (unseen.length) console.log(`seen in no view: ${unseen.join(', ')}`);

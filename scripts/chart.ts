/**
 * Draws the face chart from the parametric head and hand: `npm run chart [-- resolution [views]]`. Writes the terrain
 * of every view under app/parts/chart/terrain/ and the positions of all places under reference/derived/. The results are
 * committed, so this runs only when the bodies, their drawing rules or the tables of places change.
 */
import { chartData, inchesMm } from '../core/atlas/index.ts';
import {
  buildBodies,
  type DepthMap,
  drawThumbs,
  drawView,
  traceView,
  type View,
  VIEWS,
} from '../core/drawing/index.ts';
import { mkdirSync, writeFileSync } from 'node:fs';
import { BODY_INCHES } from '../reference/facts/body-inches.ts';
import { CHART_TABLES } from '../reference/chart-tables.ts';

/** Views that are not drawn anew are still traced, coarsely, to know what they show. */
const COARSE = 0.5;
const resolution = Number(process.argv[2] ?? 1.4);
const asked = (process.argv[3]?.split(',') as View[] | undefined) ?? VIEWS;
const bodies = buildBodies();

mkdirSync('app/parts/chart/terrain', { recursive: true });
mkdirSync('reference/derived', { recursive: true });

const maps: Partial<Record<View, DepthMap>> = {};
for (const view of ['left', ...VIEWS.filter((v) => v !== 'left')] as View[]) {
  const started = Date.now();
  const map = traceView(bodies, view, asked.includes(view) ? resolution : COARSE, maps.left);
  maps[view] = map;
  if (!asked.includes(view)) continue;
  const svg = drawView(bodies, view, map);
  writeFileSync(`app/parts/chart/terrain/${view}.svg`, svg);
  console.log(`${view}: ${((Date.now() - started) / 1000).toFixed(1)} s, ${(svg.length / 1000).toFixed(0)} kB`);
}

const thumbs = drawThumbs(bodies, maps as Record<View, DepthMap>);
writeFileSync('app/parts/chart/terrain/thumbs.svg', thumbs);
console.log(`thumbs: ${(thumbs.length / 1000).toFixed(0)} kB`);

const { places, fibres } = chartData(bodies, maps, CHART_TABLES, inchesMm(BODY_INCHES, {}));
const table = (rows: Record<string, unknown>) =>
  `{\n${Object.entries(rows)
    .map(([key, row]) => `${JSON.stringify(key)}: ${JSON.stringify(row)}`)
    .join(',\n')}\n}\n`;
writeFileSync('reference/derived/places.json', table(places));
writeFileSync('reference/derived/fibres.json', table(fibres));
console.log(`${Object.keys(places).length} places, ${Object.keys(fibres).length} muscle sides`);
const unseen = Object.entries(places)
  .filter(([, p]) => !Object.keys(p.views).length)
  .map(([key]) => key);
if (unseen.length) console.log(`seen in no view: ${unseen.join(', ')}`);

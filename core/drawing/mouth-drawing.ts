import { blur } from './field.ts';
import type { FeatureCurve } from './features.ts';
import { rings } from './lines.ts';
import type { Mouth } from './mouth.ts';
import { curvePath, lengthOf, linePath, simplify, smoothed } from './path.ts';
import { alongRay, type DepthMap } from './trace.ts';
import type { Vec3, Xy } from './vector.ts';
import { PICTURES, type View } from './views.ts';

const inProfile = (view: View): boolean => view === 'left' || view === 'right';

/** The edges of the red of open lips, and what is left of the line where they meet. */
export function openMouthCurves({ redTop, redFoot, corners }: Mouth): FeatureCurve[] {
  const taper = (points: Vec3[], widthPx: number, opacity: FeatureCurve['opacity']): FeatureCurve => ({
    ...{ points, kind: 'taper', widthPx, opacity, toleranceMm: 5 },
  });
  return [
    taper(redTop, 0.75, 0.5),
    taper(redFoot, 0.9, (view) => (inProfile(view) ? 0.2 : 0.45)),
    ...corners.map((line) => taper(line, 1.2, (view) => (inProfile(view) ? 0 : 0.8))),
  ];
}

/** A line of sight that ends so near to the opening looks into it, mm. */
const INTO_MM = 0.35;
/** How far beside the rim is looked, px. */
const MARGIN_PX = 8;
const SHORTEST_PX = 20;

/** Outline of the dark opening: where the line of sight ends inside. */
function openingPath({ rim, cavity }: Mouth, map: DepthMap): string {
  const { columns, rows, resolution, lens, depth } = map;
  const mask = new Float32Array(columns * rows);
  const seen = rim.map((p) => lens.project(p));
  const span = (of: 0 | 1) => [
    Math.min(...seen.map((q) => q[of])) - MARGIN_PX,
    Math.max(...seen.map((q) => q[of])) + MARGIN_PX,
  ];
  const [x0, x1] = span(0) as [number, number];
  const [y0, y1] = span(1) as [number, number];
  for (let j = Math.floor(y0 * resolution); j < y1 * resolution; j++)
    for (let i = Math.floor(x0 * resolution); i < x1 * resolution; i++) {
      const ray = lens.ray(i / resolution, j / resolution);
      const t = depth[j * columns + i]!;
      if (ray && !Number.isNaN(t) && cavity(...alongRay(ray, t)) < INTO_MM) mask[j * columns + i] = 1;
    }
  const soft = blur(mask, map, Math.round(1.5 * resolution));
  return rings(soft, map, resolution, 0.5)
    .filter((ring) => lengthOf(ring) > SHORTEST_PX)
    .map((ring) => curvePath(simplify(smoothed(ring, Math.round(4 * resolution)), 0.1).slice(0, -1), true))
    .join('');
}

const LINE = 'var(--chart-line,#2B1F33)';
/** How high a tooth is drawn, mm. */
const TOOTH_MM = 9;
const TONGUE = { belowPx: 14, rx: 24, ry: 21 } as const;

/** The teeth as a pale band with an edge and a few joints, and what they are cut to. */
function teethSvg({ teeth }: Mouth, at: (p: Vec3) => Xy, isProfile: boolean): string {
  const { upper, lower, upperGaps, lowerGaps } = teeth;
  const raised = (p: Vec3, mm: number): Xy => at([p[0], p[1] + mm, p[2]]);
  const band = (edge: readonly Vec3[], mm: number) =>
    linePath([...edge.map(at), ...edge.toReversed().map((p) => raised(p, mm))], true);
  const line = (edge: readonly Vec3[]) => curvePath(edge.map(at));
  const joints = (gaps: readonly Vec3[], mm: number) =>
    isProfile ? '' : gaps.map((p) => linePath([at(p), raised(p, mm)], false)).join('');
  return [
    `<path d="${band(upper, TOOTH_MM)}${band(lower, -TOOTH_MM)}" fill="var(--chart-teeth,#F5F4F6)" fill-opacity=".8"/>`,
    `<path d="${line(upper)}${line(lower)}" fill="none" stroke="${LINE}" stroke-width=".6" stroke-opacity=".7"/>`,
    `<path d="${joints(upperGaps, TOOTH_MM)}${joints(lowerGaps, -TOOTH_MM)}" fill="none" stroke="${LINE}" stroke-width=".45" stroke-opacity=".45"/>`,
  ].join('');
}

/**
 * What is seen in an open mouth: the dark opening, in front with the tongue and a hint of the teeth, clipped to it. In
 * profile one sees through the notch between the lips. On the opened face, a map, the opening is all.
 */
export function mouthSvg(mouth: Mouth, view: View, map: DepthMap, silhouette: string): string {
  const at = (p: Vec3): Xy => {
    const q = map.lens.project(p);
    return [q[0], q[1]];
  };
  const id = `chart-${view}-mouth`;
  const { widthPx, heightPx } = PICTURES[view];
  if (inProfile(view))
    return `<clipPath id="${id}"><path clip-rule="evenodd" d="M0 0l${widthPx} 0l0 ${heightPx}l-${widthPx} 0z${silhouette}"/></clipPath><g class="chart-mouth"><g clip-path="url(#${id})">${teethSvg(mouth, at, true)}</g></g>`;
  const opening = openingPath(mouth, map);
  const dark = `<path d="${opening}" fill="var(--chart-mouth,#63506A)"/>`;
  const rim = `<path d="${opening}" fill="none" stroke="${LINE}" stroke-width="1.1" stroke-opacity=".85" stroke-linejoin="round"/>`;
  if (view === 'opened') return `<g class="chart-mouth">${dark}${rim}</g>`;
  const [x, y] = at(mouth.tongue);
  const tongue = `<ellipse cx="${x.toFixed(1)}" cy="${(y + TONGUE.belowPx).toFixed(1)}" rx="${TONGUE.rx}" ry="${TONGUE.ry}" fill="var(--chart-tongue,#7A6681)" clip-path="url(#${id})"/>`;
  return `<clipPath id="${id}"><path d="${opening}"/></clipPath><g class="chart-mouth">${dark}${tongue}<g clip-path="url(#${id})">${teethSvg(mouth, at, false)}</g>${rim}</g>`;
}

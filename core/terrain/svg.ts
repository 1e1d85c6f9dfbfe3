import type { Relief } from './relief.ts';
import type { Camera, HeadView } from './views.ts';

/** Where shoulders and chest run out: centre, radius and the shares of it between which the drawing fades. */
const FADE: Record<HeadView, { cx: number; cy: number; r: number; from: number; to: number }> = {
  front: { cx: 220, cy: 232, r: 336, from: 0.77, to: 0.965 },
  back: { cx: 220, cy: 232, r: 336, from: 0.77, to: 0.965 },
  left: { cx: 205, cy: 205, r: 342, from: 0.74, to: 0.985 },
  right: { cx: 235, cy: 205, r: 342, from: 0.74, to: 0.985 },
};

const INK = 'var(--chart-ink,#5A3A5E)';
const LINE = 'var(--chart-line,#2B1F33)';

/**
 * The inner SVG of one view. Paper is transparent; every colour is a custom property with the day colour as
 * fallback, and there is no style attribute or element, so a strict content security policy holds.
 */
export function terrainSvg(view: HeadView, camera: Camera, relief: Relief): string {
  const id = `chart-${view}`;
  const fade = FADE[view];
  const stroke = (d: string, opacity: number, width: number, extra = '') => (d ? `<path d="${d}" stroke-opacity="${opacity}" stroke-width="${width}"${extra}/>` : '');
  const { contours: c } = relief;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${camera.widthPx} ${camera.heightPx}">`,
    `<defs><radialGradient id="${id}-fade" gradientUnits="userSpaceOnUse" cx="${fade.cx}" cy="${fade.cy}" r="${fade.r}"><stop offset="${fade.from}" stop-color="#fff"/><stop offset="${fade.to}" stop-color="#000"/></radialGradient>`,
    `<mask id="${id}-mask" maskUnits="userSpaceOnUse" x="0" y="0" width="${camera.widthPx}" height="${camera.heightPx}"><rect width="${camera.widthPx}" height="${camera.heightPx}" fill="url(#${id}-fade)"/></mask>`,
    `<clipPath id="${id}-clip"><path d="${relief.silhouette}"/></clipPath></defs>`,
    `<g mask="url(#${id}-mask)"><path class="chart-skin" d="${relief.silhouette}" fill="var(--chart-skin,none)"/>`,
    `<g class="chart-relief" fill="var(--chart-shade,#5A3A5E)" fill-opacity="var(--chart-shade-opacity,.052)" fill-rule="evenodd" clip-path="url(#${id}-clip)">${relief.shade.map((d) => (d ? `<path d="${d}"/>` : '')).join('')}</g>`,
    `<g class="chart-contours" fill="none" stroke="${INK}" stroke-linecap="round" stroke-linejoin="round">${stroke(c.supplementary, 0.2, 0.45)}${stroke(c.thin, 0.24, 0.45)}${stroke(c.full, 0.34, 0.55)}${stroke(c.index, 0.48, 0.8)}</g>`,
    `<g class="chart-edges" fill="none" stroke="${LINE}" stroke-linecap="round" stroke-linejoin="round">${stroke(relief.silhouette, 0.8, 1.05)}${stroke(relief.edges, 0.62, 0.8)}</g>`,
    `<g class="chart-hair" fill="none" stroke="var(--chart-hair,#2B1F33)" stroke-linecap="round">${relief.dashes.map((d) => stroke(d.path, d.opacity, d.widthPx, ' stroke-dasharray="1.2 3.4"')).join('')}</g>`,
    `<g class="chart-features" fill="${LINE}">${relief.features.map((f) => `<path d="${f.path}" fill-opacity="${f.opacity}"/>`).join('')}</g></g></svg>`,
    '',
  ].join('\n');
}

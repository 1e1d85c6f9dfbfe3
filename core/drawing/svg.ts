import type { Relief } from './relief.ts';
import { FADE, sheetOf, type Fade, type Picture, type View } from './views.ts';

const gradient = (id: string, fade: NonNullable<Fade>): string =>
  'r' in fade
    ? `<radialGradient id="${id}" gradientUnits="userSpaceOnUse" cx="${fade.cx}" cy="${fade.cy}" r="${fade.r}"><stop offset="${fade.from}" stop-color="#fff"/><stop offset="${fade.to}" stop-color="#000"/></radialGradient>`
    : `<linearGradient id="${id}" gradientUnits="userSpaceOnUse" x1="0" y1="${fade.fromY}" x2="0" y2="${fade.toY}"><stop offset="0" stop-color="#fff"/><stop offset="1" stop-color="#000"/></linearGradient>`;

const INK = 'var(--chart-ink,#5A3A5E)';
const LINE = 'var(--chart-line,#2B1F33)';

/**
 * The inner SVG of one view. Paper is transparent; every colour is a custom property with the day colour as
 * fallback, and there is no style attribute or element, so a strict content security policy holds.
 * @param mouth what is drawn of a mouth that is open
 */
export function terrainSvg(view: View, picture: Picture, relief: Relief, mouth = ''): string {
  const id = `chart-${view}`;
  const fade = FADE[view];
  const stroke = (d: string, opacity: number, width: number, extra = '') =>
    d ? `<path d="${d}" stroke-opacity="${opacity}" stroke-width="${width}"${extra}/>` : '';
  const { contours: c } = relief;
  const sheet = sheetOf(view);
  const { widthPx: w, heightPx: h } = picture;
  const isHand = picture.body === 'hand';
  const body = [
    `<path class="chart-skin" d="${relief.silhouette}" fill="var(--chart-skin,none)"/>`,
    `<g class="chart-relief" fill="var(--chart-shade,#5A3A5E)" fill-opacity="var(--chart-shade-opacity,.052)" fill-rule="evenodd" clip-path="url(#${id}-clip)">${relief.shade.map((d) => (d ? `<path d="${d}"/>` : '')).join('')}</g>`,
    `<g class="chart-contours" fill="none" stroke="${INK}" stroke-linecap="round" stroke-linejoin="round">${stroke(c.supplementary, 0.2, 0.45)}${stroke(c.thin, 0.24, 0.45)}${stroke(c.full, 0.34, 0.55)}${stroke(c.index, 0.48, 0.8)}</g>`,
    `<g class="chart-edges" fill="none" stroke="${LINE}" stroke-linecap="round" stroke-linejoin="round">${stroke(relief.silhouette, 0.8, 1.05)}${stroke(relief.edges, 0.62, 0.8)}</g>`,
    ...(mouth ? [mouth] : []),
    `<g class="chart-hair" fill="none" stroke="var(--chart-hair,#2B1F33)" stroke-linecap="round">${relief.dashes.map((d) => stroke(d.path, d.opacity, d.widthPx, ' stroke-dasharray="1.2 3.4"')).join('')}</g>`,
    `<g class="chart-features" fill="${LINE}">${relief.features.map((f) => `<path d="${f.path}" fill-opacity="${f.opacity}"/>`).join('')}</g>`,
  ].join('\n');
  const defs = [
    ...(fade
      ? [
          gradient(`${id}-fade`, fade),
          `<mask id="${id}-mask" maskUnits="userSpaceOnUse" x="0" y="0" width="${w}" height="${h}"><rect width="${w}" height="${h}" fill="url(#${id}-fade)"/></mask>`,
        ]
      : []),
    `<clipPath id="${id}-clip"><path d="${relief.silhouette}"/></clipPath>`,
  ].join('');
  const drawn = `<g id="${id}-one"${fade ? ` mask="url(#${id}-mask)"` : ''}>${body}</g>`;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${sheet.width} ${sheet.height}">`,
    `<defs>${defs}</defs>`,
    // The client's left hand at the right of the sheet, the right one as its mirror image.
    isHand
      ? `<g transform="translate(${w} 0)">${drawn}</g><use href="#${id}-one" transform="matrix(-1 0 0 1 ${w} 0)"/>`
      : drawn,
    '</svg>\n',
  ].join('\n');
}

import { polylinesOf, lengthOf, linePath, simplify } from './path.ts';
import type { Relief } from './relief.ts';
import type { Xy } from './vector.ts';
import { PICTURES, type View } from './views.ts';

/** A cell of the sheet of small pictures, in px: as many side by side as there are views. */
const THUMB_PX = { width: 44, height: 44 } as const;

/** What of a picture the small one shows, in viewBox px: the head or the hand, not the shoulders that run out of it. */
const PART: Record<View, readonly [x: number, y: number, width: number]> = {
  opened: [0, 0, 440],
  front: [0, 0, 440],
  right: [0, 0, 440],
  left: [0, 0, 440],
  back: [0, 0, 440],
  top: [-60, -40, 440],
  chest: [60, -120, 600],
  palms: [-60, 0, 440],
  backs: [-60, 0, 440],
};

/** Path data small: what cannot be told apart at this size is left out. */
const small = (d: string, k: number, x: number, y: number): string =>
  polylinesOf(d)
    .map(({ points, closed }) => ({ line: points.map((p): Xy => [(p[0] - x) * k, (p[1] - y) * k]), closed }))
    .filter(({ line }) => lengthOf(line) > SHORTEST_PX)
    .map(({ line, closed }) => linePath(simplify(line, 0.12), closed))
    .join('');
const SHORTEST_PX = 1.5;

/** A stencil: skin faint, lines strong; the page gives the colour. */
export function thumbsSvg(views: readonly { view: View; relief: Relief }[]): string {
  const { width, height } = THUMB_PX;
  const cells = views.map(({ view, relief }, i) => {
    const [x, y, part] = PART[view];
    const k = width / part;
    const put = (d: string) => small(d, k, x, y);
    const inner = [
      `<path d="${put(relief.silhouette)}" fill-opacity=".18"/>`,
      `<path d="${put(relief.silhouette + relief.edges)}" fill="none" stroke="#000" stroke-width=".8" stroke-opacity=".75"/>`,
      ...relief.features
        .filter((f) => f.opacity > 0.3)
        .map((f) => `<path d="${put(f.path)}" stroke="#000" stroke-width=".3"/>`),
    ].join('');
    // The second hand is the first in a mirror.
    const hands =
      PICTURES[view].body === 'hand'
        ? `<g transform="matrix(-.5 0 0 .5 22 0)">${inner}</g><g transform="matrix(.5 0 0 .5 22 0)">${inner}</g>`
        : inner;
    return `<svg x="${i * width}" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">${hands}</svg>`;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width * views.length} ${height}" width="${width * views.length}" height="${height}">${cells.join('')}</svg>\n`;
}

type At = readonly [number, number];

/** How far in front of the face the measuring line stands, and beyond it its figure, px of the sheet. */
const CLEAR_PX = 44;
const LABEL_PX = 9;
/** About as wide as its figure is. */
const FIGURE_PX = 20;
const f = (v: number) => v.toFixed(1);

/**
 * The line between the edges of the incisors in profile, moved clear of the face so that its length is true, with its
 * leaders and the place of its figure.
 * @param looksLeft the face looks to the left of the sheet
 */
export function measuringLine(upper: At, lower: At, looksLeft: boolean, unit: number) {
  const length = Math.hypot(lower[0] - upper[0], lower[1] - upper[1]) || 1;
  const towards = looksLeft ? 1 : -1;
  const [nx, ny] = [(-towards * (lower[1] - upper[1])) / length, (towards * (lower[0] - upper[0])) / length];
  const clear = ([x, y]: At, by: number): At => [x + nx * by, y + ny * by];
  const stroke = (a: At, b: At) => `M${f(a[0])} ${f(a[1])}L${f(b[0])} ${f(b[1])}`;
  const ends = [upper, lower] as const;
  const middle: At = [(upper[0] + lower[0]) / 2, (upper[1] + lower[1]) / 2];
  const half = 4 * unit;
  const label = clear(middle, CLEAR_PX + LABEL_PX * unit);
  const xs = [label[0], label[0] - towards * FIGURE_PX * unit, ...ends.map((end) => clear(end, CLEAR_PX)[0])];
  const ys = ends.map((end) => clear(end, CLEAR_PX)[1]);
  return {
    /** Names stay off it. */
    box: {
      x0: Math.min(...xs) - half,
      y0: Math.min(...ys) - half,
      x1: Math.max(...xs) + half,
      y1: Math.max(...ys) + half,
    },
    line:
      stroke(clear(upper, CLEAR_PX), clear(lower, CLEAR_PX)) +
      ends.map((end) => stroke(clear(end, CLEAR_PX - half), clear(end, CLEAR_PX + half))).join(''),
    leaders: ends.map((end) => stroke(clear(end, 4), clear(end, CLEAR_PX))).join(''),
    label,
  };
}

/**
 * Placing names on a drawing so that none covers another, a mark, or the edge of the sheet. All in px of the sheet.
 */
export interface LabelWish {
  /** Of the place it names. */
  key: string;
  /** The mark it belongs to. */
  x: number;
  /** Where it would stand, in px of the sheet. */
  y: number;
  /** Radius of the mark, kept clear. */
  clear: number;
  /** In px. */
  width: number;
  /** In px. */
  height: number;
  /** Higher is placed first. */
  rank: number;
}

export interface PlacedLabel {
  /** Of the place it names. */
  key: string;
  /** Top left corner. */
  x: number;
  /** Where it stands, in px of the sheet. */
  y: number;
  /** From the mark to the label when it stands off; null when it stands beside it. */
  leader: readonly [number, number, number, number] | null;
}

export interface Sheet {
  /** In px. */
  left: number;
  /** In px. */
  top: number;
  /** In px. */
  right: number;
  /** In px. */
  bottom: number;
}

/** A rectangle of the sheet. */
export interface Box {
  /** Left edge, px. */
  x0: number;
  /** Upper edge, px. */
  y0: number;
  /** Right edge, px. */
  x1: number;
  /** Lower edge, px. */
  y1: number;
}

const GAP_PX = 2;
const BEARINGS = Array.from({ length: 16 }, (_, i) => (i * Math.PI) / 8);
/** Distances of the label from the mark's edge; from the third on it is joined by a line. */
const STEPS = [1, 5, 12, 20, 30, 42];

/**
 * Place as many labels as there is room for; those without room are told, so that they can be shown when the sheet is
 * nearer. `bare` marks have no name and are kept clear of, as are boxes already taken. Deterministic: equal wishes give equal places.
 */
export function placeLabels(
  wishes: readonly LabelWish[],
  sheet: Sheet,
  bare: readonly Pick<LabelWish, 'key' | 'x' | 'y' | 'clear'>[] = [],
  taken: readonly Box[] = [],
): { placed: PlacedLabel[]; hidden: string[] } {
  const marks = [...wishes, ...bare].map((w) => ({ key: w.key, x: w.x, y: w.y, r: w.clear }));
  const crowd = (w: LabelWish) => marks.filter((m) => Math.hypot(m.x - w.x, m.y - w.y) < 30).length;
  const order = wishes
    .map((w) => ({ w, crowd: crowd(w) }))
    .sort((a, b) => b.w.rank - a.w.rank || b.crowd - a.crowd || (a.w.key < b.w.key ? -1 : 1));
  const boxes: Box[] = [];
  const lines: (readonly [number, number, number, number])[] = [];
  const placed: PlacedLabel[] = [];
  const hidden: string[] = [];
  const middle = (sheet.left + sheet.right) / 2;
  for (const { w } of order) {
    let best: { cost: number; box: Box; leader: PlacedLabel['leader'] } | null = null;
    for (const [s, step] of STEPS.entries())
      for (const a of BEARINGS) {
        const box = boxAt(w, a, w.clear + step);
        const outward = Math.cos(a) * Math.sign(w.x - middle || 1);
        const cost = step + (1 - outward) * 3 + Math.abs(Math.sin(a)) * 2;
        if (best && cost >= best.cost) continue;
        if (!fits(box, w.key)) continue;
        const leader = s >= 2 ? leaderTo(w, box) : null;
        if (leader && (lines.some((l) => crosses(l, leader)) || boxes.some((b) => cutsBox(leader, b)))) continue;
        best = { cost, box, leader };
      }
    if (!best) {
      hidden.push(w.key);
      continue;
    }
    boxes.push(best.box);
    if (best.leader) lines.push(best.leader);
    placed.push({ key: w.key, x: best.box.x0, y: best.box.y0, leader: best.leader });
  }
  return { placed, hidden };

  function fits(box: Box, key: string): boolean {
    if (box.x0 < sheet.left || box.y0 < sheet.top || box.x1 > sheet.right || box.y1 > sheet.bottom) return false;
    if (boxes.some((b) => overlap(b, box)) || taken.some((b) => overlap(b, box))) return false;
    if (lines.some((l) => cutsBox(l, box))) return false;
    return !marks.some((m) => m.key !== key && nearest(m.x, m.y, box) < m.r + 0.5);
  }
}

function boxAt(w: LabelWish, a: number, distance: number): Box {
  const cx = w.x + Math.cos(a) * (distance + w.width / 2);
  const cy = w.y + Math.sin(a) * (distance + w.height / 2);
  return { x0: cx - w.width / 2, y0: cy - w.height / 2, x1: cx + w.width / 2, y1: cy + w.height / 2 };
}

const overlap = (a: Box, b: Box): boolean =>
  a.x0 < b.x1 + GAP_PX && b.x0 < a.x1 + GAP_PX && a.y0 < b.y1 + GAP_PX && b.y0 < a.y1 + GAP_PX;
const nearest = (x: number, y: number, b: Box): number =>
  Math.hypot(Math.max(b.x0 - x, 0, x - b.x1), Math.max(b.y0 - y, 0, y - b.y1));

function leaderTo(w: LabelWish, b: Box): readonly [number, number, number, number] {
  const ex = Math.min(Math.max(w.x, b.x0), b.x1);
  const ey = Math.min(Math.max(w.y, b.y0), b.y1);
  const d = Math.hypot(ex - w.x, ey - w.y) || 1;
  return [w.x + ((ex - w.x) / d) * w.clear, w.y + ((ey - w.y) / d) * w.clear, ex, ey];
}

type Line = readonly [number, number, number, number];
const turn = (ax: number, ay: number, bx: number, by: number, cx: number, cy: number) =>
  (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);
function crosses([a, b, c, d]: Line, [e, f, g, h]: Line): boolean {
  return turn(a, b, c, d, e, f) * turn(a, b, c, d, g, h) < 0 && turn(e, f, g, h, a, b) * turn(e, f, g, h, c, d) < 0;
}
function cutsBox(l: Line, b: Box): boolean {
  const inside = (x: number, y: number) => x > b.x0 && x < b.x1 && y > b.y0 && y < b.y1;
  if (inside(l[0], l[1]) || inside(l[2], l[3])) return true;
  const sides: Line[] = [
    [b.x0, b.y0, b.x1, b.y0],
    [b.x1, b.y0, b.x1, b.y1],
    [b.x1, b.y1, b.x0, b.y1],
    [b.x0, b.y1, b.x0, b.y0],
  ];
  return sides.some((s) => crosses(s, l));
}

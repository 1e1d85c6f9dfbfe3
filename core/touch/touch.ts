import type { PadFrame, PadShape } from '../devices/index.ts';

/** How a hand touches a pad at one moment. */
export interface Touch {
  atMs: number;
  /** Sum over all cells. */
  forceN: number;
  /** Of what bears; 0 where nothing does. */
  areaCm2: number;
  /** Mean pressure on that area. */
  kpa: number;
  /** Centre of pressure from the upper left corner of the pad; null where nothing bears. */
  xMm: number | null;
  yMm: number | null;
  /** Of the force, what lies left of the middle of the pad: the left hand's where both work. */
  leftN: number;
}

/**
 * A rounded body presses on a flat one with p(r) = p₀ √(1 − r²/R²) (Hertz 1882), which has a variance of R²/5 along each
 * axis: an oval contact has the area 5π √(det of its covariance). Readings are those of whole cells, which adds a twelfth
 * of a cell's square to each variance (Sheppard 1898). On cells of 5 mm that holds to a tenth from 1.4 cm² on; a smaller
 * contact, such as one fingertip, reads up to a third too small.
 */
const ROUNDED = 5 * Math.PI;
/** Less than this on the whole pad is no touch, N. Our choice: a tenth of the lightest word on a small fingertip. */
const LEAST_N = 0.01;

type Cells = PadFrame['cells'];

/** One contact: what hangs together. */
function contactOf(atMs: number, cells: Cells, { columns, cellMm }: PadShape): Touch | null {
  let sum = 0;
  let x = 0;
  let y = 0;
  for (const [index, kpa] of cells) {
    sum += kpa;
    x += kpa * ((index % columns) + 0.5);
    y += kpa * (Math.floor(index / columns) + 0.5);
  }
  const cellCm2 = cellMm ** 2 / 100;
  // 1 kPa on 1 cm² is 0.1 N.
  const forceN = (sum * cellCm2) / 10;
  if (forceN < LEAST_N) return null;
  x /= sum;
  y /= sum;
  let xx = -1 / 12;
  let yy = -1 / 12;
  let xy = 0;
  for (const [index, kpa] of cells) {
    const dx = (index % columns) + 0.5 - x;
    const dy = Math.floor(index / columns) + 0.5 - y;
    xx += (kpa * dx * dx) / sum;
    yy += (kpa * dy * dy) / sum;
    xy += (kpa * dx * dy) / sum;
  }
  // Less than one cell cannot be told.
  const areaCm2 = Math.max(1, ROUNDED * Math.sqrt(Math.max(0, xx * yy - xy * xy))) * cellCm2;
  const leftN = x < columns / 2 ? forceN : 0;
  return { atMs, forceN, areaCm2, kpa: (10 * forceN) / areaCm2, xMm: x * cellMm, yMm: y * cellMm, leftN };
}

/**
 * The contacts of one reading, heaviest first: those of two hands, or of fingers apart. Cells that touch by an edge or a
 * corner are of one contact.
 */
export function contactsOf({ atMs, cells }: PadFrame, shape: PadShape): Touch[] {
  const left = new Map(cells);
  const found: Touch[] = [];
  for (const [first] of cells) {
    if (!left.has(first)) continue;
    const own: [number, number][] = [];
    const next = [first];
    while (next.length) {
      const index = next.pop()!;
      const kpa = left.get(index);
      if (kpa === undefined) continue;
      left.delete(index);
      own.push([index, kpa]);
      const column = index % shape.columns;
      for (const dy of [-1, 0, 1])
        for (const dx of [-1, 0, 1])
          if (column + dx >= 0 && column + dx < shape.columns) next.push(index + dy * shape.columns + dx);
    }
    const contact = contactOf(atMs, own, shape);
    if (contact) found.push(contact);
  }
  return found.sort((a, b) => b.forceN - a.forceN);
}

/** All that touches, together: forces and areas add up, and the centre lies between them. */
export function touchOf(frame: PadFrame, shape: PadShape): Touch {
  const contacts = contactsOf(frame, shape);
  const forceN = contacts.reduce((sum, c) => sum + c.forceN, 0);
  if (forceN === 0) return { atMs: frame.atMs, forceN: 0, areaCm2: 0, kpa: 0, xMm: null, yMm: null, leftN: 0 };
  const areaCm2 = contacts.reduce((sum, c) => sum + c.areaCm2, 0);
  const middle = (of: 'xMm' | 'yMm') => contacts.reduce((sum, c) => sum + c.forceN * c[of]!, 0) / forceN;
  return {
    atMs: frame.atMs,
    forceN,
    areaCm2,
    kpa: (10 * forceN) / areaCm2,
    xMm: middle('xMm'),
    yMm: middle('yMm'),
    leftN: contacts.reduce((sum, c) => sum + c.leftN, 0),
  };
}

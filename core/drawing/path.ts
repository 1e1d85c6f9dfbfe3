import type { Xy } from './vector.ts';

export const lengthOf = (points: readonly Xy[]): number => {
  let sum = 0;
  for (let i = 1; i < points.length; i++)
    sum += Math.hypot(points[i]![0] - points[i - 1]![0], points[i]![1] - points[i - 1]![1]);
  return sum;
};

/** Douglas–Peucker: leave out points that lie within `tolerance` px of the line between their neighbours. */
export function simplify(points: readonly Xy[], tolerance: number): Xy[] {
  if (points.length < 3) return [...points];
  const keep = new Uint8Array(points.length);
  keep[0] = keep[points.length - 1] = 1;
  const open: [number, number][] = [[0, points.length - 1]];
  for (let span = open.pop(); span; span = open.pop()) {
    const [a, b] = span;
    const [ax, ay] = points[a]!;
    const dx = points[b]![0] - ax;
    const dy = points[b]![1] - ay;
    const l = Math.hypot(dx, dy);
    let most = 0;
    let at = -1;
    for (let i = a + 1; i < b; i++) {
      const px = points[i]![0] - ax;
      const py = points[i]![1] - ay;
      const d = l < 1e-6 ? Math.hypot(px, py) : Math.abs(px * dy - py * dx) / l;
      if (d > most) [most, at] = [d, i];
    }
    if (most > tolerance) {
      keep[at] = 1;
      open.push([a, at], [at, b]);
    }
  }
  return points.filter((_, i) => keep[i]);
}

/** `passes` rounds of a [1 2 1] filter along a line. */
export function smoothed(points: readonly Xy[], passes: number, closed = false): Xy[] {
  let P = points.slice();
  const n = P.length;
  for (let k = 0; k < passes; k++) {
    const before = P;
    P = before.map((p, i) => {
      if (!closed && (i === 0 || i === n - 1)) return p;
      const a = before[(i - 1 + n) % n]!;
      const b = before[(i + 1) % n]!;
      return [(a[0] + 2 * p[0] + b[0]) / 4, (a[1] + 2 * p[1] + b[1]) / 4] as const;
    });
  }
  return P;
}

const tenth = (v: number) => Math.round(v * 10) / 10;
const written = (v: number) => String(tenth(v)).replace(/^(-?)0\./, '$1.');
const joined = (values: readonly string[]) => values.reduce((s, v) => s + (s && !v.startsWith('-') ? ' ' : '') + v, '');

/** Writes relative path commands with one decimal, keeping track of the rounded pen so that errors do not add up. */
class Pen {
  private text = '';
  private x = 0;
  private y = 0;
  moveTo([x, y]: Xy): void {
    this.x = tenth(x);
    this.y = tenth(y);
    this.text += 'M' + joined([written(this.x), written(this.y)]);
  }
  private step([x, y]: Xy): [string, string] {
    return [written(tenth(x) - this.x), written(tenth(y) - this.y)];
  }
  lineTo(p: Xy): void {
    const [dx, dy] = this.step(p);
    if (dx === '0' && dy === '0') return;
    this.text += 'l' + joined([dx, dy]);
    [this.x, this.y] = [tenth(p[0]), tenth(p[1])];
  }
  quadTo(control: Xy, p: Xy): void {
    this.text += 'q' + joined([...this.step(control), ...this.step(p)]);
    [this.x, this.y] = [tenth(p[0]), tenth(p[1])];
  }
  done(closed: boolean): string {
    return closed ? this.text + 'z' : this.text;
  }
}

const between = (a: Xy, b: Xy): Xy => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];

/** A smooth path: quadratic B-spline through the midpoints of `points`. */
export function curvePath(points: readonly Xy[], closed = false): string {
  if (points.length < 3) return linePath(points, closed);
  const pen = new Pen();
  const n = points.length;
  if (closed) {
    pen.moveTo(between(points[n - 1]!, points[0]!));
    points.forEach((p, i) => pen.quadTo(p, between(p, points[(i + 1) % n]!)));
    return pen.done(true);
  }
  pen.moveTo(points[0]!);
  for (let i = 1; i < n - 1; i++)
    pen.quadTo(points[i]!, i === n - 2 ? points[n - 1]! : between(points[i]!, points[i + 1]!));
  return pen.done(false);
}

/** Straight segments. */
export function linePath(points: readonly Xy[], closed = false): string {
  if (points.length < 2) return '';
  const pen = new Pen();
  pen.moveTo(points[0]!);
  for (const p of points.slice(1)) pen.lineTo(p);
  return pen.done(closed);
}

/** A filled stroke that swells to `width` px in the middle and thins out at both ends. */
export function taperedPath(points: readonly Xy[], width: number): string {
  const total = lengthOf(points);
  const left: Xy[] = [];
  const right: Xy[] = [];
  let walked = 0;
  points.forEach((p, i) => {
    if (i) walked += Math.hypot(p[0] - points[i - 1]![0], p[1] - points[i - 1]![1]);
    const a = points[Math.max(0, i - 1)]!;
    const b = points[Math.min(points.length - 1, i + 1)]!;
    const dx = b[0] - a[0];
    const dy = b[1] - a[1];
    const l = Math.hypot(dx, dy) || 1;
    const share = Math.min(0.985, Math.max(0.015, walked / total));
    const w = (width / 2) * Math.sin(Math.PI * share) ** 0.65 + 0.08;
    left.push([p[0] - (dy / l) * w, p[1] + (dx / l) * w]);
    right.push([p[0] + (dy / l) * w, p[1] - (dx / l) * w]);
  });
  return linePath(simplify([...left, ...right.reverse()], 0.06), true);
}

/** A path of a drawing as numbers. */
export interface PathPoints {
  /** M, L, Q and Z, one letter each. */
  commands: string;
  /** x and y of every place in viewBox px, controls of curves included. */
  at: Float32Array;
}

/** Path data of the commands M, l, q and z, as the drawings are written. */
export function pathPoints(d: string): PathPoints {
  const at: number[] = [];
  let commands = '';
  let [x, y] = [0, 0];
  for (const [, command, numbers] of d.matchAll(/([Mlqz])([^Mlqz]*)/g)) {
    commands += command!.toUpperCase();
    const values = (numbers!.match(/-?(?:\d+\.\d+|\.\d+|\d+)/g) ?? []).map(Number);
    const [fromX, fromY] = command === 'M' ? [0, 0] : [x, y];
    for (let i = 0; i < values.length; i += 2) at.push(fromX + values[i]!, fromY + values[i + 1]!);
    if (values.length) [x, y] = [at.at(-2)!, at.at(-1)!];
  }
  return { commands, at: Float32Array.from(at) };
}

/** Places of a path back to path data, to the tenth of a px. */
export function pathText(commands: string, at: Float32Array): string {
  let text = '';
  let i = 0;
  const place = () => `${Math.round(at[i++]! * 10) / 10} ${Math.round(at[i++]! * 10) / 10}`;
  for (const command of commands) {
    if (command === 'Z') text += 'Z';
    else if (command === 'Q') text += `Q${place()} ${place()}`;
    else text += command + place();
  }
  return text;
}

/** The courses of path data as this file writes it: places, with the curves between them left straight. */
export function polylinesOf(d: string): { points: Xy[]; closed: boolean }[] {
  const { commands, at } = pathPoints(d);
  const courses: { points: Xy[]; closed: boolean }[] = [];
  let k = 0;
  for (const command of commands) {
    if (command === 'M') courses.push({ points: [], closed: false });
    const course = courses.at(-1)!;
    if (command === 'Z') course.closed = true;
    else {
      // The place that a curve leads to comes after the one that bends it.
      k += command === 'Q' ? 2 : 1;
      course.points.push([at[2 * k - 2]!, at[2 * k - 1]!]);
    }
  }
  return courses;
}

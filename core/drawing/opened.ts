import type { Lens, Ray } from './lens.ts';
import { OPENED } from './opened-table.ts';
import { monotoneCubic } from './vector.ts';
import { PICTURES, PX_PER_MM } from './views.ts';

/** The sheet is known every so many mm along it. */
const STEP_MM = 0.5;
const MOST_MM = OPENED.bend[OPENED.bend.length - 1]![0];
const STEPS = Math.round(MOST_MM / STEP_MM) + 1;
/** Beyond the end of the sheet: a place behind it. */
const BEHIND_MM = MOST_MM + 20;
const BESIDE_PX = 1e4;

const bearingOf = monotoneCubic(
  OPENED.bend.map(([u]) => u),
  OPENED.bend.map(([, degrees]) => (degrees * Math.PI) / 180),
);
const acrossOf = monotoneCubic(
  OPENED.across.map(([u]) => u),
  OPENED.across.map(([, mm]) => mm),
);

/** Course of the sheet in the horizontal plane from the midline: x, z and bearing at every step, at full size. */
interface Course {
  x: Float64Array;
  z: Float64Array;
  bearing: Float64Array;
}
/** By the share of its bend that the sheet keeps, in four hundredths. */
const courses = new Map<number, Course>();
function courseOf(turn: number): Course {
  const key = Math.round(turn * 400);
  const known = courses.get(key);
  if (known) return known;
  const [x, z, bearing] = [new Float64Array(STEPS), new Float64Array(STEPS), new Float64Array(STEPS)];
  let [atX, atZ] = [0, OPENED.frontMm as number];
  for (let i = 0; i < STEPS; i++) {
    [x[i], z[i], bearing[i]] = [atX, atZ, (key / 400) * bearingOf(i * STEP_MM)];
    const middle = (key / 400) * bearingOf((i + 0.5) * STEP_MM);
    atX += Math.cos(middle) * STEP_MM;
    atZ -= Math.sin(middle) * STEP_MM;
  }
  const made = { x, z, bearing };
  courses.set(key, made);
  return made;
}

/** Columns of a table by height, for a head whose heights are not those of the modelled one. */
function byHeight(rows: readonly (readonly number[])[], height: (y: number) => number) {
  const sorted = [...rows].sort((a, b) => a[0]! - b[0]!);
  const y = sorted.map((row) => height(row[0]!));
  return (column: number) =>
    monotoneCubic(
      y,
      sorted.map((row) => row[column]!),
    );
}

/**
 * The lens of the opened face. A sheet of paper lies round the head; every place is seen square to it, in the horizontal
 * plane of its own height, and then the sheet is opened: heights are those of every other view, breadths are not.
 * @param height Height on the modelled head to height on this one, in mm.
 */
export function openedLens(height: (y: number) => number): Lens {
  const { widthPx, topMm } = PICTURES.opened;
  const row = byHeight(OPENED.rows, height);
  const [sizeAt, axisAt, turnAt] = [row(1), row(2), row(3)];
  const cutAt = byHeight(OPENED.cut, height)(1);
  /** Mm on the picture of a place so far along the sheet, at full size. */
  const spread = (u: number, turn: number) => turn * acrossOf(u) + (1 - turn) * OPENED.flare * u;
  const halfWidthPx = (y: number) => Math.min(cutAt(y), PX_PER_MM * sizeAt(y) * spread(MOST_MM, turnAt(y)));
  const alongOf = (mm: number, turn: number): number => {
    let [low, high] = [0, MOST_MM as number];
    for (let i = 0; i < 40; i++) {
      const middle = (low + high) / 2;
      if (spread(middle, turn) < mm) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  };
  const mixed = (values: Float64Array, u: number): number => {
    const at = Math.min(Math.max(u / STEP_MM, 0), STEPS - 1.001);
    const i = Math.floor(at);
    return values[i]! * (1 - at + i) + values[i + 1]! * (at - i);
  };
  const bearingOfRay = ({ toward }: Ray) => Math.atan2(toward[0], toward[2]);

  /** How far along the sheet the foot of a place of the client's left lies: where the place stands straight above it. */
  const footOf = (x: number, z: number, course: Course, size: number, axis: number): number => {
    const aside = (i: number): number => {
      const b = course.bearing[i]!;
      return (x - size * course.x[i]!) * Math.cos(b) - (z - axis - size * course.z[i]!) * Math.sin(b);
    };
    let before = aside(0);
    for (let i = 1; i < STEPS; i++) {
      const here = aside(i);
      if (here <= 0) return (i - 1 + before / (before - here || 1)) * STEP_MM;
      before = here;
    }
    return BEHIND_MM;
  };

  return {
    ray: (pictureX, pictureY) => {
      const y = topMm - pictureY / PX_PER_MM;
      const off = pictureX - widthPx / 2;
      if (Math.abs(off) > halfWidthPx(y)) return null;
      const [size, turn] = [sizeAt(y), turnAt(y)];
      const course = courseOf(turn);
      const u = alongOf(Math.abs(off) / (PX_PER_MM * size), turn);
      const b = mixed(course.bearing, u);
      const side = off < 0 ? -1 : 1;
      return {
        origin: [side * size * mixed(course.x, u), y, axisAt(y) + size * mixed(course.z, u)],
        toward: [side * Math.sin(b), 0, Math.cos(b)],
      };
    },
    project: ([worldX, y, z]) => {
      const x = Math.abs(worldX);
      const [size, axis, turn] = [sizeAt(y), axisAt(y), turnAt(y)];
      const course = courseOf(turn);
      const u = footOf(x, z, course, size, axis);
      const b = mixed(course.bearing, u);
      const depth =
        (x - size * mixed(course.x, u)) * Math.sin(b) + (z - axis - size * mixed(course.z, u)) * Math.cos(b);
      const off = PX_PER_MM * size * spread(u, turn);
      const side = worldX < 0 ? -1 : 1;
      return [widthPx / 2 + side * (off > halfWidthPx(y) ? BESIDE_PX : off), (topMm - y) * PX_PER_MM, depth];
    },
    holds: ([x]) => Math.abs(x - widthPx / 2) < BESIDE_PX / 2,
    height: ([x, , z], ray) => {
      const b = bearingOfRay(ray) * OPENED.heightTurn;
      return x * Math.sin(b) + z * Math.cos(b);
    },
    lit: ([x, y, z], ray) => {
      const b = bearingOfRay(ray) * OPENED.lightTurn;
      return [x * Math.cos(b) - z * Math.sin(b), y, x * Math.sin(b) + z * Math.cos(b)];
    },
  };
}

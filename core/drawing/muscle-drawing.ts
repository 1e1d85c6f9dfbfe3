import type { MuscleFan, MuscleStrap } from './anchors.ts';
import { type Bodies, SHOULDER_Y } from './bodies.ts';
import { AXIS_Z } from './drop.ts';
import { curvePath, simplify } from './path.ts';
import { isSeen } from './places.ts';
import { piecesWhere } from './relief.ts';
import type { DepthMap } from './trace.ts';
import { apart, catmullRom, mirrored, mix, type Vec3, type Xy } from './vector.ts';

/** A muscle drawn in one view: its outline and its fibres as path data. */
export interface FibreDrawing {
  /** Closed path, in viewBox px. */
  outline: string;
  /** Lines along the fibres, in viewBox px. */
  fibres: string;
}

const FIBRE_SAMPLES = 22;

/** A fibre as world points on the skin; null where its line misses the body. */
export type Fibre = readonly (Vec3 | null)[];

/** Fibres of the client's left side, in order across the muscle. */
export function fibreLines(fan: MuscleFan, { head, drop }: Bodies): Fibre[] {
  if (fan.kind === 'strap') return strands(fan, head, drop);
  const zone = head.frame.zone[fan.zone];
  if (fan.kind === 'ring') {
    const from = fan.half ? -Math.PI / 2 : 0;
    const sweep = fan.half ? Math.PI : 2 * Math.PI;
    return Array.from({ length: fan.fibres + 1 }, (_, k) => {
      const t = k / fan.fibres;
      const [rx, ry] = mix(fan.inner, fan.outer, t) as [number, number];
      return Array.from({ length: 41 }, (_, s) => {
        const a = from + (sweep * s) / 40;
        return drop.front(...zone(fan.centre[0] + rx * Math.cos(a), fan.centre[1] + ry * Math.sin(a)));
      });
    });
  }
  const onSkin = (a: number, b: number): Vec3 | null => {
    if (fan.from === 'side') return drop.side(zone(0, a)[1], b);
    if (fan.from === 'above') return drop.above(zone(a, SHOULDER_Y)[0], b);
    return drop[fan.from](...zone(a, b));
  };
  const origin = catmullRom(fan.origin, 8);
  const insertion = catmullRom(fan.insertion, 8);
  const along = (curve: number[][], t: number): number[] => {
    const u = Math.min(curve.length - 1 - 1e-6, t * (curve.length - 1));
    const i = Math.floor(u);
    return mix(curve[i]!, curve[i + 1]!, u - i);
  };
  return Array.from({ length: fan.fibres + 1 }, (_, k) => {
    const t = k / fan.fibres;
    const start = along(origin, t);
    const end = along(insertion, t);
    const control = mix(start, end, 0.5);
    if (fan.bend === 'over-ear') {
      control[0]! += 12 + 8 * t;
      control[1]! += 6;
    }
    return Array.from({ length: FIBRE_SAMPLES + 1 }, (_, s) => {
      const u = s / FIBRE_SAMPLES;
      const at = mix(mix(start, control, u), mix(control, end, u), u);
      return onSkin(at[0]!, at[1]!);
    });
  });
}

/** Strands side by side round the neck: a muscle that would slip off it if it were dropped from one side. */
function strands({ course, fibres }: MuscleStrap, { frame }: Bodies['head'], drop: Bodies['drop']): Fibre[] {
  const line = catmullRom(course, 8);
  return Array.from({ length: fibres + 1 }, (_, k) =>
    line.map(([x, y, z, half]) => {
      const [atX, atY] = frame.zone.neck(x!, y!);
      const aside = ((k / fibres - 0.5) * 2 * half!) / Math.hypot(atX, z! - AXIS_Z);
      return drop.around(((Math.atan2(atX, z! - AXIS_Z) + aside) * 180) / Math.PI, atY);
    }),
  );
}

/** The middle of the middle fibre: where the belly is felt unless the table says otherwise. */
export function bellyOf(lines: readonly Fibre[]): Vec3 | null {
  const middle = lines[lines.length >> 1] ?? [];
  const at = middle.length >> 1;
  const near = middle
    .map((p, i) => ({ p, off: Math.abs(i - at) }))
    .filter((c): c is { p: Vec3; off: number } => c.p !== null);
  return near.sort((a, b) => a.off - b.off)[0]?.p ?? null;
}

/** What a view sees of each fibre; null when it shows too little of the muscle. */
export function seenFibres(lines: readonly Fibre[], map: DepthMap, onRight: boolean): Vec3[][] | null {
  const seen = lines.map((line) => longestSeen(line, map, onRight)).filter((line) => line.length > 2);
  return seen.length < Math.min(3, lines.length - 1) ? null : seen;
}

/** Draw fibres in one view, null when they cannot be seen. */
export function drawFibres(
  lines: readonly Fibre[],
  isRing: boolean,
  map: DepthMap,
  onRight: boolean,
): FibreDrawing | null {
  const seen = seenFibres(lines, map, onRight);
  return (
    seen &&
    fibreDrawing(
      seen.map((line) =>
        line.map((p): Xy => {
          const [x, y] = map.lens.project(p);
          return [x, y];
        }),
      ),
      isRing,
    )
  );
}

/** Fibres on the sheet as path data; those that crowd by foreshortening thin out to 2.4 px. */
export function fibreDrawing(seen: readonly Xy[][], isRing: boolean): FibreDrawing {
  const first = seen[0]!;
  const last = seen[seen.length - 1]!;
  const inner = seen.slice(1, -1);
  const ring = isRing
    ? [...last, ...[...first].reverse()]
    : [
        ...first,
        ...inner.map((l) => l[l.length - 1]!),
        ...[...last].reverse(),
        ...[...inner].reverse().map((l) => l[0]!),
      ];
  // Fibres that part over an edge of the body have no common outline.
  const parted = seen.some(
    (line, i) => i > 0 && Math.hypot(line[0]![0] - seen[i - 1]![0]![0], line[0]![1] - seen[i - 1]![0]![1]) > 34,
  );
  const spread: Xy[][] = [];
  for (const line of seen) {
    const before = spread[spread.length - 1];
    const middle = (l: Xy[]) => l[l.length >> 1]!;
    const gap = (a: Xy, b: Xy) => Math.hypot(a[0] - b[0], a[1] - b[1]);
    if (!before || Math.max(gap(middle(line), middle(before)), gap(line[0]!, before[0]!)) > 2.4) spread.push(line);
  }
  return {
    outline: parted ? '' : curvePath(simplify(ring, 0.2), true),
    fibres: spread.map((l) => curvePath(simplify(l, 0.12))).join(''),
  };
}

/** A fibre that slips over an edge of the body goes on elsewhere: a step longer than this ends it, in mm. */
const LONGEST_STEP_MM = 14;

/** The longest stretch of a fibre that lies on the visible skin without a jump. */
function longestSeen(line: Fibre, map: DepthMap, onRight: boolean): Vec3[] {
  const side = line.map((p) => (p && onRight ? mirrored(p) : p));
  const far = (a: Vec3, b: Vec3) => apart(a, b) > LONGEST_STEP_MM;
  let before: Vec3 | null = null;
  const runs = piecesWhere(
    side.flatMap((p) => {
      const cut = before && p && far(before, p) ? [null, p] : [p];
      before = p;
      return cut;
    }),
    (p) => p !== null && isSeen(map, p, 5),
    1,
  ) as Vec3[][];
  return runs.reduce((a, b) => (b.length > a.length ? b : a), []);
}

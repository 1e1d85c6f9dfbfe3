import { goesBothWays, stepsOf, type Routine, type Step, type Stroke } from '../../../core/routine';
import { curveCatmullRom, line } from 'd3';
import { placesOn, type Place, type Shown } from './places';
import type { Side } from '../../../core/words';

/** The path of one step, drawn at its places: one list of places for each side it is worked on, in working order. */
export interface PathMark {
  sides: readonly (readonly Place[])[];
  stroke: Stroke;
  /** Each place is worked by itself; else one pass goes along them. */
  perPlace: boolean;
  /** So many places of it are worked already, each by itself. */
  done?: number;
}

/** The path of a step on the sides it is worked, or on one of them. */
export function pathMark(step: Pick<Step, 'path' | 'stroke' | 'sides' | 'dose'>, on?: Side): PathMark {
  const { mode } = step.sides;
  const side = on ?? (mode === 'together' || mode === 'each' ? 'both' : mode);
  const of = (one: Side) => step.path.flatMap((p) => placesOn(p, one).slice(0, 1));
  const lists = side === 'both' ? [of('left'), of('right')] : [of(side === 'midline' ? 'left' : side)];
  // A path on the midline is the same from both sides.
  const onMidline = lists[0]!.every((p) => p.side === 'midline');
  return { sides: onMidline ? lists.slice(0, 1) : lists, stroke: step.stroke, perPlace: step.dose.perPlace };
}

/** The path of the step of this id. */
export function pathsOf(routine: Routine, stepId: string | null): PathMark[] {
  const step = stepsOf(routine).find((s) => s.id === stepId);
  return step ? [pathMark(step)] : [];
}

interface At {
  x: number;
  y: number;
}
const along = line<At>(
  (p) => p.x,
  (p) => p.y,
).curve(curveCatmullRom.alpha(0.5));

/** Three sides of a small triangle whose tip lies at `to`, looking away from `from`. */
function head(from: At, to: At, size: number): string {
  const angle = Math.atan2(to.y - from.y, to.x - from.x);
  const corner = (turn: number) =>
    `${(to.x - size * Math.cos(angle + turn)).toFixed(1)} ${(to.y - size * Math.sin(angle + turn)).toFixed(1)}`;
  return `M${corner(0.45)}L${to.x.toFixed(1)} ${to.y.toFixed(1)}L${corner(-0.45)}`;
}

/** An open circle with a tip: the way small circles go. On the client's right it is the mirror image. */
function turning({ x, y }: At, radius: number, flipped: boolean): string {
  const s = flipped ? -1 : 1;
  const end = { x: x + s * radius, y };
  return `M${x} ${y - radius}A${radius} ${radius} 0 1 ${flipped ? 1 : 0} ${end.x} ${end.y}${head({ x: end.x, y: y + radius }, end, radius * 0.55)}`;
}

/** Ring and arrow: every place of the path in its order, and which way the stroke goes along it. */
/** a, b, c: the letters of a path’s places, in working order, so that they are no numbers of steps. */
export const letterOf = (n: number): string => String.fromCharCode(96 + (((n - 1) % 26) + 1));

export function PathLayer({ shown, unit = 1, paths }: { shown: Shown; unit?: number; paths: readonly PathMark[] }) {
  return (
    <g className="chart-paths" aria-hidden="true">
      {paths.flatMap((path, n) =>
        path.sides.map((places, i) => (
          <OnePath key={`${n}-${i}`} path={path} places={places} shown={shown} unit={unit} />
        )),
      )}
    </g>
  );
}

function OnePath({
  path: { stroke, perPlace, done = 0 },
  places,
  shown,
  unit,
}: {
  path: PathMark;
  places: readonly Place[];
  shown: Shown;
  unit: number;
}) {
  const spots = places.flatMap((place) => {
    const at = shown(place);
    return at ? [{ ...at, place }] : [];
  });
  if (!spots.length) return null;
  const circles = stroke === 'circles-one-way' || stroke === 'circles-both-ways';
  const travels = spots.length > 1 && !perPlace;
  const last = spots.length - 1;
  const tip = 7 * unit;
  const radius = 5.5 * unit;
  return (
    <g>
      {travels && <path className="chart-path" d={along(spots) ?? ''} strokeWidth={2 * unit} />}
      {travels && stroke !== 'still' && stroke !== 'in-place' && (
        <path
          className="chart-path"
          strokeWidth={2 * unit}
          d={
            head(spots[last - 1]!, spots[last]!, tip) +
            (stroke === 'to-and-fro' || goesBothWays(stroke) ? head(spots[1]!, spots[0]!, tip) : '')
          }
        />
      )}
      {spots.map((at, i) => {
        const ring = perPlace || spots.length === 1 || i === 0 || !travels;
        return (
          <g key={i}>
            {ring && <circle className="chart-path-place" cx={at.x} cy={at.y} r={radius} strokeWidth={1.6 * unit} />}
            {ring && circles && (
              <path
                className="chart-path"
                d={turning(at, radius * 1.7, at.place.side === 'right')}
                strokeWidth={1.4 * unit}
              />
            )}
            {perPlace && i < done && (
              <g className="chart-path-done">
                <circle cx={at.x} cy={at.y} r={radius * 1.2} strokeWidth={1.4 * unit} />
                <path
                  d={`M${at.x - radius * 0.55} ${at.y}l${radius * 0.4} ${radius * 0.45}l${radius * 0.75} ${-radius * 0.9}`}
                  strokeWidth={1.6 * unit}
                />
              </g>
            )}
            {perPlace && i >= done && spots.length > 1 && (
              <text x={at.x} y={at.y} style={{ fontSize: 7.5 * unit }} className="chart-path-number">
                {letterOf(i + 1)}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

import type { Tenderness } from '../../../core/measures';
import { sheetOf, type Place, type Shown, type View } from './places';

interface LayerProps {
  shown: Shown;
  unit: number;
}

export interface FeltWay {
  key: string;
  from: Place;
  to: Place;
}

/** From where to where a press was felt: a bowed line with an open head, from the muscle to the region. */
export function FeltElsewhereLayer({ shown, unit, view, ways }: LayerProps & { view: View; ways: readonly FeltWay[] }) {
  const centre = sheetOf(view).width / 2;
  return (
    <g className="chart-felt">
      {ways.map(({ key, from, to }) => {
        const a = shown(from);
        const b = shown(to);
        if (!a || !b) return null;
        const [dx, dy] = [b.x - a.x, b.y - a.y];
        const length = Math.hypot(dx, dy) || 1;
        // The bow leans outward, so that the ways of both sides do not cross the nose.
        const bow = Math.min(28, length / 4);
        const bowed = (sign: 1 | -1) => ({
          x: (a.x + b.x) / 2 + (sign * dy * bow) / length,
          y: (a.y + b.y) / 2 - (sign * dx * bow) / length,
        });
        const middle = Math.abs(bowed(1).x - centre) > Math.abs(bowed(-1).x - centre) ? bowed(1) : bowed(-1);
        const angle = Math.atan2(b.y - middle.y, b.x - middle.x);
        const wing = (turn: number) =>
          `${b.x - 8 * unit * Math.cos(angle + turn)} ${b.y - 8 * unit * Math.sin(angle + turn)}`;
        return (
          <g key={key} strokeWidth={1.6 * unit}>
            <path d={`M${a.x} ${a.y}Q${middle.x} ${middle.y} ${b.x} ${b.y}`} />
            <path d={`M${wing(0.45)}L${b.x} ${b.y}L${wing(-0.45)}`} />
            <circle cx={a.x} cy={a.y} r={2.6 * unit} />
          </g>
        );
      })}
    </g>
  );
}

export interface PinnedSpot {
  id: string;
  x: number;
  y: number;
  tenderness: Tenderness | null;
  number: number;
}

/** Tight spots as pins: a small cross with its number, underlined as soundings are. */
export function SpotLayer({
  spots,
  unit,
  view,
  mirrored,
  chosen,
}: {
  spots: readonly PinnedSpot[];
  unit: number;
  view: View;
  mirrored: boolean;
  chosen: string | null;
}) {
  return (
    <g className="chart-spots">
      {spots.map((s) => {
        const x = mirrored ? sheetOf(view).width - s.x : s.x;
        return (
          <g key={s.id} className={s.id === chosen ? 'is-chosen' : ''} strokeWidth={1.6 * unit}>
            <path
              d={`M${x - 5 * unit} ${s.y - 5 * unit}l${10 * unit} ${10 * unit}M${x + 5 * unit} ${s.y - 5 * unit}l${-10 * unit} ${10 * unit}`}
            />
            <text x={x + 9 * unit} y={s.y} style={{ fontSize: 12 * unit }}>
              {s.number}
            </text>
            {Array.from({ length: s.tenderness ?? 0 }, (_, i) => (
              <line
                key={i}
                x1={x + 8 * unit}
                x2={x + 17 * unit}
                y1={s.y + (5 + i * 2.6) * unit}
                y2={s.y + (5 + i * 2.6) * unit}
              />
            ))}
          </g>
        );
      })}
    </g>
  );
}

export interface FeltRegion {
  place: Place;
  value: number;
}

/** The scan from inside: a filled lozenge where it is tense, an open ring where at ease, a dash where nothing was noticed. */
export function ScanLayer({ shown, unit, regions }: LayerProps & { regions: readonly FeltRegion[] }) {
  return (
    <g className="chart-scan">
      {regions.map(({ place, value }) => {
        const at = shown(place);
        if (!at) return null;
        const r = 6 * unit;
        return (
          <g key={`${place.id}.${place.side}`} strokeWidth={1.6 * unit}>
            {value === 2 && (
              <path
                className="tense"
                d={`M${at.x} ${at.y - r}L${at.x + r} ${at.y}L${at.x} ${at.y + r}L${at.x - r} ${at.y}Z`}
              />
            )}
            {value === 1 && <circle cx={at.x} cy={at.y} r={r * 0.8} />}
            {value === 0 && <path d={`M${at.x - r} ${at.y}h${2 * r}`} />}
          </g>
        );
      })}
    </g>
  );
}

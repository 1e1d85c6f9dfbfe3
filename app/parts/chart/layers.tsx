import { changeVerdict, type ChangeVerdict, MEASURES } from '../../../core/measures';
import { type Pressure, pressureRank } from '../../../core/words';
import { placeKey, type Place, type Shown } from './places';
import { spread } from './spread';

export interface Stop {
  id: string;
  number: number;
  place: Place;
  pressure: Pressure | null;
  active: boolean;
}
export interface Sounding {
  place: Place;
  value: number;
}
export interface KeepOff {
  place: Place;
  radius: number;
  word: string;
  /** Named beside the mark; a standing one is named on hover only. */
  named: boolean;
}
export interface Change {
  place: Place;
  before: number;
  after: number;
}
interface LayerProps {
  shown: Shown;
  /** Sheet px per px on the screen where that is more than 1, so that marks on a large sheet stay readable. */
  unit?: number;
}

const onDisc = (pressure: Pressure | null): string =>
  pressure && pressureRank(pressure) >= 3 ? 'var(--pressure-on-dark)' : 'var(--pressure-on-light)';

/** The order of the routine: numbered discs filled by pressure, joined by a thin dashed line down each side. */
export function RouteLayer({
  shown,
  unit = 1,
  stops,
  avoid,
  onChoose,
}: LayerProps & { stops: readonly Stop[]; avoid: readonly Place[]; onChoose?: (id: string) => void }) {
  const placed = spread(
    stops.flatMap((s) => {
      const at = shown(s.place);
      return at ? [{ ...s, ...at }] : [];
    }),
    9.6 * unit,
    avoid.flatMap((p) => shown(p) ?? []),
  );
  const sides: Place['side'][] = ['left', 'right'];
  return (
    <g className={`chart-points${stops.some((s) => s.active) ? ' has-active' : ''}`}>
      {sides.map((side) => {
        const way = placed
          .filter((p) => p.place.side === side || p.place.side === 'midline')
          .sort((a, b) => a.number - b.number);
        return (
          way.length > 1 && (
            <path key={side} className="chart-route" d={`M${way.map((p) => `${p.x} ${p.y}`).join('L')}`} />
          )
        );
      })}
      {placed.map((s) => (
        <g
          key={`${s.id}-${placeKey(s.place)}`}
          className={`chart-disc-group${s.active ? ' is-now' : ''}`}
          onClick={() => onChoose?.(s.id)}
        >
          <circle
            className="chart-disc"
            cx={s.x}
            cy={s.y}
            r={(s.active ? 10 : 8) * unit}
            fill={s.pressure ? `var(--pressure-${s.pressure})` : 'var(--sheet)'}
          />
          <text
            className="chart-disc-number"
            x={s.x}
            y={s.y}
            style={{ fontSize: 9.5 * unit }}
            fill={onDisc(s.pressure)}
          >
            {s.number}
          </text>
        </g>
      ))}
    </g>
  );
}

/** Tender places as soundings: the number, underlined once to three times. */
export function TendernessLayer({ shown, unit = 1, soundings }: LayerProps & { soundings: readonly Sounding[] }) {
  return (
    <g>
      {soundings.map(({ place, value }) => {
        const at = shown(place);
        return (
          at && (
            <g key={placeKey(place)} className="chart-sounding">
              <circle cx={at.x} cy={at.y} r={12 * unit} />
              <text x={at.x} y={at.y + unit} style={{ fontSize: 15 * unit }}>
                {value}
              </text>
              {Array.from({ length: value }, (_, i) => (
                <line
                  key={i}
                  strokeWidth={1.3 * unit}
                  x1={at.x - 5.5 * unit}
                  x2={at.x + 5.5 * unit}
                  y1={at.y + (5 + i * 2.6) * unit}
                  y2={at.y + (5 + i * 2.6) * unit}
                />
              ))}
            </g>
          )
        );
      })}
    </g>
  );
}

/** Places that are off limits, dashed and crossed, with the word beside the first of each kind. */
export function KeepOffLayer({ shown, zones }: LayerProps & { zones: readonly KeepOff[] }) {
  const named = new Set<string>();
  return (
    <g className="chart-keep-off">
      {zones.map(({ place, radius, word, named: says }) => {
        const at = shown(place);
        if (!at) return null;
        const first = says && !named.has(word);
        named.add(word);
        const half = radius * 0.6;
        return (
          <g key={`${placeKey(place)}-${word}`} opacity={says ? 1 : 0.55}>
            <title>{word}</title>
            <circle cx={at.x} cy={at.y} r={radius} />
            <line x1={at.x - half} y1={at.y + half} x2={at.x + half} y2={at.y - half} />
            {first && (
              <text className="chart-keep-word" x={at.x} y={at.y + radius + 12} textAnchor="middle">
                {word}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

/** Inside its own error a change has no colour. */
const CHANGE_TONES: Partial<Record<ChangeVerdict, string>> = { better: 'var(--relief)', worse: 'var(--worse)' };

/** What changed between the first visit and now: "3 → 1". */
export function ChangeLayer({ shown, unit = 1, changes }: LayerProps & { changes: readonly Change[] }) {
  const placed = spread(
    changes.flatMap((c) => {
      const at = shown(c.place);
      return at ? [{ ...c, ...at }] : [];
    }),
    22 * unit,
  );
  return (
    <g>
      {placed.map((c) => (
        <text
          key={placeKey(c.place)}
          className="chart-change"
          x={c.x}
          y={c.y}
          style={{ fontSize: 12.5 * unit }}
          fill={CHANGE_TONES[changeVerdict(MEASURES.tenderness, c.before, c.after)] ?? 'var(--ink-soft)'}
        >
          {c.before} → {c.after}
        </text>
      ))}
    </g>
  );
}

export interface Gap {
  /** On the client’s left and right. */
  left: Place;
  right: Place;
  /** How much more tender the left is; less than 0 where the right is. */
  byLeft: number;
}

/** The sides against each other: how much more on the side that is more tender, the same where there is no difference. */
export function GapLayer({ shown, unit = 1, gaps }: LayerProps & { gaps: readonly Gap[] }) {
  const placed = spread(
    gaps.flatMap((gap) => {
      const words = gap.byLeft === 0 ? '=' : `+${Math.abs(gap.byLeft)}`;
      const on = gap.byLeft > 0 ? [gap.left] : gap.byLeft < 0 ? [gap.right] : [gap.left, gap.right];
      return on.flatMap((place) => {
        const at = shown(place);
        return at ? [{ place, words, ...at }] : [];
      });
    }),
    18 * unit,
  );
  return (
    <g>
      {placed.map(({ place, words, x, y }) => (
        <text
          key={placeKey(place)}
          className={`chart-gap${words === '=' ? ' is-same' : ''}`}
          x={x}
          y={y}
          style={{ fontSize: 17 * unit }}
        >
          {words}
        </text>
      ))}
    </g>
  );
}

export interface RingState {
  /** Where it is: at a place, or a share of the way from one place to the next. */
  at: readonly { from: Place; to: Place; share: number }[];
  /** 0–1 of the present cue that is still to go. */
  left: number;
  pressure: Pressure | null;
}

/** The countdown, drawn round the contact place itself. */
export function ContactRing({ shown, ring, radius }: LayerProps & { ring: RingState; radius: number }) {
  const around = 2 * Math.PI * radius;
  return (
    <g>
      {ring.at.map(({ from, to, share }) => {
        const [a, b] = [shown(from), shown(to)];
        const at = a && b ? { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share } : (a ?? b);
        return (
          at && (
            <g key={placeKey(from)} transform={`rotate(-90 ${at.x} ${at.y})`}>
              <circle className="contact-ring-back" cx={at.x} cy={at.y} r={radius} strokeWidth={radius * 0.17} />
              <circle
                className="contact-ring"
                cx={at.x}
                cy={at.y}
                r={radius}
                strokeWidth={radius * 0.17}
                strokeDasharray={`${around * ring.left} ${around}`}
              />
              <circle
                cx={at.x}
                cy={at.y}
                r={radius * 0.38}
                fill={ring.pressure ? `var(--pressure-${ring.pressure})` : 'var(--sheet)'}
                stroke="var(--ink)"
                strokeWidth={radius * 0.05}
              />
            </g>
          )
        );
      })}
    </g>
  );
}

import type { ValuePair } from '../../../core/relief';
import { roundHalfAway, type Side } from '../../../core/words';
import { extent, line, scaleLinear } from 'd3';
import { PLOT, type TimeAxis } from './time-axis';

interface OneSided {
  side: Side;
  points: readonly { atMs: number; value: number }[];
  pair: ValuePair;
}
const HEIGHT = 62;
const TOP = 24;
const BASE = 50;
const R = 4;
/** Disc for the client’s right, ring for the left, a square where there is no side. */
const SHAPES: Record<Side, string> = {
  right: `m-${R} 0a${R} ${R} 0 1 0 ${2 * R} 0a${R} ${R} 0 1 0 -${2 * R} 0z`,
  left: `m-${R} 0a${R} ${R} 0 1 0 ${2 * R} 0a${R} ${R} 0 1 0 -${2 * R} 0z`,
  both: 'm-4 -4h8v8h-8z',
  midline: 'm-4 -4h8v8h-8z',
};
const unitOf = (unit: string): string => (unit === 'mm' || unit === 'kPa' ? ` ${unit}` : '');
const told = (v: number): string => String(roundHalfAway(v, 1));

/** What the change is worth, short; the table beneath says it with its source. */
const WORTH: Record<ValuePair['told'], string> = {
  first: '',
  same: 'unchanged',
  'no-figure': 'its error is not known',
  'within-error': 'inside its own error',
  possible: 'a possible change',
  'too-small': 'less than what matters',
  better: 'past its own error',
  worse: 'past its own error',
};

/** One measure over the visits on the axis of the courses, both sides in one row, and at the right what changed. */
export function MeasureRow({ name, sides, axis }: { name: string; sides: readonly OneSided[]; axis: TimeAxis }) {
  const [least = 0, most = 0] = extent(sides.flatMap((s) => s.points.map((p) => p.value))) as [number, number];
  const y = scaleLinear([least, most === least ? least + 1 : most], [BASE, TOP]);
  // On the days that are looked at a side may have no value.
  const drawn = sides.filter((s) => s.points.length > 0);
  const at = (p: { atMs: number; value: number }) => ({ x: axis.x(p.atMs), y: y(p.value) });
  const heard = drawn
    .map((s) => `${s.side === 'midline' ? '' : `client’s ${s.side} `}${s.points.map((p) => told(p.value)).join(', ')}`)
    .join('; ');
  return (
    <svg
      viewBox={`0 0 ${PLOT.width} ${HEIGHT}`}
      role="img"
      aria-label={`${name}: ${heard || 'nothing on these days'}`}
      className="measure-row"
    >
      <line className="grid" x1={0} x2={PLOT.width} y1={0.5} y2={0.5} />
      <text className="measure-name" x={PLOT.left} y={14}>
        {name}
      </text>
      {drawn.map((s) => {
        const [first, last] = [s.points[0]!, s.points[s.points.length - 1]!];
        // Values of two sides that meet are told above and below.
        const below = s.side === 'right' && sides.length > 1;
        return (
          <g key={s.side}>
            <path
              className="line"
              d={
                line<(typeof s.points)[number]>(
                  (p) => at(p).x,
                  (p) => at(p).y,
                )(s.points) ?? ''
              }
            />
            <path
              className={`mark ${s.side === 'left' ? 'home' : 'studio'}`}
              d={s.points.map((p) => `M${at(p).x.toFixed(1)} ${at(p).y.toFixed(1)}${SHAPES[s.side]}`).join('')}
            />
            {[first, last].map((p, i) => (
              <text
                key={i}
                className="num"
                x={at(p).x + (i ? 9 : -9)}
                y={at(p).y + (below ? 10 : 2)}
                textAnchor={i ? 'start' : 'end'}
              >
                {told(p.value)}
              </text>
            ))}
          </g>
        );
      })}
      {sides.map((s, i) => (
        <Change key={s.side} pair={s.pair} at={sides.length > 1 ? 14 + i * 26 : 24} />
      ))}
    </svg>
  );
}

function Change({ pair, at }: { pair: ValuePair; at: number }) {
  const { change, told: said, side, unit } = pair;
  const sure = said === 'better' || said === 'worse';
  const words = change
    ? `${sure ? (change > 0 ? '▲ ' : '▼ ') : ''}${told(Math.abs(change))}${unitOf(unit)} ${change > 0 ? 'more' : 'less'}`
    : 'the same';
  return (
    <>
      <text className={`measure-change${sure ? ` is-${said}` : ''}`} x={PLOT.gauge - 4} y={at}>
        {words}
        {side === 'left' || side === 'right' ? `, ${side}` : ''}
      </text>
      {change !== 0 && (
        <text x={PLOT.gauge - 4} y={at + 13}>
          {WORTH[said]}
        </text>
      )}
    </>
  );
}

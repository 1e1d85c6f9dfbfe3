import type { RibbonBlock, RibbonData } from '../../../core/routine';
import { clock, type Pressure, PRESSURES } from '../../../core/words';
import { scaleLinear, range } from 'd3';
import { useEffect, useRef, useState } from 'react';

interface Props {
  data: RibbonData;
  budgetSeconds: number | null;
  names: ReadonlyMap<string, string>;
  /** Steps with a stop or a warning. */
  flags?: ReadonlyMap<string, 'stop' | 'warn'>;
  chosen?: string | null;
  onChoose?: (stepId: string) => void;
  onMove?: (stepId: string, by: -1 | 1) => void;
  /** Seconds; null before a run. */
  now?: number | null;
  height?: number;
}
const LEFT = 50;
const RIGHT = 26;
const TOP = 30;
const BOTTOM = 26;

/**
 * The whole routine in one band: time runs left to right, pressure on the client's right rises above the centre line
 * and on the left hangs below it; work on the midline is a bar on the line, breath a wave. The budget ends at a post.
 */
export function Ribbon({
  data,
  budgetSeconds,
  names,
  flags,
  chosen,
  onChoose,
  onMove,
  now = null,
  height = 178,
}: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(1280);
  useEffect(() => {
    const observer = new ResizeObserver(([entry]) => entry && setWidth(Math.max(320, entry.contentRect.width)));
    if (frame.current) observer.observe(frame.current);
    return () => observer.disconnect();
  }, []);
  const end = Math.max(data.totalSeconds, budgetSeconds ?? 0, 60) * 1.03;
  const x = scaleLinear([0, end], [LEFT, width - RIGHT]);
  const middle = TOP + (height - TOP - BOTTOM) / 2;
  const unit = (height - TOP - BOTTOM) / 2 / 5.2;
  const minutes = range(0, end / 60, [1, 2, 5, 10, 20].find((s) => (end / 60 / s) * 48 < width - LEFT - RIGHT) ?? 30);
  const at = now === null ? null : x(now);

  return (
    <div className="ribbon" ref={frame}>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        role="group"
        aria-label={`Ribbon: ${clock(data.totalSeconds)}${budgetSeconds ? ` of ${clock(budgetSeconds)}` : ''}`}
      >
        <text className="side" x={16} y={middle - unit * 2}>
          R
        </text>
        <text className="side" x={16} y={middle + unit * 2 + 9}>
          L
        </text>
        {placedNames(data, x).map((p) => (
          <g key={p.startSeconds}>
            <line className="rule" x1={x(p.startSeconds)} x2={x(p.startSeconds)} y1={TOP - 4} y2={height - BOTTOM} />
            {p.shown && (
              <text x={x(p.startSeconds) + 5} y={TOP - 12}>
                {p.name}
              </text>
            )}
          </g>
        ))}
        {minutes.map((m) => (
          <text key={m} className="minute" x={x(m * 60)} y={height - 8} textAnchor="middle">
            {m === 0 ? '0 min' : m}
          </text>
        ))}
        {budgetSeconds !== null && data.totalSeconds > budgetSeconds && (
          <rect
            className="over"
            x={x(budgetSeconds)}
            y={TOP}
            width={x(data.totalSeconds) - x(budgetSeconds)}
            height={height - TOP - BOTTOM}
          />
        )}
        {data.blocks.map((b, i) => (
          <Block
            key={i}
            block={b}
            x={x}
            middle={middle}
            unit={unit}
            first={data.blocks.findIndex((o) => o.stepId === b.stepId) === i}
            {...{ names, flags, chosen, onChoose, onMove, now }}
          />
        ))}
        {data.turns.map((t) => (
          <g key={t.startSeconds} className="turn">
            <path d={`M${x(t.startSeconds)} ${TOP + 4}v-5H${x(t.endSeconds)}v5`} />
            <text x={x(t.startSeconds) + 5} y={TOP - 4}>
              {t.isSecond ? `then ${t.side}` : `all ${t.side}`}
            </text>
          </g>
        ))}
        <line className="mid" x1={LEFT} x2={width - RIGHT} y1={middle} y2={middle} />
        {budgetSeconds !== null && (
          <g>
            <line className="post" x1={x(budgetSeconds)} x2={x(budgetSeconds)} y1={TOP - 16} y2={height - BOTTOM} />
            <rect className="post-flag" x={x(budgetSeconds) - 9} y={TOP - 16} width={9} height={7} />
          </g>
        )}
        {at !== null && (
          <g>
            <line className="playhead" x1={at} x2={at} y1={TOP - 10} y2={height - BOTTOM + 4} />
            <circle cx={at} cy={TOP - 10} r={4.5} fill="var(--now)" />
          </g>
        )}
      </svg>
    </div>
  );
}

/** Phase names that have room: one that would run into the name before it is left out. */
function placedNames(data: RibbonData, x: (s: number) => number) {
  let free = -Infinity;
  return data.phases.map((p) => {
    const shown = x(p.startSeconds) >= free;
    if (shown) free = x(p.startSeconds) + p.name.length * 6.6 + 12;
    return { ...p, shown };
  });
}

type BlockProps = Pick<Props, 'names' | 'flags' | 'chosen' | 'onChoose' | 'onMove' | 'now'> & {
  block: RibbonBlock;
  x: (s: number) => number;
  middle: number;
  unit: number;
  first: boolean;
};

function Block({ block: b, x, middle, unit, first, names, flags, chosen, onChoose, onMove, now }: BlockProps) {
  const left = x(b.startSeconds);
  const width = Math.max(1.5, x(b.endSeconds) - left - 1);
  const rank = Math.max(b.left, b.right);
  const word: Pressure | null = rank ? PRESSURES[rank - 1]! : null;
  const sides =
    b.right && b.left
      ? b.kind === 'midline'
        ? 'midline'
        : 'both sides'
      : b.right
        ? 'client’s right'
        : b.left
          ? 'client’s left'
          : '';
  const label = [names.get(b.stepId), sides, word, `${clock(b.startSeconds)} to ${clock(b.endSeconds)}`]
    .filter(Boolean)
    .join(', ');
  const flag = first ? flags?.get(b.stepId) : undefined;
  const fill = word ? `var(--pressure-${word})` : 'var(--line)';
  return (
    <g
      className={`block${chosen === b.stepId ? ' is-chosen' : ''}${now != null && b.endSeconds < now ? ' past' : ''}`}
      role="button"
      tabIndex={first ? 0 : -1}
      aria-label={label}
      onClick={() => onChoose?.(b.stepId)}
      onKeyDown={(e) => {
        if (e.key === 'Enter' || e.key === ' ') onChoose?.(b.stepId);
        else if ((e.key === '[' || e.key === ']') && onMove) onMove(b.stepId, e.key === '[' ? -1 : 1);
        else return;
        e.preventDefault();
      }}
    >
      <title>{label}</title>
      {b.kind === 'pressure' && (
        <>
          {b.right > 0 && (
            <rect x={left} y={middle - b.right * unit} width={width} height={b.right * unit} fill={fill} />
          )}
          {b.left > 0 && <rect x={left} y={middle} width={width} height={b.left * unit} fill={fill} />}
        </>
      )}
      {b.placeSeconds.map((s) => (
        <line
          key={s}
          className="place-cut"
          x1={x(s)}
          x2={x(s)}
          y1={middle - b.right * unit}
          y2={middle + b.left * unit}
        />
      ))}
      {b.kind === 'midline' && (
        <rect x={left} y={middle - (rank * unit) / 2} width={width} height={rank * unit} fill={fill} />
      )}
      {b.kind === 'plain' && (
        <rect x={left} y={middle - 3} width={width} height={6} rx={2} fill="var(--ink-soft)" fillOpacity={0.45} />
      )}
      {b.kind === 'breath' && <path className="wave" d={wave(left, width, middle, unit, b.cycles)} />}
      <rect className="frame" x={left - 1} y={middle - 5.2 * unit} width={width + 2} height={10.4 * unit} rx={2} />
      {flag && (
        <path
          className={flag === 'stop' ? 'stop-tick' : 'warn-tick'}
          d={`M${left} ${middle - 5.2 * unit - 2}h8l-4 6z`}
        />
      )}
    </g>
  );
}

function wave(left: number, width: number, middle: number, unit: number, cycles: number): string {
  const n = Math.max(1, cycles);
  const step = width / n;
  const rise = unit * 1.3;
  return (
    `M${left} ${middle}` +
    Array.from({ length: n }, () => `q${step / 4} ${-2 * rise} ${step / 2} 0t${step / 2} 0`).join('')
  );
}

import type { DoneRibbon } from '../../../core/guide';
import { clock, PRESSURES } from '../../../core/words';
import { Link } from 'react-router';
import { PLOT, type TimeAxis, withRoom } from './time-axis';

export interface DoneAtVisit extends DoneRibbon {
  visitId: string;
  atMs: number;
  /** "visit 2, 9 Nov" */
  name: string;
}

const HEIGHT = 66;
const MIDDLE = 22;
/** px of the longest, and of a rank of pressure. */
const LONGEST = 84;
const RANK = 4;
/** Under a finger as wide as this, however short the run was. */
const TOUCH = 44;

/** What was really done at each post: right above the line, left below it, all at one scale; each opens its record. */
export function DoneRow({ axis, done }: { axis: TimeAxis; done: readonly DoneAtVisit[] }) {
  if (!done.length) return null;
  const longest = done.reduce((most, d) => Math.max(most, d.seconds), 1);
  const px = (seconds: number) => (seconds / longest) * LONGEST;
  const middle = (d: DoneAtVisit) => {
    const half = Math.max(TOUCH, px(d.seconds)) / 2;
    return Math.min(Math.max(axis.x(d.atMs), PLOT.left + half), PLOT.right + 30 - half);
  };
  const shown = withRoom(done, (d) => {
    const half = Math.max(TOUCH, px(d.seconds)) / 2 + 3;
    return { start: middle(d) - half, end: middle(d) + half };
  });
  return (
    <svg viewBox={`0 0 ${PLOT.width} ${HEIGHT}`} className="done-row">
      <text className="side" x={0} y={MIDDLE - 6}>
        R
      </text>
      <text className="side" x={0} y={MIDDLE + 16}>
        L
      </text>
      {done.map((d) =>
        shown.has(d) ? (
          <Link key={d.visitId} to={`/visits/${d.visitId}/record`}>
            <title>{`${d.name}: ${clock(d.seconds)} done. Opens what was planned against it.`}</title>
            <rect
              className="touch"
              x={middle(d) - Math.max(TOUCH, px(d.seconds)) / 2}
              width={Math.max(TOUCH, px(d.seconds))}
              height={HEIGHT}
            />
            <g
              transform={`translate(${(middle(d) - px(d.seconds) / 2).toFixed(1)} ${MIDDLE}) scale(${(LONGEST / longest).toFixed(4)} ${RANK})`}
            >
              {d.bands.map(({ rank, path }) => (
                <path key={rank} d={path} fill={rank ? `var(--pressure-${PRESSURES[rank - 1]})` : 'var(--ink-soft)'} />
              ))}
            </g>
            <text className="num" x={middle(d)} y={HEIGHT - 6} textAnchor="middle">
              {clock(d.seconds)}
            </text>
          </Link>
        ) : null,
      )}
      <text x={PLOT.words} y={MIDDLE - 2}>
        done at each visit,
      </text>
      <text x={PLOT.words} y={MIDDLE + 13}>
        m:ss; the client’s right above
      </text>
    </svg>
  );
}

import type { RibbonBlock } from '../../../core/routine';
import { PRESSURES } from '../../../core/words';

/** A block as it travels: from, to, rank on the right, rank on the left, and whether it is breath. */
export type SmallBlock = readonly [start: number, end: number, right: number, left: number, breath: 0 | 1];
export const smallBlocks = (blocks: readonly RibbonBlock[]): SmallBlock[] =>
  blocks.map((b) => [
    Math.round(b.startSeconds),
    Math.round(b.endSeconds),
    b.right,
    b.left,
    b.kind === 'breath' ? 1 : 0,
  ]);

const HEIGHT = 34;
const UNIT = HEIGHT / 2 / 5.4;

/** A routine as a band, at the scale of all the others; an upright line is its own budget. */
export function SmallRibbon({
  blocks,
  budgetMinutes,
  scaleMinutes,
  width,
}: {
  blocks: readonly SmallBlock[];
  budgetMinutes: number | null;
  scaleMinutes: number;
  width: number;
}) {
  const x = (seconds: number) => (seconds / 60 / scaleMinutes) * width;
  const middle = HEIGHT / 2;
  return (
    <svg className="small-ribbon" viewBox={`0 0 ${width} ${HEIGHT}`} width={width} height={HEIGHT} aria-hidden="true">
      {blocks.map(([start, end, right, left, breath], i) => {
        const rank = Math.max(right, left);
        const fill = rank ? `var(--pressure-${PRESSURES[rank - 1]})` : 'var(--line)';
        const size = { x: x(start), width: Math.max(1, x(end) - x(start) - 0.6), fill };
        if (breath || !rank) return <rect key={i} {...size} y={middle - 1.5} height={3} fill="var(--ink-soft)" />;
        return (
          <g key={i}>
            {right > 0 && <rect {...size} y={middle - right * UNIT} height={right * UNIT} />}
            {left > 0 && <rect {...size} y={middle} height={left * UNIT} />}
          </g>
        );
      })}
      {budgetMinutes !== null && budgetMinutes <= scaleMinutes && (
        <line className="post" x1={x(budgetMinutes * 60)} x2={x(budgetMinutes * 60)} y1={1} y2={HEIGHT - 1} />
      )}
    </svg>
  );
}

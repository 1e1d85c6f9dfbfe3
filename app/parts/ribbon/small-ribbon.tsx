import type { SmallBand } from '../../../core/routine';
import { PRESSURES } from '../../../core/words';

const HEIGHT = 34;
/** Half the height in ranks of pressure, with a little air. */
const RANKS = 5.4;

/** A routine as a band, at the scale of all the others; an upright line is its own budget. */
export function SmallRibbon({
  bands,
  budgetMinutes,
  scaleMinutes,
}: {
  bands: readonly SmallBand[];
  budgetMinutes: number | null;
  scaleMinutes: number;
}) {
  return (
    <svg
      className="small-ribbon"
      viewBox={`0 ${-RANKS} ${scaleMinutes * 60} ${2 * RANKS}`}
      preserveAspectRatio="none"
      height={HEIGHT}
      aria-hidden="true"
    >
      {bands.map(({ rank, path }) => (
        <path key={rank} d={path} fill={rank ? `var(--pressure-${PRESSURES[rank - 1]})` : 'var(--ink-soft)'} />
      ))}
      {budgetMinutes !== null && budgetMinutes <= scaleMinutes && (
        <path className="post" d={`M${budgetMinutes * 60} ${-RANKS}V${RANKS}`} />
      )}
    </svg>
  );
}

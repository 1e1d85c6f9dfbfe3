import type { Aim } from '../../../core/touch';
import { PRESSURE_KPA, PRESSURES, type Pressure } from '../../../core/words';
import { scaleLog } from 'd3';

const [WIDTH, HEIGHT] = [360, 34];
const x = scaleLog([PRESSURE_KPA.feather.least, PRESSURE_KPA.deep.most * 1.2], [0, WIDTH]).clamp(true);

/** Where a press lies on the scale of the words: the words as strips, the aim outlined, the press as a line. */
export const WordScale = ({ word, kpa, aim }: { word: Pressure; kpa: number; aim: Aim }) => (
  <svg className="pad-word-scale" viewBox={`0 0 ${WIDTH} ${HEIGHT}`} aria-hidden="true">
    {PRESSURES.map((p, i) => {
      const from = x(PRESSURE_KPA[p].least);
      const next = PRESSURES[i + 1];
      const to = next ? x(PRESSURE_KPA[next].least) : x(PRESSURE_KPA[p].most);
      return (
        <rect
          key={p}
          x={from}
          y={10}
          width={to - from}
          height={16}
          fill={`var(--pressure-${p})`}
          opacity={p === word ? 1 : 0.35}
        />
      );
    })}
    <rect className="aim" x={x(aim.leastKpa)} y={8} width={x(aim.mostKpa) - x(aim.leastKpa)} height={20} />
    <path className="press" d={`M${x(kpa)} 2V${HEIGHT - 2}`} />
  </svg>
);

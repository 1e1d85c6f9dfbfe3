import { PRESSURES, pressureRank, type Pressure } from '../../../core/words';

/** Pressure told by how much of a disc is inked, so that a copy in black says it as well. */
export function PressurePie({ pressure, size = 12 }: { pressure: Pressure; size?: number }) {
  const share = (pressureRank(pressure) - 1) / (PRESSURES.length - 1);
  const angle = share * 2 * Math.PI;
  const [x, y] = [6 + 5 * Math.sin(angle), 6 - 5 * Math.cos(angle)];
  return (
    <svg width={size} height={size} viewBox="0 0 12 12" aria-hidden="true" className="flex-shrink-0">
      <circle cx="6" cy="6" r="5" fill={share === 1 ? '#000' : 'none'} stroke="#000" strokeWidth="1" />
      {share > 0 && share < 1 && (
        <path d={`M6 6 L6 1 A5 5 0 ${share > 0.5 ? 1 : 0} 1 ${x.toFixed(3)} ${y.toFixed(3)} Z`} fill="#000" />
      )}
    </svg>
  );
}

import { line, scaleLinear } from 'd3';

/** The last ratings 0–10 as one thin line that ends in a dot. */
export function Sparkline({ values, tone }: { values: readonly number[]; tone: string }) {
  const x = scaleLinear([0, Math.max(1, values.length - 1)], [2, 142]);
  const y = scaleLinear([0, 10], [31, 3]);
  const last = values[values.length - 1];
  if (last === undefined) return <span />;
  return (
    <svg className="spark" viewBox="0 0 150 34" role="img" aria-label={`Ratings ${values.join(', ')}`}>
      <path d={line<number>((_, i) => x(i), y)(values) ?? ''} />
      <circle cx={x(values.length - 1)} cy={y(last)} r="4" fill={tone} />
    </svg>
  );
}

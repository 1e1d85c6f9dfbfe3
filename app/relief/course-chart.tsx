import { line, range, scaleLinear } from 'd3';
import { roundHalfAway } from '../../core/units';

export interface ChartPoint {
  day: number;
  value: number;
  source: 'studio' | 'home';
}
interface Props {
  title: string;
  points: readonly ChartPoint[];
  /** Ratings right after the work of a visit. */
  after: readonly { day: number; value: number }[];
  band: { low: number; high: number } | null;
  posts: readonly { day: number; label: string }[];
  ending: { value: number; tone: string };
}
const WIDTH = 856;
const HEIGHT = 214;
const LEFT = 34;
const RIGHT = 62;
const TOP = 20;
const BASE = 172;

/** Ratings 0–10 over days: the band of no clear change, visits as posts, home ratings as rings and ticks below. */
export function CourseChart({ title, points, after, band, posts, ending }: Props) {
  const lastDay = Math.max(7, ...points.map((p) => p.day), ...posts.map((p) => p.day));
  const x = scaleLinear([0, lastDay], [LEFT, WIDTH - RIGHT]);
  const y = scaleLinear([0, 10], [BASE, TOP]);
  const step = [1, 2, 7, 14, 28, 56, 112, 182].find((s) => (lastDay / s) * 84 < WIDTH - LEFT - RIGHT) ?? 365;
  const last = points[points.length - 1];
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={`${title}. Ratings ${points.map((p) => `day ${Math.round(p.day)}: ${p.value}`).join(', ')}`}>
      {band && <rect className="band" x={LEFT} width={WIDTH - RIGHT - LEFT} y={y(band.high)} height={y(band.low) - y(band.high)} />}
      {[0, 5, 10].map((v) => (
        <g key={v}>
          <line className="grid" x1={LEFT} x2={WIDTH - RIGHT} y1={y(v)} y2={y(v)} />
          <text className="num" x={LEFT - 8} y={y(v) + 4} textAnchor="end">
            {v}
          </text>
        </g>
      ))}
      {labelled(posts, x).map((p) => (
        <g key={p.day}>
          <line className="post" x1={x(p.day)} x2={x(p.day)} y1={TOP} y2={BASE + 4} />
          {p.shown && (
            <text x={x(p.day) + 4} y={TOP - 6}>
              {p.label}
            </text>
          )}
        </g>
      ))}
      {band && <BandName band={band} points={points} x={x} y={y} lastDay={lastDay} />}
      <path className="line" d={line<ChartPoint>((p) => x(p.day), (p) => y(p.value))(points) ?? ''} />
      {after.map((p, i) => (
        <g key={i}>
          <path className="after" d={`M${x(p.day) + 3} ${y(p.value)}l6 -3.5v7z`} />
          {i === 0 && (
            <text x={x(p.day) + 13} y={y(p.value) + 4}>
              right after
            </text>
          )}
        </g>
      ))}
      {points.map((p, i) => (
        <circle key={i} className={p.source} cx={x(p.day)} cy={y(p.value)} r={p.source === 'studio' ? 5 : 3.4} />
      ))}
      {points.filter((p) => p.source === 'home').map((p, i) => <line key={i} className="home-tick" x1={x(p.day)} x2={x(p.day)} y1={BASE + 6} y2={BASE + 14} />)}
      {last && (
        <text className="ending" x={x(last.day) + 10} y={y(last.value) + 5} style={{ fill: ending.tone }}>
          {roundHalfAway(ending.value, 1)}
        </text>
      )}
      {range(0, lastDay + 0.5, step).map((d) => (
        <text key={d} x={x(d)} y={HEIGHT - 10} textAnchor="middle" className="num">
          day {d}
        </text>
      ))}
    </svg>
  );
}

/** Names of posts that have room. */
function labelled(posts: Props['posts'], x: (d: number) => number) {
  let free = -Infinity;
  return posts.map((p) => {
    const shown = x(p.day) >= free;
    if (shown) free = x(p.day) + p.label.length * 6.4 + 10;
    return { ...p, shown };
  });
}

/** The name of the band stands at the end of the band, above or below, where the course leaves room. */
function BandName({ band, points, x, y, lastDay }: { band: { low: number; high: number }; points: readonly ChartPoint[]; x: (d: number) => number; y: (v: number) => number; lastDay: number }) {
  const width = 104;
  const spots = [
    { at: y(band.high) + 14, end: x(lastDay) - 6 },
    { at: y(band.low) - 6, end: x(lastDay) - 6 },
    { at: y(band.low) - 6, end: x(0) + width + 12 },
  ];
  const clear = spots.find((s) => points.every((p) => x(p.day) < s.end - width - 8 || x(p.day) > s.end + 6 || Math.abs(y(p.value) - (s.at - 4)) > 13)) ?? spots[0]!;
  return (
    <text x={clear.end} y={clear.at} textAnchor="end">
      no clear change
    </text>
  );
}

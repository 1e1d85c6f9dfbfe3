import { roundHalfAway } from '../../../core/words';
import { line, range, scaleLinear } from 'd3';

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
  const dots = (source: ChartPoint['source']) =>
    points
      .filter((p) => p.source === source)
      .map((p) => `M${px(x(p.day))} ${px(y(p.value))}h0`)
      .join('');
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={`${title}. ${toldPoints(points)}`}>
      {band && (
        <rect
          className="band"
          x={LEFT}
          width={WIDTH - RIGHT - LEFT}
          y={y(band.high)}
          height={y(band.low) - y(band.high)}
        />
      )}
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
      <path
        className="line"
        d={
          line<ChartPoint>(
            (p) => x(p.day),
            (p) => y(p.value),
          )(points) ?? ''
        }
      />
      <path className="after" d={after.map((p) => `M${px(x(p.day) + 3)} ${px(y(p.value))}l6 -3.5v7z`).join('')} />
      {after[0] && (
        <text x={x(after[0].day) + 13} y={y(after[0].value) + 4}>
          right after
        </text>
      )}
      {/* Ends of strokes of no length are discs: one element for hundreds of ratings. A ring is a smaller disc on a larger. */}
      <path className="dots home-edge" d={dots('home')} />
      <path className="dots home" d={dots('home')} />
      <path className="dots studio" d={dots('studio')} />
      <path
        className="home-tick"
        d={points
          .filter((p) => p.source === 'home')
          .map((p) => `M${px(x(p.day))} ${BASE + 6}v8`)
          .join('')}
      />
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

const px = (v: number): string => v.toFixed(1);

/** Read aloud, a long course is told by its beginning and its end. */
const SAID_ALOUD = 24;
function toldPoints(points: readonly ChartPoint[]): string {
  const say = (some: readonly ChartPoint[]) => some.map((p) => `day ${Math.round(p.day)}: ${p.value}`).join(', ');
  return points.length <= SAID_ALOUD
    ? `Ratings ${say(points)}`
    : `${points.length} ratings, the first ${say(points.slice(0, 4))}, the latest ${say(points.slice(-12))}`;
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
function BandName({
  band,
  points,
  x,
  y,
  lastDay,
}: {
  band: { low: number; high: number };
  points: readonly ChartPoint[];
  x: (d: number) => number;
  y: (v: number) => number;
  lastDay: number;
}) {
  const width = 104;
  const spots = [
    { at: y(band.high) + 14, end: x(lastDay) - 6 },
    { at: y(band.low) - 6, end: x(lastDay) - 6 },
    { at: y(band.low) - 6, end: x(0) + width + 12 },
  ];
  const clear =
    spots.find((s) =>
      points.every(
        (p) => x(p.day) < s.end - width - 8 || x(p.day) > s.end + 6 || Math.abs(y(p.value) - (s.at - 4)) > 13,
      ),
    ) ?? spots[0]!;
  return (
    <text x={clear.end} y={clear.at} textAnchor="end">
      no clear change
    </text>
  );
}

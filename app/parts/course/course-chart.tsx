import { type KeptJudgement, type LevelAt, marginFor, neededFor, points as inPoints } from '../../../core/relief';
import { counted } from '../../../core/words';
import { area, line, scaleLinear } from 'd3';
import { apart, PLOT, type TimeAxis, withRoom } from './time-axis';

export interface ChartPoint {
  atMs: number;
  value: number;
  setting: 'studio' | 'home';
}
interface Post {
  atMs: number;
  label: string;
  /** The day, in words. */
  day: string;
  isToday: boolean;
}
interface Props {
  title: string;
  axis: TimeAxis;
  points: readonly ChartPoint[];
  /** Ratings right after the work of a visit. */
  after: readonly { atMs: number; value: number }[];
  levels: readonly LevelAt[];
  judgement: KeptJudgement;
  /** Null while nothing was worked. */
  workStartMs: number | null;
  posts: readonly Post[];
  /** Another complaint, drawn with it to compare. */
  beside?: { name: string; points: readonly ChartPoint[] };
  /** The first day drawn, in words. */
  firstDay: string;
}
const HEIGHT = 186;
const TOP = 34;
const BASE = 158;
const y = scaleLinear([0, 10], [BASE, TOP]);
const LETTER = 6.4;

/**
 * Ratings 0–10 over days: the level before the work with its band, visits as posts, studio filled squares, home open
 * diamonds; at the right on the same scale the change with its interval and the smallest change that matters.
 */
export function CourseChart(props: Props) {
  const { title, axis, points, after, levels, judgement: j, workStartMs, posts, firstDay, beside } = props;
  const lastBeside = beside?.points[beside.points.length - 1];
  const { x } = axis;
  const workX = workStartMs === null ? PLOT.right : Math.max(x(workStartMs), PLOT.left);
  const before = j.before;
  const margin = before === null ? 0 : marginFor(before);
  const marks = (setting: ChartPoint['setting'], shape: string) =>
    points
      .filter((p) => p.setting === setting)
      .map((p) => `M${px(x(p.atMs))} ${px(y(p.value))}${shape}`)
      .join('');
  const named = withRoom(posts, (p) => ({ start: x(p.atMs), end: x(p.atMs) + p.label.length * LETTER + 12 }));
  const days = [
    { atMs: axis.fromMs, day: firstDay, isToday: false },
    ...posts.filter((p) => x(p.atMs) > x(axis.fromMs) + 1),
  ];
  const dated = withRoom(days, (d) => {
    const half = (d.day.length * LETTER) / 2 + 4;
    return { start: x(d.atMs) - half, end: x(d.atMs) + half };
  });
  const beforeWords = [`before the work, ${counted(j.readingsBefore, 'rating')}`, `${j.readingsBefore} before`].find(
    (words) => workX - PLOT.left > words.length * LETTER,
  );
  return (
    <svg viewBox={`0 0 ${PLOT.width} ${HEIGHT}`} role="img" aria-label={`${title}. ${toldPoints(points)}`}>
      {before !== null && (
        <rect
          className="band"
          x={PLOT.left}
          width={PLOT.right - PLOT.left}
          y={y(Math.min(10, before + margin))}
          height={y(Math.max(0, before - margin)) - y(Math.min(10, before + margin))}
        />
      )}
      {[0, 5, 10].map((v) => (
        <g key={v}>
          <line className="grid" x1={PLOT.left} x2={PLOT.right} y1={y(v)} y2={y(v)} />
          <text className="num" x={PLOT.left - 8} y={y(v) + 4} textAnchor="end">
            {v}
          </text>
        </g>
      ))}
      {posts.map((p) => (
        <g key={p.atMs} className={p.isToday ? 'is-today' : ''}>
          <line className="post" x1={x(p.atMs)} x2={x(p.atMs)} y1={TOP - 8} y2={BASE + 6} />
          {named.has(p) && (
            <text className="post-name" x={x(p.atMs) + 5} y={TOP - 12}>
              {p.label}
            </text>
          )}
        </g>
      ))}
      {beforeWords && (
        <text x={PLOT.left} y={TOP - 12}>
          {beforeWords}
        </text>
      )}
      {before !== null && (
        <>
          <line className="before" x1={PLOT.left} x2={Math.min(workX, PLOT.right)} y1={y(before)} y2={y(before)} />
          <line className="before is-carried" x1={workX} x2={PLOT.gauge} y1={y(before)} y2={y(before)} />
        </>
      )}
      <path
        className="level-band"
        d={
          area<LevelAt>(
            (l) => x(l.atMs),
            (l) => y(l.low),
            (l) => y(l.high),
          )(levels) ?? ''
        }
      />
      <path
        className="level"
        d={
          line<LevelAt>(
            (l) => x(l.atMs),
            (l) => y(l.level),
          )(levels) ?? ''
        }
      />
      <path
        className="line"
        d={
          line<ChartPoint>(
            (p) => x(p.atMs),
            (p) => y(p.value),
          )(points) ?? ''
        }
      />
      {beside && lastBeside && (
        <g className="beside">
          <path
            d={
              line<ChartPoint>(
                (p) => x(p.atMs),
                (p) => y(p.value),
              )(beside.points) ?? ''
            }
          />
          <text x={x(lastBeside.atMs) - 8} y={y(lastBeside.value) - 8} textAnchor="end">
            {beside.name}
          </text>
        </g>
      )}
      <path className="after" d={after.map((p) => `M${px(x(p.atMs) + 4)} ${px(y(p.value))}l6 -3.5v7z`).join('')} />
      {/* One path for hundreds of ratings. */}
      <path className="mark home" d={marks('home', 'm0 -5l5 5l-5 5l-5 -5z')} />
      <path className="mark studio" d={marks('studio', 'm-4.5 -4.5h9v9h-9z')} />
      {days.map((d) =>
        dated.has(d) ? (
          <text
            key={d.atMs}
            x={x(d.atMs)}
            y={BASE + 24}
            textAnchor={d.atMs === axis.fromMs ? 'start' : 'middle'}
            className={`num${d.isToday ? ' is-today' : ''}`}
          >
            {d.isToday ? `today, ${d.day}` : d.day}
          </text>
        ) : null,
      )}
      <Gauge j={j} />
    </svg>
  );
}

/** The change on the scale of the ratings: before the work, now with its interval, and what would matter. */
function Gauge({ j }: { j: KeptJudgement }) {
  if (j.before === null) return null;
  const before = Math.min(10, Math.max(0, j.before));
  const told = j.shown !== null && j.interval !== null;
  const now = told ? before + j.shown! : before;
  const tone = j.verdict === 'better' ? 'is-better' : j.verdict === 'worse' ? 'is-worse' : '';
  const up = told && j.shown! > 0;
  const needed = neededFor(j.before);
  const matters = up ? Math.min(10, before + needed) : Math.max(0, before - needed);
  const heights = apart(
    [
      { y: y(before), tall: 15 },
      ...(told
        ? [
            { y: y(matters), tall: 15 },
            { y: y(now), tall: 33 },
          ]
        : []),
    ],
    TOP,
    BASE + 18,
  );
  return (
    <g className={`gauge ${tone}`}>
      <line className="grid" x1={PLOT.gauge} x2={PLOT.gauge} y1={TOP} y2={BASE} />
      <line className="tick" x1={PLOT.gauge - 5} x2={PLOT.gauge + 5} y1={y(before)} y2={y(before)} />
      <text x={PLOT.words} y={heights[0]! + 4}>
        before the work {inPoints(before)}
      </text>
      {told && (
        <>
          <line className="matters" x1={PLOT.right} x2={PLOT.gauge + 10} y1={y(matters)} y2={y(matters)} />
          <text x={PLOT.words} y={heights[1]! + 4}>
            smallest change that matters
          </text>
          <rect
            className="interval"
            x={PLOT.gauge - 4}
            width={8}
            y={y(before + j.interval!.high)}
            height={Math.max(2, y(before + j.interval!.low) - y(before + j.interval!.high))}
          />
          <line className="estimate" x1={PLOT.gauge - 8} x2={PLOT.gauge + 8} y1={y(now)} y2={y(now)} />
          <text className="estimate-words" x={PLOT.words} y={heights[2]! + 5}>
            {tone ? (up ? '▲ ' : '▼ ') : ''}
            {inPoints(Math.abs(j.shown!))} {up ? 'worse' : 'better'}
          </text>
          <text x={PLOT.words} y={heights[2]! + 20}>
            {rangeWords(j.interval!, up)}
          </text>
        </>
      )}
    </g>
  );
}

/** Ends of an interval, in the words of the estimate where both lie on its side. */
function rangeWords({ low, high }: { low: number; high: number }, up: boolean): string {
  const words = (v: number) => `${inPoints(Math.abs(v))} ${v > 0 ? 'worse' : 'better'}`;
  if (up && low >= 0) return `${inPoints(low)} to ${inPoints(high)}`;
  if (!up && high <= 0) return `${inPoints(-high)} to ${inPoints(-low)}`;
  return up ? `${words(low)} to ${words(high)}` : `${words(high)} to ${words(low)}`;
}

const px = (v: number): string => v.toFixed(1);

/** Read aloud, a long course is told by its beginning and its end. */
const SAID_ALOUD = 24;
const DAY_MS = 86_400_000;
function toldPoints(points: readonly ChartPoint[]): string {
  const first = points[0]?.atMs ?? 0;
  const say = (some: readonly ChartPoint[]) =>
    some.map((p) => `day ${Math.round((p.atMs - first) / DAY_MS)}: ${p.value}`).join(', ');
  return points.length <= SAID_ALOUD
    ? `Ratings ${say(points)}`
    : `${points.length} ratings, the first ${say(points.slice(0, 4))}, the latest ${say(points.slice(-12))}`;
}

import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, test } from 'vitest';
import { judgeCourse, type RatedAt } from '../../../core/relief';
import { CourseChart } from './course-chart';
import { apart, PLOT, timeAxis, withRoom } from './time-axis';

const DAY = 86_400_000;
const rated = (...rows: [day: number, value: number, source?: 'studio' | 'home'][]): RatedAt[] =>
  rows.map(([day, value, source = 'home']) => ({ atMs: day * DAY, value, source }));
const RATINGS = rated([0, 7], [3, 6], [6, 7, 'studio'], [10, 5], [14, 3], [18, 3, 'studio'], [22, 2], [26, 3]);
const at = (day: number, label: string) => ({ atMs: day * DAY, label, day: `${day} Nov`, isToday: false });
const draw = (over: Partial<Parameters<typeof CourseChart>[0]> = {}) =>
  renderToStaticMarkup(
    <CourseChart
      title="Jaw"
      axis={timeAxis([0, 26 * DAY])}
      points={RATINGS.map(({ atMs, value, source }) => ({
        atMs,
        value,
        setting: source === 'home' ? 'home' : 'studio',
      }))}
      after={[]}
      levels={[]}
      judgement={judgeCourse(RATINGS, { workStartMs: 6 * DAY })}
      workStartMs={6 * DAY}
      posts={[at(6, 'visit 1'), at(18, 'visit 2')]}
      firstDay="1 Nov"
      {...over}
    />,
  );
const marks = (svg: string, kind: string) =>
  [...new RegExp(`<path class="mark ${kind}" d="([^"]*)"`).exec(svg)![1]!.matchAll(/M([\d.]+) ([\d.]+)m/g)].map(
    (m) => [Number(m[1]), Number(m[2])] as const,
  );
const line = (svg: string, kind: string) =>
  Number(new RegExp(`<line class="${kind}"[^>]* y1="([\\d.]+)"`).exec(svg)![1]);

describe('the course', () => {
  test('a lower rating stands lower, a later one further right; studio and home have each their mark', () => {
    const svg = draw();
    const [first, second, third] = marks(svg, 'home');
    const [visit] = marks(svg, 'studio');
    expect(first![0]).toBeLessThan(second![0]);
    expect(first![1]).toBeLessThan(second![1]);
    expect(visit![0]).toBeLessThan(third![0]);
    expect(marks(svg, 'home')).toHaveLength(6);
    expect(marks(svg, 'studio')).toHaveLength(2);
  });
  test('days are spaced evenly', () => {
    const [a, b] = marks(draw(), 'home');
    const [visit] = marks(draw(), 'studio');
    expect(b![0] - a![0]).toBeCloseTo(visit![0] - b![0], 0);
  });
  test('the level before the work goes on as a dotted line to the gauge; the band lies two points round it', () => {
    const svg = draw();
    expect(line(svg, 'before')).toBe(line(svg, 'before is-carried'));
    const [, y, height] = /class="band"[^>]* y="([\d.]+)" height="([\d.]+)"/.exec(svg)!.map(Number);
    const grid = [...svg.matchAll(/class="grid" x1="30"[^>]* y1="([\d.]+)"/g)].map((m) => Number(m[1]));
    const perPoint = (Math.max(...grid) - Math.min(...grid)) / 10;
    expect(height).toBeCloseTo(4 * perPoint, 6);
    expect(y! + height! / 2).toBeCloseTo(line(svg, 'before'), 6);
    expect(svg).toContain('3 before');
  });
  test('the gauge tells the estimate with its interval, in colour only where better or worse is told', () => {
    const svg = draw();
    expect(svg).toContain('gauge is-better');
    expect(svg).toMatch(/▼ \d\.\d better/);
    expect(svg).toContain('smallest change that matters');
    const same = judgeCourse(rated([0, 5], [3, 5], [6, 5], [9, 5], [12, 6], [15, 5]), { workStartMs: 6 * DAY });
    const quiet = draw({ judgement: same });
    expect(same.verdict).not.toBe('better');
    expect(quiet).not.toMatch(/is-better|is-worse|▼|▲/);
    expect(quiet).toMatch(/\d\.\d worse to \d\.\d better|\d\.\d better to \d\.\d worse/);
  });
  test('before the work there is nothing to compare', () => {
    const svg = draw({ judgement: judgeCourse(RATINGS, { workStartMs: null }), workStartMs: null });
    expect(svg).not.toContain('smallest change that matters');
    expect(svg).not.toContain('estimate');
  });
  test('visits are posts with their day; today is told apart', () => {
    const svg = draw({ posts: [at(6, 'visit 1'), { ...at(26, 'visit 2'), isToday: true }] });
    expect(svg.match(/class="post"/g)).toHaveLength(2);
    expect(svg).toContain('today, 26 Nov');
    expect(svg.match(/class="is-today"/g)).toHaveLength(1);
  });
  test('what was rated right after is marked apart', () => {
    expect(draw({ after: [{ atMs: 6 * DAY, value: 5 }] })).toMatch(/class="after" d="M[^"]/);
    expect(draw()).toContain('class="after" d=""');
  });
  test('a long course is heard by its beginning and its end, a short one whole', () => {
    const long = draw({
      points: Array.from({ length: 60 }, (_, i) => ({ atMs: i * DAY, value: i % 10, setting: 'home' as const })),
    });
    expect(long).toContain('60 ratings, the first day 0: 0, day 1: 1, day 2: 2, day 3: 3, the latest day 48: 8');
    expect(draw()).toContain('aria-label="Jaw. Ratings day 0: 7, day 3: 6, day 6: 7');
  });
});

describe('the axis of a page', () => {
  test('holds every moment inside the plot, and a week at least', () => {
    const { x, toMs } = timeAxis([5 * DAY, 2 * DAY, 40 * DAY]);
    expect(x(2 * DAY)).toBeGreaterThanOrEqual(PLOT.left);
    expect(x(40 * DAY)).toBeLessThanOrEqual(PLOT.right);
    expect(toMs).toBe(40 * DAY);
    expect(timeAxis([DAY]).toMs).toBe(8 * DAY);
    expect(timeAxis([]).x(0)).toBeGreaterThanOrEqual(PLOT.left);
  });
  test('labels without room are left out, the last never', () => {
    const span = (start: number) => ({ start, end: start + 10 });
    expect([...withRoom([0, 5, 12, 24], span)]).toEqual([0, 12, 24]);
    expect([...withRoom([0, 8, 15], span)]).toEqual([0, 15]);
    expect([...withRoom([], span)]).toEqual([]);
  });
  test('words never lie over each other and stay inside', () => {
    const blocks = [
      { y: 50, tall: 15 },
      { y: 52, tall: 30 },
      { y: 48, tall: 15 },
    ];
    const [a, b, c] = apart(blocks, 0, 100) as [number, number, number];
    expect(a - c).toBeGreaterThanOrEqual(15);
    expect(b - a).toBeGreaterThanOrEqual(15);
    const low = apart(blocks, 40, 100) as [number, number, number];
    expect(Math.min(...low)).toBeGreaterThanOrEqual(40);
    expect(low[1] + 30).toBeLessThanOrEqual(100);
  });
});

import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, test } from 'vitest';
import { CourseChart } from './course-chart';

const draw = (over: Partial<Parameters<typeof CourseChart>[0]> = {}) =>
  renderToStaticMarkup(
    <CourseChart
      title="Jaw"
      points={[
        { day: 0, value: 7, source: 'studio' },
        { day: 7, value: 5, source: 'home' },
        { day: 14, value: 3, source: 'studio' },
      ]}
      after={[]}
      band={{ low: 5, high: 9 }}
      posts={[
        { day: 0, label: 'visit 1' },
        { day: 14, label: 'visit 2' },
      ]}
      ending={{ value: 3, tone: 'green' }}
      {...over}
    />,
  );
const circles = (svg: string, kind: string) =>
  [...new RegExp(`<path class="dots ${kind}" d="([^"]*)"`).exec(svg)![1]!.matchAll(/M([\d.]+) ([\d.]+)h0/g)].map(
    (m) => [Number(m[1]), Number(m[2])] as const,
  );

describe('the course', () => {
  test('a lower rating stands lower, a later one further right; studio filled, home a ring', () => {
    const svg = draw();
    const [first, last] = circles(svg, 'studio');
    const [home] = circles(svg, 'home');
    expect(first![0]).toBeLessThan(home![0]);
    expect(home![0]).toBeLessThan(last![0]);
    expect(first![1]).toBeLessThan(home![1]);
    expect(home![1]).toBeLessThan(last![1]);
  });
  test('days are spaced evenly', () => {
    const svg = draw();
    const [first, last] = circles(svg, 'studio');
    expect(circles(svg, 'home')[0]![0]).toBeCloseTo((first![0] + last![0]) / 2, 0);
  });
  test('the band of no clear change has its name and its edges', () => {
    const svg = draw();
    expect(svg).toContain('no clear change');
    const band = /class="band" x="[\d.]+" width="[\d.]+" y="([\d.]+)" height="([\d.]+)"/.exec(svg)!;
    const grid = [...svg.matchAll(/class="grid" x1="[\d.]+" x2="[\d.]+" y1="([\d.]+)"/g)].map((m) => Number(m[1]));
    // Ratings 0 and 10 are the outer lines, so a point is a tenth of their distance.
    const perPoint = (Math.max(...grid) - Math.min(...grid)) / 10;
    expect(Number(band[2])).toBeCloseTo(4 * perPoint, 6);
    expect(draw({ band: null })).not.toContain('no clear change');
  });
  test('visits are posts, home ratings are ticks below', () => {
    const svg = draw();
    expect(svg.match(/class="post"/g)).toHaveLength(2);
    expect(/class="home-tick" d="([^"]*)"/.exec(svg)![1]!.match(/M/g)).toHaveLength(1);
  });
  test('posts too near each other share one name', () =>
    expect(
      draw({
        posts: [
          { day: 0, label: 'visit 1' },
          { day: 0.2, label: 'visit 2' },
        ],
      }),
    ).not.toContain('visit 2'));
  test('what was rated right after is marked apart', () => {
    expect(draw({ after: [{ day: 0, value: 5 }] })).toContain('right after');
    expect(draw()).not.toContain('right after');
  });
  test('a long course is heard by its beginning and its end', () => {
    const long = draw({
      points: Array.from({ length: 60 }, (_, i) => ({ day: i, value: i % 10, source: 'home' as const })),
    });
    expect(long).toContain('60 ratings, the first day 0: 0, day 1: 1, day 2: 2, day 3: 3, the latest day 48: 8');
  });
  test('the whole course can be heard', () =>
    expect(draw()).toContain('aria-label="Jaw. Ratings day 0: 7, day 7: 5, day 14: 3"'));
});

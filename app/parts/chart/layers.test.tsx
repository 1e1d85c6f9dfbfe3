import { MOTIONS } from '../../../core/words';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, test } from 'vitest';
import { MotionGlyph } from '../marks/glyph';
import { PressureDot, SideMark, sideName } from '../marks/marks';
import { ChangeLayer, ContactRing, KeepOffLayer, RouteLayer, TendernessLayer } from './layers';
import { shownIn, type Place } from './places';

const masseter = (side: 'left' | 'right'): Place => ({ kind: 'muscle', id: 'masseter-superficial', side });
const yintang: Place = { kind: 'point', id: 'EX-HN3', side: 'midline' };
const svg = (element: React.ReactNode) => renderToStaticMarkup(<svg>{element}</svg>);

describe('layers of the chart', () => {
  test('soundings are underlined once to three times, nothing is not underlined', () => {
    for (const value of [0, 1, 2, 3])
      expect(
        (
          svg(
            <TendernessLayer shown={shownIn('left', false)} soundings={[{ place: masseter('left'), value }]} />,
          ).match(/<line/g) ?? []
        ).length,
      ).toBe(value);
  });
  test('a place that cannot be seen in a view is not drawn there', () =>
    expect(
      svg(<TendernessLayer shown={shownIn('right', false)} soundings={[{ place: masseter('left'), value: 2 }]} />),
    ).not.toContain('<text'));
  test('stops are numbered, filled by their pressure, and joined down their side', () => {
    const stop = (id: string, number: number, place: Place) => ({
      id,
      number,
      place,
      pressure: 'firm' as const,
      active: false,
    });
    const out = svg(
      <RouteLayer
        shown={shownIn('front', false)}
        avoid={[]}
        stops={[stop('a', 1, yintang), stop('b', 2, { kind: 'point', id: 'ST2', side: 'left' })]}
      />,
    );
    expect(out.match(/class="chart-disc"/g)).toHaveLength(2);
    expect(out).toContain('fill="var(--pressure-firm)"');
    expect(out.match(/class="chart-route"/g)).toHaveLength(1);
  });
  test('mirrored, a mark changes sides on the sheet and its number is still read', () => {
    const at = (mirrored: boolean) =>
      Number(
        /<text x="([\d.]+)"/.exec(
          svg(
            <TendernessLayer shown={shownIn('front', mirrored)} soundings={[{ place: masseter('left'), value: 1 }]} />,
          ),
        )![1],
      );
    expect(at(true)).toBeCloseTo(440 - at(false), 6);
  });
  test('keep-off zones of today are named once, standing ones on hover only', () => {
    const zone = (named: boolean, side: 'left' | 'right') => ({
      place: { kind: 'point' as const, id: 'ST2', side },
      radius: 10,
      word: 'thyroid',
      named,
    });
    expect(
      svg(<KeepOffLayer shown={shownIn('front', false)} zones={[zone(true, 'left'), zone(true, 'right')]} />).match(
        /<text/g,
      ),
    ).toHaveLength(1);
    expect(svg(<KeepOffLayer shown={shownIn('front', false)} zones={[zone(false, 'left')]} />)).not.toContain('<text');
    expect(svg(<KeepOffLayer shown={shownIn('front', false)} zones={[zone(false, 'left')]} />)).toContain(
      '<title>thyroid</title>',
    );
  });
  test('changes say before and after, and their colour says better or worse', () => {
    const change = (before: number, after: number) =>
      svg(<ChangeLayer shown={shownIn('left', false)} changes={[{ place: masseter('left'), before, after }]} />);
    expect(change(3, 1)).toMatch(/fill="var\(--relief\)">3 → 1/);
    expect(change(1, 3)).toContain('var(--worse)');
    expect(change(2, 2)).toContain('var(--ink-soft)');
  });
  test('the ring is as long as what is left', () => {
    const ring = (left: number) =>
      Number(
        /stroke-dasharray="([\d.]+) /.exec(
          svg(
            <ContactRing
              shown={shownIn('left', false)}
              radius={20}
              ring={{ at: [{ from: masseter('left'), to: masseter('left'), share: 0 }], left, pressure: 'light' }}
            />,
          ),
        )![1],
      );
    expect(ring(1)).toBeCloseTo(2 * Math.PI * 20, 6);
    expect(ring(0.25)).toBeCloseTo((2 * Math.PI * 20) / 4, 6);
    expect(ring(0)).toBe(0);
  });
  test('between two places the ring is that share of the way', () => {
    const [from, to]: Place[] = [yintang, { kind: 'point', id: 'EX-HN5', side: 'left' }];
    const at = (share: number) =>
      Number(
        /cx="([\d.]+)"/.exec(
          svg(
            <ContactRing
              shown={shownIn('front', false)}
              radius={20}
              ring={{ at: [{ from: from!, to: to!, share }], left: 1, pressure: 'light' }}
            />,
          ),
        )![1],
      );
    expect(at(0.5)).toBeCloseTo((at(0) + at(1)) / 2, 6);
    expect(at(1)).toBeGreaterThan(at(0));
  });
});

describe('marks', () => {
  test('right is solid, left a ring, both a ring with a dot, the midline a bar', () => {
    const of = (side: Parameters<typeof SideMark>[0]['side']) => renderToStaticMarkup(<SideMark side={side} />);
    expect(of('right')).toContain('fill="currentColor" stroke');
    expect(of('left')).toContain('fill="none"');
    expect(of('both').match(/<circle/g)).toHaveLength(2);
    expect(of('midline')).toContain('<rect');
    expect(new Set((['left', 'right', 'both', 'midline'] as const).map(of)).size).toBe(4);
  });
  test('sides are the client’s in words', () =>
    expect([sideName('left'), sideName('both')]).toEqual(['client’s left', 'both sides']));
  test('every motion has a glyph of its own', () => {
    const drawings = MOTIONS.map((m) =>
      renderToStaticMarkup(<MotionGlyph motion={m} />).replace(/aria-label="[^"]*"/, ''),
    );
    for (const d of drawings) expect(d).toMatch(/<(path|circle)/);
    expect(new Set(drawings).size).toBe(MOTIONS.length);
  });
  test('a pressure dot takes its colour from the one ramp', () =>
    expect(renderToStaticMarkup(<PressureDot pressure="deep" />)).toContain('var(--pressure-deep)'));
});

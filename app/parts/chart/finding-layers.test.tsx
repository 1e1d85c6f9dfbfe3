import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, test } from 'vitest';
import { FeltElsewhereLayer, ScanLayer, SpotLayer } from './finding-layers';
import { sheetOf, shownIn, spotOf, type Place } from './places';

const svg = (element: React.ReactNode) => renderToStaticMarkup(<svg>{element}</svg>);
const masseter = (side: 'left' | 'right'): Place => ({ kind: 'muscle', id: 'masseter-superficial', side });
const temple = (side: 'left' | 'right'): Place => ({ kind: 'region', id: 'temple', side });
const numbers = (text: string) => (text.match(/-?[\d.]+/g) ?? []).map(Number);

describe('felt elsewhere', () => {
  const way = (side: 'left' | 'right') => ({ key: side, from: masseter(side), to: temple(side) });
  test('a line goes from the muscle to the region, with a head at the region', () => {
    const out = svg(<FeltElsewhereLayer shown={shownIn('front', false)} unit={1} view="front" ways={[way('left')]} />);
    const [x0, y0, , , x1, y1] = numbers(/<path d="M([^"]+)"/.exec(out)![1]!);
    expect([x0, y0]).toEqual([spotOf(masseter('left'), 'front')!.x, spotOf(masseter('left'), 'front')!.y]);
    expect([x1, y1]).toEqual([spotOf(temple('left'), 'front')!.x, spotOf(temple('left'), 'front')!.y]);
    expect(out.match(/<path/g)).toHaveLength(2);
    expect(out.match(/<circle/g)).toHaveLength(1);
  });
  test('bows outward on both sides, so that two ways never cross the nose', () => {
    for (const side of ['left', 'right'] as const) {
      const [x0, , xm, , x1] = numbers(
        /<path d="M([^"]+)"/.exec(
          svg(<FeltElsewhereLayer shown={shownIn('front', false)} unit={1} view="front" ways={[way(side)]} />),
        )![1]!,
      ) as [number, number, number, number, number];
      const centre = sheetOf('front').width / 2;
      expect(Math.abs(xm - centre), side).toBeGreaterThan(Math.abs((x0 + x1) / 2 - centre));
    }
  });
  test('is left out where one end cannot be seen', () =>
    expect(
      svg(<FeltElsewhereLayer shown={shownIn('right', false)} unit={1} view="right" ways={[way('left')]} />),
    ).not.toContain('<path'));
});

describe('tight spots', () => {
  const spot = { id: 'a', x: 100, y: 200, tenderness: 2 as const, number: 3 };
  test('carry their number, underlined by their tenderness', () => {
    const out = svg(<SpotLayer spots={[spot]} unit={1} view="front" mirrored={false} chosen={null} />);
    expect(out).toContain('>3</text>');
    expect(out.match(/<line/g)).toHaveLength(2);
    expect(
      svg(<SpotLayer spots={[{ ...spot, tenderness: null }]} unit={1} view="front" mirrored={false} chosen={null} />),
    ).not.toContain('<line');
  });
  test('mirrored, they change sides with the drawing', () => {
    const at = (mirrored: boolean) =>
      numbers(
        /<text x="([^"]+)"/.exec(
          svg(<SpotLayer spots={[spot]} unit={1} view="front" mirrored={mirrored} chosen={null} />),
        )![1]!,
      )[0]!;
    expect(at(false) - 9).toBe(100);
    expect(at(true) - 9).toBe(sheetOf('front').width - 100);
  });
  test('the chosen one stands out', () =>
    expect(svg(<SpotLayer spots={[spot]} unit={1} view="front" mirrored={false} chosen="a" />)).toContain('is-chosen'));
});

test('the scan tells its three answers by shape', () => {
  const shape = (value: number) =>
    svg(<ScanLayer shown={shownIn('front', false)} unit={1} regions={[{ place: temple('left'), value }]} />);
  expect(shape(2)).toContain('class="tense"');
  expect(shape(1)).toContain('<circle');
  expect(shape(0)).toMatch(/<path d="M[\d.]+ [\d.]+h12"/);
  expect(
    svg(
      <ScanLayer
        shown={shownIn('back', false)}
        unit={1}
        regions={[{ place: { kind: 'region', id: 'lips', side: 'midline' }, value: 2 }]}
      />,
    ),
  ).not.toContain('path');
});

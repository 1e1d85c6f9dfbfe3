import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { placeLabels, type LabelWish } from './labels.ts';

const SHEET = { left: 0, top: 0, right: 440, bottom: 560 };
const wish = fc.record({
  x: fc.integer({ min: 20, max: 420 }),
  y: fc.integer({ min: 20, max: 540 }),
  width: fc.integer({ min: 12, max: 90 }),
  rank: fc.integer({ min: 0, max: 4 }),
});
const wishes = fc
  .array(wish, { minLength: 1, maxLength: 45 })
  .map((all) => all.map((w, i): LabelWish => ({ ...w, key: `k${i}`, clear: 3, height: 12 })));

describe('names on a drawing', () => {
  test('never cover each other, a mark, or the edge', () => {
    fc.assert(
      fc.property(wishes, (all) => {
        const { placed, hidden } = placeLabels(all, SHEET);
        expect(placed.length + hidden.length).toBe(all.length);
        const boxes = placed.map((p) => ({ ...p, w: all.find((w) => w.key === p.key)! }));
        for (const [i, a] of boxes.entries()) {
          expect(a.x).toBeGreaterThanOrEqual(SHEET.left);
          expect(a.y).toBeGreaterThanOrEqual(SHEET.top);
          expect(a.x + a.w.width).toBeLessThanOrEqual(SHEET.right);
          expect(a.y + a.w.height).toBeLessThanOrEqual(SHEET.bottom);
          for (const b of boxes.slice(i + 1))
            expect(
              a.x < b.x + b.w.width && b.x < a.x + a.w.width && a.y < b.y + b.w.height && b.y < a.y + a.w.height,
              `${a.key} over ${b.key}`,
            ).toBe(false);
          for (const m of all)
            if (m.key !== a.key)
              expect(
                Math.hypot(
                  Math.max(a.x - m.x, 0, m.x - a.x - a.w.width),
                  Math.max(a.y - m.y, 0, m.y - a.y - a.w.height),
                ),
              ).toBeGreaterThanOrEqual(m.clear);
        }
      }),
      { numRuns: 60 },
    );
  });
  test('the same wishes give the same places', () => {
    const all: LabelWish[] = Array.from({ length: 30 }, (_, i) => ({
      key: `k${i}`,
      x: 60 + (i % 6) * 9,
      y: 80 + Math.floor(i / 6) * 9,
      clear: 3,
      width: 30,
      height: 12,
      rank: 1,
    }));
    expect(placeLabels(all, SHEET)).toEqual(placeLabels([...all].reverse(), SHEET));
  });
  test('one alone stands beside its mark without a line', () => {
    const { placed } = placeLabels([{ key: 'a', x: 200, y: 200, clear: 3, width: 30, height: 12, rank: 1 }], SHEET);
    expect(placed[0]!.leader).toBeNull();
    expect(Math.abs(placed[0]!.y + 6 - 200)).toBeLessThan(12);
  });
  test('what ranks higher gets its name when there is room for one', () => {
    const narrow = { left: 0, top: 0, right: 44, bottom: 22 };
    const at = (key: string, rank: number): LabelWish => ({ key, x: 6, y: 11, clear: 2, width: 30, height: 12, rank });
    expect(placeLabels([at('low', 1), at('high', 5)], narrow)).toMatchObject({
      placed: [{ key: 'high' }],
      hidden: ['low'],
    });
  });
  test('boxes that are taken and marks without names are kept clear of', () => {
    const one: LabelWish = { key: 'a', x: 100, y: 100, clear: 3, width: 30, height: 12, rank: 1 };
    const { placed } = placeLabels(
      [one],
      SHEET,
      [{ key: 'b', x: 120, y: 100, clear: 6 }],
      [{ x0: 100, y0: 100, x1: 440, y1: 560 }],
    );
    expect(placed[0]!.x + 30 <= 100 || placed[0]!.y + 12 <= 100).toBe(true);
  });
});

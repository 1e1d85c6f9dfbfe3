import { offsetWords, spotPx, type TightSpot } from '../../../../core/record';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { FLAT_VIEWS as FLAT, sheetOf, spotOf, places } from '../../../parts/chart/places';
import { buildBodies } from '../../../../core/drawing';
import { anchorName } from '../../../../reference/anchor-name';
import { isDrawn, pinFrom, pinOn, pinsIn } from './spot-places';

const reference = buildBodies();
const bodies = () => reference;

const spot = (view: TightSpot['view'], x: number, y: number): TightSpot => ({
  id: 's',
  view,
  tenderness: null,
  words: '',
  ...pinOn(view, x, y)!,
});

describe('a pin on the chart', () => {
  test('comes back where it was put, in every view', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...FLAT),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (view, u, v) => {
          const [x, y] = [u * sheetOf(view).width, v * sheetOf(view).height];
          const [pin] = pinsIn(view, [spot(view, x, y)], bodies);
          expect(Math.hypot(pin!.x - x, pin!.y - y)).toBeLessThan(0.12);
        },
      ),
    );
  });
  test('of an earlier chart, whose anchor is drawn no longer, is told so and drawn nowhere', () => {
    const old = { ...spot('front', 290, 300), anchor: 'landmark:old-notch.left' };
    expect([isDrawn(spot('front', 290, 300)), isDrawn(old)]).toEqual([true, false]);
    expect(pinsIn('front', [old], bodies)).toEqual([]);
    expect(anchorName(old.anchor)).toBe('landmark:old-notch, left');
  });
  test('is measured from bone or a point, never from a region or a muscle', () => {
    for (const view of FLAT) expect(spot(view, 100, 100).anchor).toMatch(/^(landmark|point):/);
  });
  test('is shown in every view in which its place of the skin is seen, and in no other', () => {
    const cheek = spot('front', 290, 300);
    for (const view of ['opened', 'left'] as const) expect(pinsIn(view, [cheek], bodies), view).toHaveLength(1);
    for (const view of ['right', 'back', 'palms'] as const) expect(pinsIn(view, [cheek], bodies), view).toEqual([]);
    expect(pinsIn('front', [spot('back', 220, 300), spot('front', 220, 300)], bodies).map((p) => p.number)).toEqual([
      2,
    ]);
  });
  test('put on the opened face it comes back there within 2 px, and is told in mm of a flat view', () => {
    for (const [x, y] of [
      [220, 260],
      [300, 280],
      [345, 300],
      [380, 240],
      [60, 250],
      [150, 350],
      [260, 420],
    ] as const) {
      const pin = pinFrom('opened', x, y, bodies)!;
      expect(pin.view, `${x} ${y}`).not.toBe('opened');
      const [back] = pinsIn('opened', [{ id: 's', tenderness: null, words: '', ...pin }], bodies);
      expect(Math.hypot(back!.x - x, back!.y - y), `${x} ${y}`).toBeLessThan(2);
      // The client's left stays the client's left.
      expect(back!.x > 220).toBe(x > 220);
    }
  });
  test('beside the head there is nothing to pin', () => expect(pinFrom('opened', 5, 30, bodies)).toBeNull());
  test('moves with a drawing on which its anchor stands elsewhere', () => {
    const one = spot('front', 260, 330);
    const at = places[one.anchor]!;
    const moved = {
      ...places,
      [one.anchor]: { ...at, views: { ...at.views, front: { x: at.views.front!.x + 12, y: at.views.front!.y - 5 } } },
    };
    const [before, after] = [pinsIn('front', [one], bodies)[0]!, pinsIn('front', [one], bodies, moved)[0]!];
    expect([after.x - before.x, after.y - before.y]).toEqual([12, -5]);
  });
  test('without its anchor on the drawing it is not drawn, and nothing breaks', () =>
    expect(pinsIn('front', [{ ...spot('front', 200, 200), anchor: 'landmark:gone.left' }], bodies)).toEqual([]));
  test('on the client’s left of the face it says left', () => {
    const cheek = spot('front', 300, 300);
    expect(`${offsetWords(cheek)} ${anchorName(cheek.anchor)}`).toMatch(/left/);
  });
  test('a tap on a place itself is at it', () => {
    const nasion = spotOf({ kind: 'landmark', id: 'nasion', side: 'midline' }, 'front')!;
    const pin = spot('front', nasion.x, nasion.y);
    expect(spotPx(pin, places[pin.anchor]!.views.front!)).toEqual(
      expect.objectContaining({ x: nasion.x, y: nasion.y }),
    );
    expect(offsetWords(pin)).toBe('at');
  });
});

test.each([
  ['landmark:nasion.midline', 'nasion'],
  ['point:ST6.left', 'ST6, left'],
  ['landmark:unheard-of.right', 'landmark:unheard-of, right'],
])('%s is called %s', (key, name) => expect(anchorName(key)).toBe(name));

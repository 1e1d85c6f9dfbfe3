import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { bestView, edgesOf, flipX, placesOn, placeKey, sheetOf, spotOf, VIEWS } from './places';
import { spread } from './spread';

describe('places behind a reference', () => {
  test('both sides of a paired place, one of them, or the midline', () => {
    const masseter = { kind: 'muscle', id: 'masseter-superficial' } as const;
    expect(placesOn(masseter, 'both').map(placeKey)).toEqual([
      'muscle:masseter-superficial.left',
      'muscle:masseter-superficial.right',
    ]);
    expect(placesOn(masseter, 'right').map((p) => p.side)).toEqual(['right']);
    expect(placesOn({ kind: 'point', id: 'EX-HN3' }, 'left').map((p) => p.side)).toEqual(['midline']);
  });
  test('a place that is not drawn is nowhere', () =>
    expect(placesOn({ kind: 'point', id: 'ST36' }, 'both')).toEqual([]));
});

describe('the view that shows it best', () => {
  const best = (kind: 'muscle' | 'point', id: string, side: 'left' | 'right' | 'both' | 'midline') =>
    bestView(placesOn({ kind, id }, side));
  test('a one-sided masseter turns the head to that side', () => {
    expect(best('muscle', 'masseter-superficial', 'left')).toBe('left');
    expect(best('muscle', 'masseter-superficial', 'right')).toBe('right');
  });
  test('both sides are seen on the opened face, the midline from the front', () => {
    expect(best('point', 'BL2', 'both')).toBe('opened');
    expect(best('muscle', 'masseter-superficial', 'both')).toBe('opened');
    expect(best('point', 'EX-HN3', 'midline')).toBe('front');
  });
  test('work on both sides of the neck is not shown in a profile that hides one of them', () =>
    expect(bestView(placesOn({ kind: 'node', id: 'deep-cervical-upper' }, 'both'))).toBe('opened'));
  test('the crown from above, the collarbone on the chest, a thumb web on the hand', () => {
    expect(best('point', 'GV20', 'midline')).toBe('top');
    expect(best('point', 'ST13', 'both')).toBe('chest');
    expect(best('point', 'LI4', 'right')).toBe('backs');
    expect(best('point', 'PC6', 'left')).toBe('palms');
  });
  test('the nape from behind, and the base of the skull, which is a rim on the opened face', () => {
    expect(best('muscle', 'suboccipitals', 'both')).toBe('back');
    expect(best('point', 'GB20', 'both')).toBe('back');
  });
});

describe('edges', () => {
  test('R is at the left edge from the front, L from behind', () => {
    expect(edgesOf('front', false)).toEqual(['R', 'L']);
    expect(edgesOf('back', false)).toEqual(['L', 'R']);
  });
  test('a mirrored chart relabels its edges and flips its places', () => {
    expect(edgesOf('front', true)).toEqual(['L', 'R']);
    expect(flipX(100, true, 'front')).toBe(sheetOf('front').width - 100);
    expect(flipX(100, false, 'front')).toBe(100);
  });
  test('a profile says whose side it is', () => expect(edgesOf('left', true)[0]).toBe('client’s left'));
  test('the client’s left lies on the sheet’s right from the front', () => {
    const left = spotOf({ kind: 'point', id: 'ST2', side: 'left' }, 'front')!;
    const right = spotOf({ kind: 'point', id: 'ST2', side: 'right' }, 'front')!;
    expect(left.x).toBeGreaterThan(right.x);
  });
  test('the client’s left hand lies on the sheet’s right, palm or back', () => {
    for (const [view, id] of [
      ['palms', 'PC8'],
      ['backs', 'LI4'],
    ] as const)
      expect(spotOf({ kind: 'point', id, side: 'left' }, view)!.x).toBeGreaterThan(sheetOf(view).width / 2);
  });
  test('a place at the back of the neck is hidden from the front and shown from behind', () => {
    const shownIn = placesOn({ kind: 'point', id: 'GB20' }, 'left').flatMap((place) =>
      VIEWS.filter((view) => spotOf(place, view)),
    );
    expect(shownIn).toContain('back');
    expect(shownIn).not.toContain('front');
    expect(shownIn).not.toContain('right');
  });
});

describe('marks that keep clear of each other', () => {
  const marks = fc.array(fc.record({ x: fc.integer({ min: 100, max: 130 }), y: fc.integer({ min: 200, max: 230 }) }), {
    minLength: 2,
    maxLength: 7,
  });
  test('no two end nearer than their size, nearly', () => {
    fc.assert(
      fc.property(marks, (at) => {
        const placed = spread(at, 9.6);
        for (let i = 0; i < placed.length; i++)
          for (let j = i + 1; j < placed.length; j++)
            expect(Math.hypot(placed[i]!.x - placed[j]!.x, placed[i]!.y - placed[j]!.y)).toBeGreaterThan(13);
      }),
      { numRuns: 60 },
    );
  });
  test('one alone stays where it belongs', () => expect(spread([{ x: 50, y: 60 }], 10)).toEqual([{ x: 50, y: 60 }]));
  test('the same marks give the same picture', () => {
    const at = [
      { x: 10, y: 10 },
      { x: 11, y: 10 },
      { x: 10, y: 12 },
    ];
    expect(spread(at, 8)).toEqual(spread(at, 8));
  });
  test('fixed marks are kept clear of and do not move', () => {
    const [mark] = spread([{ x: 50, y: 50 }], 10, [{ x: 52, y: 50 }]);
    expect(Math.hypot(mark!.x - 52, mark!.y - 50)).toBeGreaterThan(14);
  });
});

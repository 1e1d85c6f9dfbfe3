import { describe, expect, test } from 'vitest';
import FIBRES from '../../../reference/derived/fibres.json';
import { PRESSED_MUSCLES } from '../../../reference/facts/muscles';
import { inOrder, jumpTo, meant, REACH_PX, stepFrom, type Spotted } from './picking';
import { placeKey, places, placesOn, type Place } from './places';

const spot = (id: string, x: number, y: number, over: Partial<Spotted> = {}): Spotted => ({
  key: id,
  name: id,
  region: null,
  place: { kind: 'point', id, side: 'left' },
  x,
  y,
  ...over,
});
const ids = (of: readonly Spotted[]) => of.map((s) => s.key);
const fine = { unit: 1, coarse: false, isOn: () => false };
const coarse = { ...fine, coarse: true };

describe('what a pointer means', () => {
  const [a, b] = [spot('a', 100, 100), spot('b', 116, 100)];
  test('the nearest place within 24 px, none beyond', () => {
    expect(ids(meant([a, b], { x: 107, y: 100 }, fine))).toEqual(['a']);
    expect(ids(meant([a, b], { x: 109, y: 100 }, fine))).toEqual(['b']);
    expect(ids(meant([a], { x: 100, y: 111.9 }, fine))).toEqual(['a']);
    expect(meant([a], { x: 100, y: 112.1 }, fine)).toEqual([]);
  });
  test('a finger reaches 44 px, and asks where it cannot tell', () => {
    expect(ids(meant([a], { x: 100, y: 121.9 }, coarse))).toEqual(['a']);
    expect(meant([a], { x: 100, y: 122.1 }, coarse)).toEqual([]);
    expect(ids(meant([a, b], { x: 107, y: 100 }, coarse))).toEqual(['a', 'b']);
    expect(ids(meant([a, b], { x: 98, y: 100 }, coarse))).toEqual(['a']);
    const crowd = Array.from({ length: 9 }, (_, i) => spot(`c${i}`, 100 + i * 0.5, 100));
    expect(meant(crowd, { x: 100, y: 100 }, coarse)).toHaveLength(4);
  });
  test('on a large sheet the reach is that of the screen', () =>
    expect(ids(meant([a], { x: 100, y: 130 }, { ...fine, unit: 3 }))).toEqual(['a']));
  test('a muscle answers anywhere on its drawing; a point upon it is meant from near', () => {
    const muscle = spot('m', 100, 200);
    const isOn = (s: Spotted) => s.key === 'm';
    expect(ids(meant([a, muscle], { x: 100, y: 140 }, { ...fine, isOn }))).toEqual(['m']);
    expect(ids(meant([a, muscle], { x: 100, y: 103 }, { ...fine, isOn }))).toEqual(['a']);
    expect(ids(meant([a, muscle], { x: 100, y: 110 }, { ...fine, isOn }))).toEqual(['m']);
  });
});

describe('the keyboard', () => {
  const spots = inOrder([
    spot('left jaw', 300, 300, { region: 'jaw' }),
    spot('right jaw', 100, 300, { region: 'jaw', place: { kind: 'point', id: 'x', side: 'right' } }),
    spot('left brow', 300, 100, { region: 'brow' }),
    spot('between', 200, 310, { region: 'jaw', place: { kind: 'point', id: 'y', side: 'midline' } }),
    spot('low jaw', 290, 330, { region: 'jaw' }),
  ]);
  const at = (key: string) => spots.find((s) => s.key === key)!;
  test('goes region by region, left and right apart', () =>
    expect(ids(spots)).toEqual(['left brow', 'right jaw', 'between', 'left jaw', 'low jaw']));
  test('arrows go to the nearest place in their direction, Page keys along the order', () => {
    expect(stepFrom(spots, at('right jaw'), 'ArrowRight')?.key).toBe('between');
    expect(stepFrom(spots, at('left brow'), 'ArrowDown')?.key).toBe('left jaw');
    expect(stepFrom(spots, at('left brow'), 'ArrowUp')).toBeNull();
    expect(stepFrom(spots, at('left brow'), 'PageDown')?.key).toBe('right jaw');
    expect(stepFrom(spots, at('left brow'), 'PageUp')).toBeNull();
    expect(stepFrom(spots, at('between'), 'End')?.key).toBe('low jaw');
  });
  test('letters jump to the next name that begins with them, and go round', () => {
    expect(jumpTo(spots, 'left brow', 'l')?.key).toBe('left jaw');
    expect(jumpTo(spots, 'left jaw', 'l')?.key).toBe('low jaw');
    expect(jumpTo(spots, 'low jaw', 'l')?.key).toBe('left brow');
    expect(jumpTo(spots, 'left brow', 'lo')?.key).toBe('low jaw');
    expect(jumpTo(spots, 'left jaw', 'left j')?.key).toBe('left jaw');
    expect(jumpTo(spots, 'left jaw', 'z')).toBeNull();
  });
});

describe('with a fingertip of 9 mm, 34 px, on the opened face', () => {
  const outlines = FIBRES as unknown as Record<string, { opened?: { outline: string } }>;
  const pressed = PRESSED_MUSCLES.flatMap((m) =>
    placesOn({ kind: 'muscle', id: m.id }, 'both').map((place) => ({ m, place })),
  );
  const all = pressed.flatMap(({ m, place }) => {
    const seen = places[placeKey(place)]?.views.opened;
    return seen ? [{ ...seen, key: placeKey(place), name: m.name, region: m.region, place }] : [];
  });
  const corners = (path: string): [number, number][] =>
    [...path.matchAll(/(-?\d+(?:\.\d+)?)[ ,](-?\d+(?:\.\d+)?)/g)].map((m) => [Number(m[1]), Number(m[2])]);
  /** Even and odd crossings of a line to the right. */
  const isIn = (path: string, x: number, y: number) => {
    const c = corners(path);
    return c.reduce((inside, [ax, ay], i) => {
      const [bx, by] = c[(i + 1) % c.length]!;
      return ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax ? !inside : inside;
    }, false);
  };
  const isOnAt = (x: number, y: number) => (s: Spotted) => {
    const path = outlines[`${s.place.id}.${s.place.side}`]?.opened?.outline;
    return !!path && isIn(path, x, y);
  };
  test.each<Place>([
    { kind: 'muscle', id: 'masseter-superficial', side: 'left' },
    { kind: 'muscle', id: 'masseter-superficial', side: 'right' },
    { kind: 'muscle', id: 'temporalis-anterior', side: 'left' },
    { kind: 'muscle', id: 'scm-sternal', side: 'left' },
    { kind: 'muscle', id: 'scm-sternal', side: 'right' },
  ])('$id of the client’s $side is meant at the first touch of its belly', (place) => {
    const target = all.find((s) => s.key === placeKey(place))!;
    expect(target).toBeDefined();
    for (const [dx, dy] of [
      [0, 0],
      [4, 0],
      [-4, 0],
      [0, 4],
      [0, -4],
    ] as const) {
      const at = { x: target.x + dx, y: target.y + dy };
      expect(meant(all, at, { unit: 1, coarse: true, isOn: isOnAt(at.x, at.y) })[0]?.key).toBe(target.key);
    }
  });
  test('every pressed muscle that is seen has a drawing that answers in its middle', () => {
    for (const s of all) {
      if (!outlines[`${s.place.id}.${s.place.side}`]?.opened) continue;
      const met = meant(all, s, { unit: 1, coarse: false, isOn: isOnAt(s.x, s.y) });
      expect(ids(met), s.key).toEqual([s.key]);
    }
    expect(REACH_PX).toEqual({ fine: 12, coarse: 22 });
  });
});

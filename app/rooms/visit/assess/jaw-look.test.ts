import { describe, expect, test } from 'vitest';
import { apart, DRAWN_HEAD } from '../../../../core/drawing';
import type { JawReadings } from './jaw-readings';
import { lookedOn, sceneOf, sceneWords } from './jaw-look';
import { wayOfMidline } from './way-of-midline';

const readings = (kept: Record<string, number>, past: number[] = [], overlapMm = 0): JawReadings =>
  ({
    overlapMm,
    of: (measure: string, side = 'midline') => kept[`${measure} ${side}`] ?? kept[measure],
    past: () => past,
  }) as unknown as JawReadings;
const typing = (typedMm: number | null, wasMm: number | null = null) =>
  ({ at: 'opening', measure: 'opening-furthest-mm', typedMm, wasMm }) as const;

describe('what the chart shows while an opening is typed', () => {
  test('31 comfortable, then 41 typed as the furthest: both are told on one profile', () => {
    const scene = sceneOf(typing(41), readings({ 'opening-mm': 31 }));
    expect(scene).toMatchObject({ view: 'left', nowMm: 41, jaw: { pose: { openingMm: 41 } } });
    expect(scene.others).toEqual([{ mm: 31, words: 'comfortable', earlier: false }]);
  });
  test('31 typed, then 41 in its place: what stood there at first stays told', () => {
    const first = lookedOn(null, typing(31, 31));
    const then = lookedOn(first, typing(41, 41))!;
    expect(sceneOf(then, readings({})).others).toEqual([{ mm: 31, words: 'typed before', earlier: false }]);
    expect(lookedOn(then, { at: 'way' })).toEqual({ at: 'way' });
    // Another field begins anew.
    const other = { ...typing(42, 42), measure: 'opening-mm' } as const;
    expect(lookedOn(then, other)).toEqual(other);
  });
  test('the opening drawn is the one kept, with the overlap', () =>
    expect(sceneOf(typing(38), readings({}, [], 3)).nowMm).toBe(41));
  test('the latest three earlier ones are faint; what is no opening opens nothing', () => {
    const scene = sceneOf(typing(null), readings({}, [28, 29, 31, 34]));
    expect(scene.others.map((o) => [o.mm, o.earlier])).toEqual([29, 31, 34].map((mm) => [mm, true]));
    expect(scene.jaw.pose.openingMm).toBe(0);
    expect(sceneOf(typing(120), readings({})).nowMm).toBeNull();
  });
  test('beyond what can be drawn the number is told', () => {
    expect(sceneWords(sceneOf(typing(52), readings({})))).toContain('52 mm is told; up to 45 is drawn.');
    expect(sceneWords(sceneOf(typing(40), readings({})))).not.toContain('is told');
  });
  test('a click is looked at on its own side, where it is typed', () => {
    const at = sceneOf(
      { at: 'click', side: 'right', opening: true, typedMm: 24 },
      readings({ 'click-opening-mm right': 22, 'click-opening-mm left': 30 }),
    );
    expect(at).toMatchObject({ view: 'right', jaw: { pose: { openingMm: 24 } }, nowMm: null });
    expect(at.clicks).toEqual([{ mm: 24, opening: true, side: 'right' }]);
    const closing = sceneOf(
      { at: 'click', side: 'right', opening: false, typedMm: null },
      readings({ 'click-opening-mm right': 22, 'opening-mm': 36 }),
    );
    expect(closing).toMatchObject({ jaw: { pose: { openingMm: 36 } } });
    expect(closing.others).toEqual([{ mm: 36, words: 'comfortable', earlier: false }]);
    expect(closing.clicks).toEqual([{ mm: 22, opening: true, side: 'right' }]);
    expect(sceneOf(typing(40), readings({ 'click-opening-mm right': 22 })).view).toBe('right');
  });
});

describe('the way of opening', () => {
  const off = (mm: number, side: string, returns = 0) =>
    sceneOf(
      { at: 'way' },
      readings({ [`path-off-mm ${side}`]: mm, 'path-returns midline': returns, 'opening-mm midline': 40 }),
    );
  test('is drawn from in front: straight, aside for good to its side, or back again', () => {
    expect(off(1, 'left')).toMatchObject({ view: 'front', way: { path: 'straight' }, jaw: { pose: { leftMm: 0 } } });
    expect(off(5, 'left')).toMatchObject({ way: { path: 'stays-off' }, jaw: { pose: { leftMm: 5 } } });
    expect(off(5, 'right')).toMatchObject({ way: { path: 'stays-off' }, jaw: { pose: { leftMm: -5 } } });
    expect(off(5, 'right', 1)).toMatchObject({ way: { path: 'returns' }, jaw: { pose: { leftMm: 0 } } });
  });
  test('says that nothing is to be read from face or teeth', () =>
    expect(sceneWords(off(5, 'left'))).toMatch(/no lean of the face and nothing of the teeth is to be read/));
  const ends = (path: 'straight' | 'returns' | 'stays-off', side: 'left' | 'right') =>
    wayOfMidline({ path, offMm: 5, side }, 30, DRAWN_HEAD).map((p) => p[0]);
  test('the midline goes as far as was measured, to the side that was told', () => {
    expect(Math.max(...ends('stays-off', 'left'))).toBeCloseTo(5, 1);
    expect(ends('stays-off', 'left').at(-1)).toBeCloseTo(5, 1);
    expect(Math.min(...ends('returns', 'right'))).toBeCloseTo(-5, 1);
    expect(ends('returns', 'right').at(-1)).toBeCloseTo(0, 6);
    expect(ends('straight', 'left').every((x) => Math.abs(x) < 1e-9)).toBe(true);
    const last = wayOfMidline({ path: 'straight', offMm: 0, side: 'left' }, 30, DRAWN_HEAD).at(-1)!;
    expect(apart(last, DRAWN_HEAD.jaw.incisor)).toBeCloseTo(30, 6);
  });
});

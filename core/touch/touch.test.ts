import { describe, expect, test } from 'vitest';
import { numbersFrom } from '../../devices/made-up.ts';
import { cellsUnder, STAND_IN_PAD } from '../../devices/pad-cells.ts';
import type { Patch } from '../../devices/pad-hand.ts';
import type { PadFrame } from '../devices/index.ts';
import { contactsOf, touchOf } from './index.ts';

const frame = (cells: [number, number][]): PadFrame => ({ sequence: 0, atMs: 0, cells });
const under = (...patches: Patch[]) => frame(cellsUnder(patches, STAND_IN_PAD, numbersFrom('test')));

describe('a reading of a pad', () => {
  test('force is pressure times area: 50 kPa on 4 cells of 25 mm² are 5 N; 1 N on 1 cm² is 10 kPa', () => {
    const four = touchOf(frame([17, 18, 33, 34].map((i) => [i, 50])), STAND_IN_PAD);
    expect(four.forceN).toBeCloseTo(5, 10);
    expect((10 * four.forceN) / four.areaCm2).toBeCloseTo(four.kpa, 10);
    // An axis of the four has a variance of 1/4 − 1/12 cells: 5π/6 cells of 0.25 cm².
    expect(four.areaCm2).toBeCloseTo((5 * Math.PI) / 24, 10);
  });
  test.each([
    [2, 50],
    [1.4, 100],
    [2.2, 15],
    [6, 50],
    [30, 20],
  ])('a rounded contact of %d cm² at %d kPa: force within 3 %%, area and pressure within 12 %%', (areaCm2, kpa) => {
    for (const [xMm, yMm] of [
      [40, 40],
      [41.3, 38.2],
      [37.5, 42.5],
    ] as const) {
      const touch = touchOf(under({ xMm, yMm, areaCm2, kpa }), STAND_IN_PAD);
      expect(Math.abs(touch.forceN / ((kpa * areaCm2) / 10) - 1)).toBeLessThan(0.03);
      expect(Math.abs(touch.areaCm2 / areaCm2 - 1)).toBeLessThan(0.12);
      expect(Math.abs(touch.kpa / kpa - 1)).toBeLessThan(0.12);
      expect(Math.hypot(touch.xMm! - xMm, touch.yMm! - yMm)).toBeLessThan(0.5);
    }
  });
  test('its centre is the mean of the cells’ middles by their pressure', () => {
    // Cells 0 (2.5 mm, 2.5 mm) and 17 (7.5 mm, 7.5 mm), one and three parts: 6.25 mm each way.
    const touch = touchOf(
      frame([
        [0, 10],
        [17, 30],
      ]),
      STAND_IN_PAD,
    );
    expect([touch.xMm, touch.yMm]).toEqual([6.25, 6.25]);
  });
  test('next to nothing is no touch', () =>
    expect(touchOf(frame([[5, 0.3]]), STAND_IN_PAD)).toMatchObject({ forceN: 0, kpa: 0, xMm: null }));
});

describe('two hands on a pad', () => {
  const two = (left: number, right: number) =>
    contactsOf(
      under({ xMm: 20, yMm: 40, areaCm2: 2, kpa: left }, { xMm: 60, yMm: 42, areaCm2: 2, kpa: right }),
      STAND_IN_PAD,
    );
  test('are two contacts, heaviest first', () => {
    const found = two(30, 60);
    expect(found).toHaveLength(2);
    expect(found[0]!.xMm).toBeGreaterThan(50);
    expect(found[1]!.forceN / found[0]!.forceN).toBeCloseTo(1 / 2, 1);
  });
  test('one hand is one; what stands at one edge does not touch what stands at the other', () => {
    expect(contactsOf(under({ xMm: 40, yMm: 40, areaCm2: 6, kpa: 50 }), STAND_IN_PAD)).toHaveLength(1);
    // The last cell of one row and the first of the next stand side by side in the list only.
    const edges = frame([
      [15, 50],
      [16, 50],
    ]);
    expect(contactsOf(edges, STAND_IN_PAD)).toHaveLength(2);
  });
});

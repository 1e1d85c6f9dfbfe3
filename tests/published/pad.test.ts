import { describe, expect, test } from 'vitest';
import { contactsOf, forceOn, touchOf } from '../../core/touch/index.ts';
import { STAND_IN_PAD } from '../../devices/pad-cells.ts';

describe('force and pressure', () => {
  // 1 kgf = 9.80665 N exactly (CGPM 1901); 1 kgf/cm² = 98.0665 kPa; 0.5 kgf on 1, 1.5 and 2 cm² = 49.03, 32.69, 24.52 kPa.
  test.each([
    [98.0665, 1, 9.80665],
    [49.03325, 1, 4.903325],
    [32.688833333, 1.5, 4.903325],
    [24.516625, 2, 4.903325],
  ])('%d kPa on %d cm² are %d N', (kpa, areaCm2, newtons) => expect(forceOn(kpa, areaCm2)).toBeCloseTo(newtons, 6));
});

describe('the centre of pressure', () => {
  /** Middle and force of each, heaviest first: scipy.ndimage.label with a full structure, and center_of_mass (SciPy 1.17.1). */
  const SCIPY = [
    [25.543347, 8.126129, 4.1525],
    [46.353211, 64.587156, 0.545],
  ];
  /** Two contacts of odd shape. */
  const frame = {
    sequence: 0,
    atMs: 0,
    cells: [
      [3, 12.5],
      [20, 40],
      [21, 80.3],
      [37, 33.3],
      [200, 5],
      [201, 7.7],
      [217, 9.1],
    ],
  } as const;
  test('of each contact is that of SciPy', () => {
    const found = contactsOf(frame, STAND_IN_PAD).map((c) => [c.xMm, c.yMm, c.forceN]);
    SCIPY.forEach((values, i) =>
      values.forEach((value, j) => expect(found[i]![j], `contact ${i}`).toBeCloseTo(value, 5)),
    );
    expect(found).toHaveLength(SCIPY.length);
  });
  test('of both together lies between them, by their forces', () => {
    const { xMm, forceN } = touchOf(frame, STAND_IN_PAD);
    const [a, b] = [SCIPY[0]!, SCIPY[1]!];
    expect(forceN).toBeCloseTo(a[2]! + b[2]!, 5);
    expect(xMm).toBeCloseTo((a[0]! * a[2]! + b[0]! * b[2]!) / (a[2]! + b[2]!), 4);
  });
});

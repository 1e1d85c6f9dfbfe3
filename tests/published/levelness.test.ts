import { levelness, offLine, scaleErrorOf } from '../../core/measures/index.ts';
import { describe, expect, test } from 'vitest';

/**
 * Worked examples of face geometry, computed outside of this project with NumPy; formulas are plain trigonometry. Iris
 * 11.7 mm with SD 0.42 mm: Rüfer, Schröder, Erb. Cornea 2005;24:259–261.
 */
const R = { x: 412, y: 508 };
const L = { x: 604, y: 520 };
const eyes = { 'pupil-right': R, 'pupil-left': L, 'iris-outer': { x: 0, y: 0 }, 'iris-inner': { x: 34.6, y: 0 } };

describe('levelness against worked examples', () => {
  test('roll, scale and distance of the pupils', () => {
    const l = levelness(eyes);
    expect(l.rollDeg).toBeCloseTo(3.576, 3);
    expect(l.mmPerPx).toBeCloseTo(0.33815, 5);
    expect(l.interpupillaryMm).toBeCloseTo(65.05, 2);
  });
  test('relative error of a length of 192.375 ± 2 px: 4.724 %, and 5.263 % with SD 0.5', () => {
    expect(Math.hypot(scaleErrorOf(34.6, 1), 2 / 192.375) * 100).toBeCloseTo(4.724, 3);
    expect(Math.hypot(scaleErrorOf(34.6, 1, 0.5), 2 / 192.375) * 100).toBeCloseTo(5.263, 3);
  });
  test('the iris alone gives 3.59 %', () => expect(scaleErrorOf(34.6, 0) * 100).toBeCloseTo(3.59, 2));
  /** Tilt of a pair against the eyes, from its height difference in mm; positive = the client's left is lower. */
  const cantDeg = (key: 'mouth' | 'brow', right: { x: number; y: number }, left: { x: number; y: number }): number => {
    const l = levelness({ ...eyes, [`${key}-right`]: right, [`${key}-left`]: left });
    const lengthMm = Math.hypot(left.x - right.x, left.y - right.y) * l.mmPerPx;
    return (-Math.asin(l.differences.find((d) => d.key === key)!.mm / lengthMm) * 180) / Math.PI;
  };
  test('cant of the mouth and of the brows against the eyes', () => {
    expect(cantDeg('mouth', { x: 448, y: 742 }, { x: 576, y: 757 })).toBeCloseTo(3.108, 3);
    expect(cantDeg('brow', { x: 404, y: 452 }, { x: 612, y: 461 })).toBeCloseTo(-1.099, 3);
  });
  test('the cant of the mouth in mm over its width', () => {
    const l = levelness({ ...eyes, 'mouth-right': { x: 448, y: 742 }, 'mouth-left': { x: 576, y: 757 } });
    expect(l.differences.find((d) => d.key === 'mouth')!.mm).toBeCloseTo(-2.36, 2);
  });
  test('chin off the line of glabella and subnasale', () => {
    const [glabella, subnasale, chin] = [
      { x: 507, y: 470 },
      { x: 502, y: 650 },
      { x: 494, y: 860 },
    ];
    expect(offLine(glabella, subnasale, chin)).toBeCloseTo(-2.166, 3);
    expect(levelness({ ...eyes, glabella, subnasale, chin }).differences.find((d) => d.key === 'chin')!.mm).toBeCloseTo(
      -0.732,
      3,
    );
  });
});

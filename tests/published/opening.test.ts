import {
  lateralMovement,
  movementBand,
  openingChange,
  openingFromFingers,
  openingFromRuler,
  openingPath,
  protrusion,
} from '../../core/measures/index.ts';
import { describe, expect, test } from 'vitest';

/**
 * DC/TMD examination protocol, Schiffman et al., J Oral Facial Pain Headache 2014;28:6–27: opening = distance between
 * the incisor edges + vertical overlap, overlap negative for an open bite, below 40 mm limited, 40 mm not (sure).
 */
describe('mouth opening by ruler', () => {
  test.each([
    ['JAW-1', 38, 3, 41, 'not-limited'],
    ['JAW-2', 36, 3, 39, 'limited'],
    ['JAW-3 at the edge', 37, 3, 40, 'not-limited'],
    ['JAW-4 open bite', 44, -2, 42, 'not-limited'],
  ] as const)('%s', (_id, distance, overlap, openingMm, band) => {
    expect(openingFromRuler(distance, overlap)).toEqual({ openingMm, band });
  });
});

/** The same protocol: sideways against the resting midline, forward with the horizontal overlap, 7 mm convention (sure); the 2 mm edge of the path is from memory. */
describe('movement of the jaw', () => {
  test('JAW-5 lower midline 1 mm to the right', () =>
    expect(lateralMovement(9, 8, 1)).toEqual({ rightMm: 8, leftMm: 9 }));
  test('JAW-6 forward 5, overjet 3', () => expect(protrusion(5, 3)).toBe(8));
  test.each([
    [7, 'usual'],
    [6.9, 'short'],
    [12, 'usual'],
  ] as const)('%d mm is %s', (mm, band) => expect(movementBand(mm)).toBe(band));
  test.each([
    [1.9, false, 'straight'],
    [2, true, 'returns'],
    [2, false, 'stays-off'],
  ] as const)('path %d mm off, back again %s: %s', (off, back, path) => expect(openingPath(off, back)).toBe(path));
});

/** Own finger widths: Zawawi et al., J Can Dent Assoc 2003;69:737–741 (idea sure, figures from memory). */
describe('mouth opening by own fingers', () => {
  const widths = [17, 18, 17, 15];
  test('JAW-7 three fit, four do not', () =>
    expect(openingFromFingers(widths, 3)).toEqual({ leastMm: 52, belowMm: 67 }));
  test('JAW-7 two fit', () => expect(openingFromFingers(widths, 2)).toEqual({ leastMm: 35, belowMm: 52 }));
  test('all four fit: no upper bound is claimed', () =>
    expect(openingFromFingers(widths, 4)).toEqual({ leastMm: 67, belowMm: null }));
  test.each([16, 17, 18, 19])('uniform width of %i mm: 2, 3, 4 fingers', (w) => {
    expect([2, 3, 4].map((n) => openingFromFingers([w, w, w, w], n).leastMm)).toEqual([2 * w, 3 * w, 4 * w]);
  });
});

/** Smallest detectable difference 5 to 9 mm: Kropmans et al., J Dent Res 1999;78:784–789, Eur J Oral Sci 2000;108:9–13. */
describe('change of opening against measuring error', () => {
  test.each([
    ['JAW-8', 41, 47, 'possible'],
    ['JAW-9 five', 36, 41, 'possible'],
    ['JAW-9 nine', 41, 50, 'beyond-error'],
    ['under five', 40, 44.9, 'within-error'],
    ['the other way', 47, 41, 'possible'],
  ] as const)('%s', (_id, before, after, word) => {
    expect(openingChange(before, after)).toBe(word);
  });
});

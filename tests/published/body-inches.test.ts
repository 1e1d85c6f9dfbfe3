import { inchesMm, locateAll } from '../../core/atlas/index.ts';
import { buildBodies, type Vec3 } from '../../core/drawing/index.ts';
import { describe, expect, test } from 'vitest';
import { BODY_INCHES } from '../../reference/facts/body-inches.ts';
import { LANDMARKS } from '../../reference/facts/landmarks.ts';
import { POINTS } from '../../reference/facts/points/index.ts';

/** Shares of distances: WHO Standard Acupuncture Point Locations in the Western Pacific Region, 2008 (sure). */
describe('the table of body-inches', () => {
  test.each([
    ['face', 3],
    ['scalp', 12],
    ['forehead', 9],
    ['mastoids', 9],
    ['chest', 8],
    ['forearm', 12],
    ['shin', 16],
    ['middle-finger', 1],
    ['thumb', 1],
    ['four-fingers', 3],
  ] as const)('%s counts %s', (id, inches) => expect(BODY_INCHES.find((b) => b.id === id)!.inches).toBe(inches));
  test('hairline to hairline by way of glabella and C7 adds up: 3 + 12 + 3 = 18 (textbook sum)', () => {
    const of = (id: string) => BODY_INCHES.find((b) => b.id === id)!.inches;
    expect(of('face') + of('scalp') + of('nape')).toBe(18);
  });
  test('every row names its source; the one that is not in the standard is marked', () => {
    for (const b of BODY_INCHES) expect(b.source.length).toBeGreaterThan(5);
    expect(BODY_INCHES.filter((b) => b.mark !== 'sure').map((b) => b.id)).toEqual(['nape']);
  });
});

const { landmarks } = locateAll(buildBodies(), LANDMARKS, POINTS, inchesMm(BODY_INCHES, {}));
const at = (id: string): Vec3 => landmarks.get(id)!.mm;
const apart = (a: string, b: string) => Math.hypot(at(a)[0] - at(b)[0], at(a)[1] - at(b)[1], at(a)[2] - at(b)[2]);
const across = (id: string) => 2 * at(id)[0];

/**
 * The drawn adult against published means, in mm: between the means of the sexes, widened by two standard errors of
 * each (SE = SD / √n). Figures from memory, to be verified: Farkas 1994 (North American sample, 200 women and 109 men),
 * ANSUR 1988 (2208 women and 1774 men), the breadths and lengths of the whole head and hand.
 */
const FARKAS = [200, 109] as const;
const ANSUR = [2208, 1774] as const;
describe('the drawn head against published anthropometry (from memory)', () => {
  test.each([
    ['trichion–glabella', apart('trichion', 'glabella'), 52.7, 57, 7, FARKAS],
    ['glabella–subnasale', apart('glabella', 'subnasale'), 63.1, 67.2, 4.8, FARKAS],
    ['subnasale–gnathion', apart('subnasale', 'gnathion'), 64.3, 72.6, 4.5, FARKAS],
    ['trichion–gnathion', apart('trichion', 'gnathion'), 173, 187, 9, FARKAS],
    ['nasion–gnathion', apart('nasion', 'gnathion'), 111.4, 124.7, 5.7, FARKAS],
    ['nasion–subnasale', apart('nasion', 'subnasale'), 50.6, 54.8, 3.3, FARKAS],
    ['nose breadth', across('alare'), 31.4, 34.9, 2.1, FARKAS],
    ['bizygomatic breadth', across('zygion'), 130, 137.1, 5, FARKAS],
    ['bigonial breadth', across('gonion'), 91.1, 105.6, 6.7, FARKAS],
    ['intercanthal', across('endocanthion'), 31.8, 33.3, 2.7, FARKAS],
    ['biocular', across('exocanthion'), 87.8, 91.2, 3.2, FARKAS],
    ['interpupillary', across('pupil'), 62.3, 64.7, 3.7, ANSUR],
    ['mouth width', across('cheilion'), 50.2, 54.5, 3.5, FARKAS],
    ['upper lip height', apart('subnasale', 'stomion'), 20.1, 22.3, 2.2, FARKAS],
    ['ear length', apart('ear-apex', 'subaurale'), 59, 62.4, 3.7, FARKAS],
    ['head length', at('glabella')[2] - at('opisthocranion')[2], 187, 197, 7, ANSUR],
    ['head breadth', across('eurion'), 144, 151, 6, ANSUR],
    ['vertex–gnathion', at('vertex')[1] - at('gnathion')[1], 214, 230, 9, ANSUR],
    ['bitragion breadth', across('tragion'), 133, 145, 6, ANSUR],
    ['hand length', at('middle-fingertip')[1] - at('wrist-crease')[1], 180, 194, 10, ANSUR],
  ] as const)('%s', (_name, mm, smaller, larger, sd, [women, men]) => {
    expect(mm).toBeGreaterThan(smaller - (2 * sd) / Math.sqrt(women));
    expect(mm).toBeLessThan(larger + (2 * sd) / Math.sqrt(men));
  });
  test('the ear–eye plane is level: tragion and orbitale within 4 mm', () =>
    expect(Math.abs(at('tragion')[1] - at('orbitale')[1])).toBeLessThan(4));
  test('the nostril wing stands under the inner eye corner', () =>
    expect(Math.abs(at('alare')[0] - at('endocanthion')[0])).toBeLessThan(3));
});

describe('finger figures (hand anthropometry, from memory)', () => {
  const mm = (id: string) => BODY_INCHES.find((b) => b.id === id)!.adult;
  test('the thumb’s width lies between 20 and 23 mm', () => {
    expect(mm('thumb').mm).toBeGreaterThanOrEqual(20);
    expect(mm('thumb').mm).toBeLessThanOrEqual(23);
  });
  test('four fingers of 69 to 78 mm count three inches', () => {
    expect(mm('four-fingers').mm * 3).toBeGreaterThanOrEqual(69);
    expect(mm('four-fingers').mm * 3).toBeLessThanOrEqual(78);
  });
  test('no two regions share one inch: scalp against face differ by more than a third', () =>
    expect(mm('scalp').mm / mm('face').mm).toBeGreaterThan(1.33));
});

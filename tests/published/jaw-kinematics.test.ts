import { describe, expect, test } from 'vitest';
import { apart, DRAWN_HEAD, jawMotion } from '../../core/drawing/index.ts';

/**
 * What measured jaws do at their widest. All from memory, to be verified, and given as ranges that hold most of the
 * adults in such studies: incisors 40 to 60 mm apart; the head of the jaw 10 to 20 mm forward and down along a slope of
 * 25 to 50° to the horizontal; the jaw turned by 20 to 35° (after studies of incisor and condyle movement at the widest
 * opening, such as Travers et al., Arch Oral Biol 2000;45:267–275, and Muto & Kanazawa, Oral Surg 1994). The first third
 * of an opening is mostly turning.
 */
describe('the drawn jaw against measured ones', () => {
  const wide = jawMotion({ openingMm: 45 }, DRAWN_HEAD.jaw);
  const degrees = (radians: number) => (radians * 180) / Math.PI;
  test('turns about as far', () => {
    expect(degrees(wide.turn)).toBeGreaterThan(20);
    expect(degrees(wide.turn)).toBeLessThan(35);
  });
  test('its head slides about as far, down such a slope', () => {
    const moved = wide.moved(DRAWN_HEAD.jaw.condyle);
    const slid = apart(moved, DRAWN_HEAD.jaw.condyle);
    expect(slid).toBeGreaterThan(10);
    expect(slid).toBeLessThan(20);
    const slope = degrees(Math.atan2(DRAWN_HEAD.jaw.condyle[1] - moved[1], moved[2] - DRAWN_HEAD.jaw.condyle[2]));
    expect(slope).toBeGreaterThan(25);
    expect(slope).toBeLessThan(50);
  });
  test('opens the first 10 mm without leaving its socket, and turns further at every one after', () => {
    expect(jawMotion({ openingMm: 10 }, DRAWN_HEAD.jaw).glideMm).toBe(0);
    expect(jawMotion({ openingMm: 20 }, DRAWN_HEAD.jaw).glideMm).toBeGreaterThan(0.5);
  });
  test('the incisors go down and back, further down than back when wide', () => {
    const [, y, z] = wide.moved(DRAWN_HEAD.jaw.incisor);
    const down = DRAWN_HEAD.jaw.incisor[1] - y;
    const back = DRAWN_HEAD.jaw.incisor[2] - z;
    expect(back).toBeGreaterThan(0);
    expect(down).toBeGreaterThan(back);
  });
});

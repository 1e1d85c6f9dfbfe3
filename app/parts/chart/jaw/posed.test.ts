import { describe, expect, test } from 'vitest';
import { polylinesOf } from '../../../../core/drawing';
import { stepOpening } from '../../../../core/routine';
import JAW_FIBRES from '../../../../reference/derived/jaw-fibres.json';
import { placesOn, sheetOf, shownIn, type Place } from '../places';
import { hollowsAt, isAtJoint } from './hollows';
import { measuredBox } from './jaw-line';
import { jawHeld, viewWithJaw } from './jaw-view';
import { measuringLine } from './measuring';
import { STANDARD_DRAWINGS as drawings } from './pose-drawings';
import { posedFibre, posedView, shownPosed } from './posed';

const open = (openingMm: number, more = {}) => ({ pose: { openingMm, ...more } });
const masseter = (side: 'left' | 'right'): Place => ({ kind: 'muscle', id: 'masseter-superficial', side });
const chin: Place = { kind: 'landmark', id: 'gnathion', side: 'midline' };

describe('what a view shows of a jaw', () => {
  test('a profile shows the very millimetre, up to 45; in front the drawing that comes nearest', () => {
    expect(posedView('left', open(31))).toMatchObject({ drawing: 'open-25', pose: { openingMm: 31 } });
    expect(posedView('left', open(52))).toMatchObject({ pose: { openingMm: 45 } });
    expect(posedView('front', open(31))).toMatchObject({ drawing: 'open-25', pose: { openingMm: 25 } });
  });
  test('shut, or where it is not to be seen, it shows the shut head', () => {
    for (const view of ['left', 'front', 'opened'] as const) expect(posedView(view, open(0))).toBeNull();
    for (const view of ['back', 'top', 'palms'] as const) expect(posedView(view, open(40))).toBeNull();
    expect(posedView('left', null)).toBeNull();
  });
  test('an O is shown from in front only', () => {
    expect(posedView('front', open(22, { round: 1 }))).toMatchObject({ drawing: 'o-shape', pose: { round: 1 } });
    for (const view of ['left', 'opened'] as const) expect(posedView(view, open(22, { round: 1 }))).toBeNull();
  });
  test('aside to the client’s right is the drawing to the left in a mirror', () => {
    expect(posedView('front', open(30, { leftMm: 5 }))).toMatchObject({ flipped: false, pose: { leftMm: 4 } });
    expect(posedView('front', open(30, { leftMm: -5 }))).toMatchObject({ flipped: true, pose: { leftMm: -4 } });
  });
  test('a profile that moves stays posed while it is shut', () =>
    expect(posedView('right', { pose: { openingMm: 0 }, moving: { at: () => 0, mostMm: 25 } })).not.toBeNull());
});

describe('places and muscles of an open jaw', () => {
  test('the chin goes down on every side of the sheet, mirrored or not; the nose stays', () => {
    const nose: Place = { kind: 'landmark', id: 'pronasale', side: 'midline' };
    for (const view of ['left', 'right', 'front'] as const)
      for (const mirrored of [false, true]) {
        const [shut, posed] = [
          shownIn(view, mirrored),
          shownPosed({ view, drawings, pose: { openingMm: 25 } }, mirrored),
        ];
        expect(posed(chin)!.y).toBeGreaterThan(shut(chin)!.y + 20);
        expect(posed(nose)!.x).toBeCloseTo(shut(nose)!.x, 0);
        expect(posed(nose)!.y).toBeCloseTo(shut(nose)!.y, 0);
      }
  });
  test('what a view does not show when shut, it does not show open', () =>
    expect(shownPosed({ view: 'left', drawings, pose: { openingMm: 25 } }, false)(masseter('right'))).toBeNull());
  test('the masseter is drawn longer, on its own side only', () => {
    const rows = JAW_FIBRES as unknown as Parameters<typeof posedFibre>[0];
    const foot = (mm: number, id = 'masseter-superficial') => {
      const drawing = posedFibre(rows, id, 'left', {
        drawings,
        view: 'left',
        pose: { openingMm: mm },
      })!;
      return Math.max(...polylinesOf(drawing.fibres).flatMap((line) => line.points.map((p) => p[1])));
    };
    expect(foot(40)).toBeGreaterThan(foot(0) + 5);
    // Where the skin over it stays, it goes with the bone that it hangs on.
    expect(foot(40, 'temporalis-anterior')).toBeGreaterThan(foot(0, 'temporalis-anterior') + 8);
    expect(
      posedFibre(rows, 'masseter-superficial', 'right', { drawings, view: 'left', pose: { openingMm: 20 } }),
    ).toBeUndefined();
    expect(
      posedFibre(rows, 'masseter-superficial', 'right', { drawings, view: 'right', pose: { openingMm: 20 } }),
    ).toBeDefined();
    expect(
      posedFibre(rows, 'trapezius-upper', 'left', { drawings, view: 'left', pose: { openingMm: 20 } }),
    ).toBeUndefined();
  });
  test('the hollow under the arch closes, the one before the ear opens, with every drawn opening', () => {
    const all = [0, 10, 25, 40].map(hollowsAt);
    all.slice(1).forEach((h, i) => {
      expect(h.underArch[1]).toBeLessThan(all[i]!.underArch[1]);
      expect(h.underArch[0]).toBeLessThanOrEqual(all[i]!.underArch[0]);
      expect(h.beforeEar[0]).toBeGreaterThan(all[i]!.beforeEar[0]);
    });
    expect(all[3]!.underArch[1]).toBeLessThan(2);
    expect(all[3]!.underArch[0]).toBeLessThan(all[0]!.underArch[0] - 3);
    expect([isAtJoint({ kind: 'point', id: 'ST7' }), isAtJoint({ kind: 'point', id: 'ST6' })]).toEqual([true, false]);
  });
});

describe('the view of a step whose mouth is open', () => {
  const both = placesOn({ kind: 'muscle', id: 'masseter-superficial' }, 'both');
  test('a jaw that moves is followed in profile, on the side that is worked', () => {
    const moves = stepOpening({ jaw: 'opens-and-closes' });
    expect(viewWithJaw(moves, [masseter('right')])).toBe('right');
    expect(viewWithJaw(moves, both)).toBe('left');
    expect(viewWithJaw(null, both)).toBe('opened');
  });
  test('an O from in front, unless what is worked lies elsewhere', () => {
    const o = stepOpening({ jaw: 'o-shape' });
    expect(viewWithJaw(o, [chin])).toBe('front');
    expect(viewWithJaw(o, [{ kind: 'point', id: 'LI4', side: 'left' }])).toMatch(/palms|backs/);
  });
  test('a step that is not to open at all is drawn shut', () => {
    expect(jawHeld(stepOpening({ jaw: 'wide' }, { clickMm: 1 }))).toBeNull();
    expect(jawHeld(stepOpening({ jaw: 'o-shape' }))).toMatchObject({ pose: { openingMm: 22, round: 1 } });
    expect(jawHeld(stepOpening({ jaw: 'wide' }, { comfortableMm: 31 }))).toMatchObject({ pose: { openingMm: 31 } });
  });
});

test('no view draws a step wider than it may be opened, whatever was measured', () => {
  for (const jaw of ['slightly-open', 'opens-and-closes', 'wide', 'o-shape'] as const)
    for (let comfortableMm = 0; comfortableMm <= 60; comfortableMm++)
      for (const view of ['front', 'left', 'right', 'opened'] as const) {
        const drawn = posedView(view, jawHeld(stepOpening({ jaw }, { comfortableMm })));
        if (drawn) expect(drawn.pose.openingMm, `${jaw} ${view}`).toBeLessThanOrEqual(comfortableMm);
        // Where it may, it is drawn open.
        if (comfortableMm >= 25 && jaw === 'wide') expect(drawn).not.toBeNull();
      }
});

describe('the measuring line', () => {
  test('keeps names off, beside the face on its own side of the sheet, where a jaw is held', () => {
    const held = posedView('left', open(25));
    const [box, mirrored] = [measuredBox(held, false, 1)!, measuredBox(held, true, 1)!];
    const lips = shownIn('left', false)({ kind: 'landmark', id: 'sublabiale', side: 'midline' })!.x;
    expect(box.x1).toBeLessThan(lips);
    expect(mirrored.x0).toBeGreaterThan(sheetOf('left').width - lips);
    expect(measuredBox(posedView('left', { ...open(25), moving: { at: () => 0, mostMm: 25 } }), false, 1)).toBeNull();
    expect(measuredBox(posedView('front', open(25)), false, 1)).toBeNull();
  });
  test.each([true, false])('is as long as the opening and stands clear of the face (looks left: %s)', (looksLeft) => {
    const s = looksLeft ? 1 : -1;
    const { line, label, box } = measuringLine([100, 300], [100 + 10 * s, 340], looksLeft, 1);
    const [x0, y0, x1, y1] = line.match(/-?[\d.]+/g)!.map(Number) as [number, number, number, number];
    expect(Math.hypot(x1 - x0, y1 - y0)).toBeCloseTo(Math.hypot(10, 40), 0);
    expect(looksLeft ? x0 < 70 : x0 > 130).toBe(true);
    for (const [x, y] of [[x0, y0], [x1, y1], label] as const) {
      expect(x > box.x0 && x < box.x1).toBe(true);
      expect(y > box.y0 && y < box.y1).toBe(true);
    }
    expect(looksLeft ? label[0] < x0 + 10 : label[0] > x0 - 10).toBe(true);
  });
});

import { alongForehead, inchesMm, locateAll, midlineArc, proportionsOf } from '../../core/atlas/index.ts';
import { buildBodies, type Vec3 } from '../../core/drawing/index.ts';
import { describe, expect, test } from 'vitest';
import { BODY_INCHES } from '../../reference/facts/body-inches.ts';
import { LANDMARKS } from '../../reference/facts/landmarks.ts';
import { POINTS } from '../../reference/facts/points/index.ts';

/**
 * Where points lie, against the wording of WHO Standard Acupuncture Point Locations in the Western Pacific Region
 * (2008) as remembered; each relation is the standard's own distance or its above/below, before/behind,
 * medial/lateral. Extra points outside the 361 follow textbooks. Positions are those computed on the drawn adult.
 */
const bodies = buildBodies();
const located = locateAll(bodies, LANDMARKS, POINTS, inchesMm(BODY_INCHES, {}));
const p = (code: string): Vec3 => located.points.get(code)!.mm;
const l = (id: string): Vec3 => located.landmarks.get(id)!.mm;
/** From the midline along the skin at the height of a place, in mm. */
const along = (at: Vec3) => alongForehead(bodies, at[0], at[1]);
/** What the words tell an unmeasured client. */
const inch = inchesMm(BODY_INCHES, {});
const X = 0;
const Y = 1;
const Z = 2;
const within = (a: number, b: number, tolerance: number) =>
  expect(Math.abs(a - b), `${a.toFixed(1)} against ${b.toFixed(1)}`).toBeLessThanOrEqual(tolerance);

describe('distances the standard gives in body-inches', () => {
  const up = (code: string, landmark: string) => p(code)[Y] - l(landmark)[Y];
  const out = (code: string, landmark: string) => p(code)[X] - l(landmark)[X];
  test('GB14: 1 above the middle of the brow', () => within(up('GB14', 'brow-mid'), 1 * inch.face, 0.2));
  test('GB1: 0.5 lateral to the outer canthus', () => within(out('GB1', 'exocanthion'), 0.5 * inch.face, 0.2));
  test('ST4: 0.4 lateral to the mouth corner', () => within(out('ST4', 'cheilion'), 0.4 * inch.face, 0.2));
  test('BL10: 1.3 lateral to the midline', () => within(p('BL10')[X], 1.3 * inch.mastoids, 0.2));
  test('BL9: 1.3 lateral to the midline', () => within(p('BL9')[X], 1.3 * inch.mastoids, 0.2));
  test('ST12, ST13: 4 lateral to the midline', () => {
    within(p('ST12')[X], 4 * inch.chest, 0.2);
    within(p('ST13')[X], 4 * inch.chest, 0.2);
  });
  test('ST8: 4.5 lateral to the midline, 0.5 inside the hairline corner', () => {
    within(along(l('forehead-corner')), 4.5 * inch.forehead, 1);
    expect(up('ST8', 'forehead-corner')).toBeGreaterThan(0);
  });
  test('BL4: 1.5 lateral, a third of the way from GV24 to ST8', () => {
    within(along(p('BL4')), 1.5 * inch.forehead, 0.2);
    within(along(p('BL4')) * 3, along(l('forehead-corner')), 1);
  });
  test('GB15: midway between GV24 and ST8', () => within(along(p('GB15')) * 2, along(p('ST8')), 6));
  test.each([
    ['GV24', 0.5],
    ['GV23', 1],
    ['GV20', 5],
  ] as const)('%s: %s behind the front hairline along the midline', (code, count) => {
    const arc = midlineArc(bodies, (id) => located.landmarks.get(id)?.mm ?? null);
    const at = arc.atMm(count * inch.scalp);
    for (const i of [X, Y, Z]) within(p(code)[i]!, at[i]!, 0.01);
  });
  test.each([
    ['GV15', 0.5],
    ['GV16', 1],
  ] as const)('%s: %s above the rear hairline', (code, count) => {
    const from = l('posterior-hairline');
    within(Math.hypot(p(code)[Y] - from[Y], p(code)[Z] - from[Z]), count * inch.scalp, 1);
  });
  test('GV20 lies 7 above the rear hairline as well', () => within(inch.scalp * 12, inch.scalp * (5 + 7), 1e-9));
  test('BL7: 4 behind the front hairline, 1.5 lateral', () => {
    expect(p('BL7')[Z]).toBeLessThan(p('GV23')[Z]);
    expect(p('BL7')[Z]).toBeGreaterThan(p('GV20')[Z]);
    within(p('BL7')[X], 1.5 * inch['middle-finger'], 0.2);
  });
  test('GB8: 1.5 above the ear tip', () => {
    expect(p('GB8')[Y] - l('ear-apex')[Y]).toBeGreaterThan(1 * inch['middle-finger']);
    within(p('GB8')[Z], l('temporal-hairline-ear')[Z], 0.5);
  });
  test('PC6: 2 above the wrist crease', () => within(l('wrist-crease')[Y] - p('PC6')[Y], 2 * inch.forearm, 0.2));
  test('LU7: 1.5 above the wrist crease', () => within(l('wrist-crease')[Y] - p('LU7')[Y], 1.5 * inch.forearm, 0.2));
  test('HT7 lies on the wrist crease', () => within(p('HT7')[Y], l('wrist-crease')[Y], 0.5));
  test('EX-HN1: four points 1 from GV20, before, behind and to the sides', () => {
    within(p('EX-HN1.front')[Z] - p('GV20')[Z], inch['middle-finger'], 0.3);
    within(p('GV20')[Z] - p('EX-HN1.back')[Z], inch['middle-finger'], 0.3);
    within(p('EX-HN1.side')[X], inch['middle-finger'], 0.3);
  });
  test('EX-HN5: 1 behind the middle of the line from brow end to outer canthus', () => {
    within(l('temple-midpoint')[Z] - p('EX-HN5')[Z], inch.face, 0.3);
    within(l('temple-midpoint')[Y], (l('brow-lateral')[Y] + l('exocanthion')[Y]) / 2, 0.5);
  });
});

describe('relations the standard gives in words', () => {
  test.each(['ST1', 'ST2', 'ST3', 'ST4', 'GB14', 'EX-HN4', 'GB15'])(
    '%s lies straight below or above the pupil',
    (code) => within(p(code)[X], l('pupil')[X], 4),
  );
  test('ST1 between eyeball and lower rim', () => {
    expect(p('ST1')[Y]).toBeGreaterThan(l('orbitale')[Y]);
    expect(p('ST1')[Y]).toBeLessThan(l('palpebrale-inferius')[Y]);
  });
  test('ST2 below the rim, above ST3', () => {
    expect(p('ST2')[Y]).toBeLessThan(l('orbitale')[Y]);
    expect(p('ST2')[Y]).toBeGreaterThan(p('ST3')[Y]);
  });
  test('ST3 level with the lower edge of the nostril wing', () => within(p('ST3')[Y], l('subalare')[Y], 1));
  test('BL1 above and medial of the inner canthus', () => {
    expect(p('BL1')[Y]).toBeGreaterThan(l('endocanthion')[Y]);
    expect(p('BL1')[X]).toBeLessThan(l('endocanthion')[X]);
  });
  test('BL2 at the medial, TE23 at the lateral end of the brow, EX-HN4 between', () => {
    expect(p('BL2')[X]).toBeLessThan(p('EX-HN4')[X]);
    expect(p('EX-HN4')[X]).toBeLessThan(p('TE23')[X]);
  });
  test('BL3 straight above BL2, inside the hairline', () => {
    within(p('BL3')[X], p('BL2')[X], 0.5);
    expect(p('BL3')[Y]).toBeGreaterThan(l('trichion')[Y]);
  });
  test('LI20 beside the middle of the wing, EX-HN8 above it', () => {
    expect(p('LI20')[X]).toBeGreaterThan(l('alare')[X]);
    within(p('LI20')[Y], l('alare')[Y], 2);
    expect(p('EX-HN8')[Y]).toBeGreaterThan(p('LI20')[Y]);
  });
  test('SI18 below the cheekbone, straight below the outer canthus', () => {
    within(p('SI18')[X], l('exocanthion')[X], 1);
    expect(p('SI18')[Y]).toBeLessThan(l('zygion')[Y]);
  });
  test('GV26 at the middle of the philtrum, LI19 level with it', () => {
    within(p('GV26')[Y], (l('subnasale')[Y] + l('labiale-superius')[Y]) / 2, 1.2);
    within(p('LI19')[Y], p('GV26')[Y], 1.5);
  });
  test('CV24 in the groove between lower lip and chin', () => {
    expect(p('CV24')[Y]).toBeLessThan(l('labiale-inferius')[Y]);
    expect(p('CV24')[Y]).toBeGreaterThan(l('pogonion')[Y]);
  });
  test('CV23 above the hyoid, CV22 in the suprasternal notch', () => {
    within(p('CV23')[Y], l('hyoid-upper')[Y], 1);
    within(p('CV22')[Y], l('suprasternal-notch')[Y], 1);
  });
  test('three hollows in front of the ear, from above TE21, SI19, GB2, all behind the condyle', () => {
    expect(p('TE21')[Y]).toBeGreaterThan(p('SI19')[Y]);
    expect(p('SI19')[Y]).toBeGreaterThan(p('GB2')[Y]);
    for (const code of ['TE21', 'SI19', 'GB2']) {
      expect(p(code)[Z]).toBeLessThan(l('condyle')[Z]);
      expect(p(code)[Z]).toBeGreaterThan(l('tragion')[Z]);
    }
  });
  test('ST7 below the arch and in front of the condyle, GB3 straight above it', () => {
    expect(p('ST7')[Y]).toBeLessThan(l('zygion')[Y]);
    expect(p('ST7')[Z] - l('condyle')[Z]).toBeGreaterThan(8);
    within(p('GB3')[Z], p('ST7')[Z], 1);
    expect(p('GB3')[Y]).toBeGreaterThan(l('zygion')[Y]);
  });
  test('ST6 one middle-finger breadth up and forward from the jaw angle', () => {
    const d = Math.hypot(p('ST6')[Y] - l('gonion')[Y], p('ST6')[Z] - l('gonion')[Z]);
    expect(d).toBeGreaterThan(13);
    expect(d).toBeLessThan(22);
  });
  test('ST5 on the jaw edge in front of the masseter', () => {
    expect(p('ST5')[Z]).toBeGreaterThan(l('gonion')[Z] + 20);
    expect(p('ST5')[Y]).toBeLessThan(l('gonion')[Y]);
  });
  test('TE17 between jaw and mastoid, behind the lobe', () => {
    expect(p('TE17')[Z]).toBeLessThan(l('gonion')[Z]);
    expect(p('TE17')[Z]).toBeGreaterThan(l('mastoid-tip')[Z]);
    expect(p('TE17')[Y]).toBeGreaterThan(l('mastoid-tip')[Y]);
  });
  test('GB12 behind and below the mastoid process', () => expect(p('GB12')[Z]).toBeLessThan(l('mastoid-tip')[Z]));
  test('SI17 behind the jaw angle, TE16 level with it and farther back', () => {
    expect(p('SI17')[Z]).toBeLessThan(l('gonion')[Z]);
    within(p('TE16')[Y], l('gonion')[Y], 2);
    expect(p('TE16')[Z]).toBeLessThan(p('SI17')[Z]);
  });
  test('GB20 level with GV16, between midline and mastoid', () => {
    within(p('GB20')[Y], p('GV16')[Y], 3);
    expect(p('GB20')[X]).toBeGreaterThan(20);
    expect(p('GB20')[X]).toBeLessThan(l('mastoid-tip')[X]);
  });
  test('BL10 level with GV15', () => within(p('BL10')[Y], p('GV15')[Y], 2));
  test('GV16 below the protuberance, BL9 level with its upper edge', () => {
    expect(p('GV16')[Y]).toBeLessThan(l('eop')[Y]);
    within(p('BL9')[Y], l('eop')[Y] + 8, 4);
  });
  test('GB4, GB5, GB6 down the curve from ST8 to GB7, bowed forward', () => {
    const [a, z] = [p('ST8'), p('GB7')];
    for (const [code, t] of [
      ['GB4', 0.25],
      ['GB5', 0.5],
      ['GB6', 0.75],
    ] as const) {
      within(p(code)[Y], a[Y] + t * (z[Y] - a[Y]), 5);
      expect(p(code)[Z]).toBeGreaterThan(a[Z] + t * (z[Z] - a[Z]) - 1);
    }
  });
  test('GB7 level with the ear tip, in front of TE20', () => {
    within(p('GB7')[Y], p('TE20')[Y], 0.5);
    expect(p('GB7')[Z]).toBeGreaterThan(p('TE20')[Z]);
  });
  test('GB21 midway between C7 and the acromion', () => {
    within(p('GB21')[X], (l('c7-spinous')[X] + l('acromion')[X]) / 2, 1);
    within(p('GB21')[Y], (l('c7-spinous')[Y] + l('acromion')[Y]) / 2, 5);
  });
  test('ST12 above and ST13 below the collarbone', () => {
    expect(p('ST12')[Y]).toBeGreaterThan(l('mid-clavicle')[Y]);
    expect(p('ST13')[Y]).toBeLessThan(l('mid-clavicle')[Y]);
  });
  test('ST9 level with LI18 at the thyroid’s upper border, medial of it', () => {
    within(p('ST9')[Y], l('thyroid-upper')[Y], 0.5);
    within(p('ST9')[Y], p('LI18')[Y], 0.5);
    expect(p('ST9')[X]).toBeLessThan(p('LI18')[X]);
  });
  test('EX-HN-Anmian midway between TE17 and GB20 (textbooks)', () => {
    within(p('EX-HN-Anmian')[Y], (p('TE17')[Y] + p('GB20')[Y]) / 2, 6);
    expect(p('EX-HN-Anmian')[Z]).toBeLessThan(p('TE17')[Z]);
    expect(p('EX-HN-Anmian')[Z]).toBeGreaterThan(p('GB20')[Z]);
  });
  test('LI4 beside the second, PC8 between second and third, SI3 beside the fifth hand bone', () => {
    expect(p('LI4')[X]).toBeLessThan(p('PC8')[X]);
    expect(p('PC8')[X]).toBeLessThan(0);
    expect(p('SI3')[X]).toBeGreaterThan(25);
  });
  test('EX-UE9: four webs in order from thumb to little finger', () => {
    const x = ['1', '2', '3', '4'].map((n) => p(`EX-UE9.${n}`)[X]);
    expect([...x].sort((a, b) => a - b)).toEqual(x);
  });
});

describe('on clients of other measures', () => {
  test.each([
    { hairlineBrow: 60, mastoids: 126 },
    { cheekbones: 126, pupils: 60, hairlineBrow: 50 },
    { headBreadth: 156, noseChin: 60, scalpArc: 330 },
  ])('the standard’s distances hold in their own inches: %j', (measures) => {
    const own = inchesMm(BODY_INCHES, measures);
    const other = buildBodies(proportionsOf(measures, LANDMARKS));
    const on = locateAll(other, LANDMARKS, POINTS, own);
    const arc = midlineArc(other, (id) => on.landmarks.get(id)?.mm ?? null);
    within(on.points.get('GB14')!.mm[Y] - on.landmarks.get('brow-mid')!.mm[Y], own.face, 0.2);
    within(on.points.get('GB1')!.mm[X] - on.landmarks.get('exocanthion')!.mm[X], 0.5 * own.face, 0.2);
    within(on.points.get('BL10')!.mm[X], 1.3 * own.mastoids, 0.2);
    within(on.points.get('GV20')!.mm[Z], arc.atMm(5 * own.scalp)[Z], 0.01);
    if (measures.scalpArc) within(arc.lengthMm, measures.scalpArc, 0.5);
  });
});

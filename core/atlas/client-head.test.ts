import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { BODY_INCHES } from '../../reference/facts/body-inches.ts';
import { LANDMARKS } from '../../reference/facts/landmarks.ts';
import { POINTS } from '../../reference/facts/points/index.ts';
import { buildBodies, REFERENCE_MM } from '../drawing/index.ts';
import { drawnInches, midlineArc, outAlongForehead } from './body-inch.ts';
import { clientInches, inchesMm, withFingers } from './client-inch.ts';
import { proportionsOf, readDrawn } from './client-head.ts';
import { CLIENT_MEASURE_IDS, CLIENT_MEASURES, type ClientMeasures } from './client-measure.ts';
import { pointDistance } from './distance.ts';
import { locateAll } from './locate.ts';

describe('the head that measures ask for', () => {
  const near: ClientMeasures = {
    hairlineBrow: 58,
    browNose: 63,
    noseChin: 64,
    cheekbones: 130,
    jawAngles: 94,
    headBreadth: 144,
    pupils: 60,
    noseBreadth: 32,
    mouthWidth: 49,
    scalpArc: 335,
    chest: 190,
  };
  test('reads as the client was measured, within half a mm', () => {
    const drawn = readDrawn(proportionsOf(near, LANDMARKS), LANDMARKS);
    for (const [id, mm] of Object.entries(drawn))
      expect(Math.abs(mm - near[id as keyof ClientMeasures]!), id).toBeLessThan(0.5);
  });
  test('what cannot be drawn stays at its bound, what was not measured as it is', () => {
    expect(proportionsOf({ hairlineBrow: 95 }, LANDMARKS)).toEqual({ upperThird: 1.3 });
    expect(proportionsOf({ thumb: 20 }, LANDMARKS)).toEqual({});
  });
  test('the reference lengths are those of the drawn head', () => {
    const drawn = readDrawn({}, LANDMARKS);
    for (const [id, name] of [
      ['hairlineBrow', 'upperThird'],
      ['browNose', 'middleThird'],
      ['noseChin', 'lowerThird'],
      ['cheekbones', 'bizygomatic'],
      ['jawAngles', 'bigonial'],
      ['headBreadth', 'headBreadth'],
      ['pupils', 'interpupillary'],
      ['noseBreadth', 'noseBreadth'],
      ['mouthWidth', 'mouthWidth'],
    ] as const)
      expect(Math.abs(drawn[id] - REFERENCE_MM[name]), id).toBeLessThan(0.2);
  });
});

/** How far a point lies from its landmark as it is drawn, leg by leg as the words tell it. */
function drawnLegs(measures: ClientMeasures): { point: string; toldMm: number; drawnMm: number }[] {
  const bodies = buildBodies(proportionsOf(withFingers(BODY_INCHES, measures), LANDMARKS));
  const inches = clientInches(BODY_INCHES, measures);
  const { landmarks, points } = locateAll(bodies, LANDMARKS, POINTS, inchesMm(BODY_INCHES, measures));
  const arc = midlineArc(bodies, (id) => landmarks.get(id)?.mm ?? null);
  return POINTS.flatMap((row) => {
    const at = points.get(row.id)?.mm;
    const from = landmarks.get(row.place.landmark)?.mm;
    if (!row.place.cun || !at || !from) return [];
    const [lateral, up] = row.place.cun;
    const toldLegs = pointDistance(row, inches).legs;
    const told = { up: up ? toldLegs[0]!.mm : 0, lateral: lateral ? toldLegs.at(-1)!.mm : 0 };
    const { from: view, landmark } = row.place;
    const alongArc = !row.paired && (landmark === 'trichion' || landmark === 'posterior-hairline');
    const bent = alongArc || (view === 'top' && landmark === 'trichion');
    const walkedMm = landmark === 'trichion' ? told.up : arc.lengthMm - told.up;
    const expected = arc.atMm(walkedMm);
    const upMm = bent
      ? told.up + (alongArc ? Math.hypot(at[1] - expected[1], at[2] - expected[2]) : Math.abs(at[2] - expected[2]))
      : view === 'top'
        ? Math.abs(at[2] - from[2])
        : Math.abs(at[1] - from[1]);
    const onSkin = view === 'front' && lateral && from[0] === 0 && row.region === 'scalp';
    const lateralMm = onSkin
      ? told.lateral + Math.abs(at[0] - outAlongForehead(bodies, told.lateral, at[1])![0])
      : view === 'profile'
        ? Math.abs(at[2] - from[2])
        : Math.abs(at[0] - (view === 'top' && bent ? 0 : from[0]));
    return [
      { point: row.id, toldMm: told.up, drawnMm: upMm },
      { point: row.id, toldMm: told.lateral, drawnMm: lateralMm },
    ];
  });
}

describe('a point is drawn where it is told', () => {
  const agree = (measures: ClientMeasures) => {
    for (const { point, toldMm, drawnMm } of drawnLegs(measures))
      expect(Math.abs(toldMm - drawnMm), `${point}: told ${toldMm}, drawn ${drawnMm}`).toBeLessThan(1);
  };
  test('on the reference head', () => agree({}));
  /** Any part of the measures; `share` of the accepted range about the length of the reference adult. */
  const measured = (share: number) =>
    fc.record(
      Object.fromEntries(
        CLIENT_MEASURE_IDS.map((id) => {
          const { leastMm, mostMm } = CLIENT_MEASURES[id];
          const row = BODY_INCHES.find((b) => b.measure === id);
          const usual = row ? row.adult.mm * row.inches : (leastMm + mostMm) / 2;
          const toward = (bound: number) => Math.round(usual + (bound - usual) * share);
          return [id, fc.integer({ min: toward(leastMm), max: toward(mostMm) })];
        }),
      ),
      { requiredKeys: [] },
    );
  test('on clients measured in any part, up to three fifths of the way to what is refused', () =>
    fc.assert(fc.property(measured(0.6), agree), { numRuns: 60 }));
  test('and no set of measures that is accepted leaves a point without a place', () =>
    fc.assert(
      fc.property(measured(1), (measures) => {
        const bodies = buildBodies(proportionsOf(withFingers(BODY_INCHES, measures), LANDMARKS));
        expect(locateAll(bodies, LANDMARKS, POINTS, inchesMm(BODY_INCHES, measures)).points.size).toBe(
          POINTS.filter((p) => p.place.from !== 'leg').length,
        );
      }),
      { numRuns: 40 },
    ));
  test('a face too narrow for its eyes has every landmark all the same', () => {
    const narrow = { browNose: 83, pupils: 79, cheekbones: 105, headBreadth: 120, scalpArc: 371, fourFingers: 94 };
    const bodies = buildBodies(proportionsOf(withFingers(BODY_INCHES, narrow), LANDMARKS));
    expect(
      locateAll(bodies, LANDMARKS, POINTS, inchesMm(BODY_INCHES, narrow)).landmarks.get('temple-midpoint'),
    ).toBeDefined();
  });
  test('the inches that words give an unmeasured client are those of the reference head', () => {
    const bodies = buildBodies();
    const at = locateAll(bodies, LANDMARKS, POINTS, inchesMm(BODY_INCHES, {})).landmarks;
    for (const [id, mm] of Object.entries(drawnInches(bodies, (l) => at.get(l)?.mm ?? null))) {
      const row = BODY_INCHES.find((b) => b.id === id)!;
      expect(Math.abs(mm - row.adult.mm) * row.inches, id).toBeLessThan(1);
    }
  });
});

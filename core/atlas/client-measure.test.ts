import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { BODY_INCHES } from '../../reference/facts/body-inches.ts';
import { LANDMARKS } from '../../reference/facts/landmarks.ts';
import { POINTS } from '../../reference/facts/points/index.ts';
import { clientInches } from './client-inch.ts';
import {
  CLIENT_MEASURE_IDS,
  CLIENT_MEASURES,
  compareMeasures,
  refusedMeasures,
  type ClientMeasures,
} from './client-measure.ts';
import { distanceWords, inchesOf, pointDistance } from './distance.ts';

const GOOD: ClientMeasures = {
  hairlineBrow: 55,
  browNose: 63,
  noseChin: 64,
  hairlineChin: 172,
  browChin: 118,
  cheekbones: 130,
  jawAngles: 96,
  pupils: 61,
  headBreadth: 146,
  middleFinger: 21,
  fourFingers: 70,
};
const fields = (m: ClientMeasures) => refusedMeasures(m).map((r) => r.field);

describe('measures that cannot be', () => {
  test('a whole plausible set is taken', () => expect(refusedMeasures(GOOD)).toEqual([]));
  test.each(CLIENT_MEASURE_IDS)(
    '%s: negative, 0, not a number and beyond its range are refused with the range',
    (id) => {
      for (const bad of [-5, 0, NaN, Infinity, CLIENT_MEASURES[id].mostMm + 1, CLIENT_MEASURES[id].leastMm - 1]) {
        const [refused] = refusedMeasures({ [id]: bad });
        expect(refused?.field).toBe(id);
        expect(refused?.message).toContain(`${CLIENT_MEASURES[id].leastMm} to ${CLIENT_MEASURES[id].mostMm} mm`);
      }
    },
  );
  test('the brow above the hairline', () => {
    const [refused] = refusedMeasures({ hairlineChin: 150, browChin: 160 });
    expect(refused).toMatchObject({ field: 'browChin' });
    expect(refused!.message).toMatch(/brow would lie above the hairline.*160.*150/);
  });
  test('thirds that do not make the whole', () => {
    expect(fields({ ...GOOD, hairlineChin: 230 })).toEqual(['hairlineChin']);
    expect(fields({ ...GOOD, hairlineChin: 130 })).toContain('hairlineChin');
    expect(fields({ hairlineBrow: 55, browNose: 63, noseChin: 64, browChin: 90 })).toEqual(['browChin']);
  });
  test('a jaw broader than the face, pupils too far apart, a head narrower than the face, fingers that do not fit', () => {
    expect(fields({ jawAngles: 140, cheekbones: 120 })).toEqual(['jawAngles']);
    expect(fields({ pupils: 79, cheekbones: 110 })).toEqual(['pupils']);
    expect(fields({ headBreadth: 122, cheekbones: 160 })).toEqual(['headBreadth']);
    expect(fields({ fourFingers: 50, middleFinger: 30 })).toEqual(['fourFingers']);
  });
});

describe('two times of measuring', () => {
  test('only what was measured both times, and beyond error only when it is', () => {
    const changes = compareMeasures({ jawAngles: 97, pupils: 61, thumb: 20 }, { jawAngles: 90, pupils: 62 });
    expect(changes.map((c) => [c.id, c.beyondError])).toEqual([
      ['pupils', false],
      ['jawAngles', true],
    ]);
  });
  test('the border is 1.96 · √2 · the error of one reading', () => {
    const border = 1.96 * Math.SQRT2 * CLIENT_MEASURES.jawAngles.errorMm;
    expect(compareMeasures({ jawAngles: 90 }, { jawAngles: 90 + border - 0.01 })[0]!.beyondError).toBe(false);
    expect(compareMeasures({ jawAngles: 90 }, { jawAngles: 90 + border + 0.01 })[0]!.beyondError).toBe(true);
  });
});

describe('body-inches of a client', () => {
  test('measured, from the finger, or the average; each says which', () => {
    const inches = clientInches(BODY_INCHES, { hairlineBrow: 66, middleFinger: 22 });
    expect(inches.face).toMatchObject({ mm: 22, source: 'measured', basis: 'measured: 66 mm ÷ 3' });
    expect(inches.scalp).toMatchObject({ mm: 28.6, source: 'finger' });
    expect(clientInches(BODY_INCHES, {}).forehead).toMatchObject({ mm: 17.9, source: 'average' });
  });
  test('the error of a share is the error of the distance, shared', () =>
    expect(clientInches(BODY_INCHES, { scalpArc: 336 }).scalp.errorMm).toBeCloseTo(5 / 12, 9));
  test('a finger is less sure than a measured region and never surer than its own error', () => {
    const byFinger = clientInches(BODY_INCHES, { middleFinger: 21 }).face;
    const own = clientInches(BODY_INCHES, { hairlineBrow: 54 }).face;
    expect(byFinger.errorMm).toBeGreaterThan(own.errorMm);
  });
  test('with a face inch of 22 mm, GB14 lies 22 mm above the brow on this client', () => {
    const gb14 = POINTS.find((p) => p.id === 'GB14')!;
    const words = distanceWords(
      pointDistance(gb14, clientInches(BODY_INCHES, { hairlineBrow: 66 })),
      (id) => LANDMARKS.find((l) => l.id === id)!.name,
    );
    expect(words).toBe('22 mm ± 2 above the middle of the brow');
  });
  test('a point on its landmark says so; two legs are both told', () => {
    const nameOf = (id: string) => id;
    expect(
      distanceWords(
        pointDistance(
          POINTS.find((p) => p.id === 'BL2')!,
          clientInches(BODY_INCHES, {}),
        ),
        nameOf,
      ),
    ).toBe('on the landmark: brow-medial');
    expect(
      distanceWords(
        pointDistance(
          POINTS.find((p) => p.id === 'BL7')!,
          clientInches(BODY_INCHES, {}),
        ),
        nameOf,
      ),
    ).toMatch(/^114 mm ± \d+ behind, \d+ mm ± \d+ outside the trichion$/);
    expect(
      distanceWords(
        pointDistance(
          POINTS.find((p) => p.id === 'PC6')!,
          clientInches(BODY_INCHES, { forearm: 252 }),
        ),
        nameOf,
      ),
    ).toBe('42 mm ± 2 toward the elbow from the pl-fcr-gap');
  });
  test('every point counts in a unit that exists, and a larger region never brings it nearer', () => {
    fc.assert(
      fc.property(fc.constantFrom(...POINTS), fc.double({ min: 30, max: 60, noNaN: true }), (point, hairlineBrow) => {
        const of = (mm: number) => pointDistance(point, clientInches(BODY_INCHES, { hairlineBrow: mm }));
        const [small, large] = [of(hairlineBrow), of(hairlineBrow * 1.3)];
        expect(Object.values(inchesOf(point)).every((id) => BODY_INCHES.some((b) => b.id === id))).toBe(true);
        small.legs.forEach((leg, i) => {
          expect(large.legs[i]!.mm).toBeGreaterThanOrEqual(leg.mm - 1e-9);
          expect(leg.plusMinusMm).toBeGreaterThanOrEqual(1);
        });
      }),
    );
  });
});

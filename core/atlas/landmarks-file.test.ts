import { InputError } from '../words/index.ts';
import { describe, expect, test } from 'vitest';
import { BODY_INCHES } from '../../reference/facts/body-inches.ts';
import { LANDMARKS } from '../../reference/facts/landmarks.ts';
import { POINTS } from '../../reference/facts/points/index.ts';
import { locateOnClient, readLandmarksFile } from './landmarks-file.ts';

const read = (value: Record<string, unknown>) => readLandmarksFile(value, LANDMARKS, POINTS);
const refusal = (value: Record<string, unknown>): string => {
  try {
    read(value);
  } catch (error) {
    if (error instanceof InputError) return error.message;
    throw error;
  }
  return '';
};
const locate = (value: Record<string, unknown>) => locateOnClient(read(value), POINTS, BODY_INCHES, LANDMARKS);
const picture = (landmarks: Record<string, unknown>) => ({ picture: { mmPerPx: 0.5, landmarks } });

describe('files that are refused, with the field', () => {
  test.each([
    [{ points: ['GB14', 'GB99'] }, /points\[1\].*GB99/],
    [{ measuresMm: { nose: 3 } }, /measuresMm\.nose.*known/],
    [{ measuresMm: { pupils: -62 } }, /measuresMm\.pupils.*48 to 80/],
    [{ measuresMm: { pupils: '62' } }, /measuresMm\.pupils.*number/],
    [{ measuresMm: { hairlineChin: 150, browChin: 160 } }, /above the hairline/],
    [{ measuresMm: [1] }, /measuresMm/],
    [{ extra: 1 }, /^extra/],
    [{ picture: { mmPerPx: 0, landmarks: {} } }, /mmPerPx/],
    [{ picture: { mmPerPx: 0.5 } }, /picture\.landmarks/],
    [picture({ chin: { midline: [1, 2] } }), /picture\.landmarks\.chin.*unknown/],
    [picture({ trichion: { left: [1, 2] } }), /trichion\.left.*midline/],
    [picture({ pupil: { left: [1] } }), /pupil\.left.*two numbers/],
    [picture({ pupil: { left: [100, 50], right: [200, 50] } }), /left and right are swapped/],
    [picture({ trichion: { midline: [10, 100] }, glabella: { midline: [10, 40] } }), /glabella lies above trichion/],
    [
      picture({ trichion: { midline: [10, 100] }, 'brow-mid': { left: [40, 90], right: [5, 90] } }),
      /brow-mid lies above trichion/,
    ],
  ])('%j', (value, message) => expect(refusal(value as Record<string, unknown>)).toMatch(message));
});

describe('points on a client', () => {
  test('distances from measures, with their uncertainty and where they come from', () => {
    const { points } = locate({ measuresMm: { hairlineBrow: 66 }, points: ['GB14'] });
    expect(points[0]).toMatchObject({
      code: 'GB14',
      words: '22 mm ± 2 above the middle of the brow',
      legs: [{ mm: 22, inches: 1, inch: 'face', source: 'measured' }],
    });
  });
  test('places in a marked picture, both sides; the picture gives its own scale and face inch', () => {
    const marked = {
      trichion: { midline: [240, 100] },
      glabella: { midline: [240, 220] },
      'brow-mid': { left: [300, 215], right: [180, 216] },
    };
    const { points, inches } = locate({ ...picture(marked), points: ['GB14', 'GB1'] });
    expect(inches.face.mm).toBeCloseTo(20, 9);
    expect(points[0]!.px).toEqual({ left: [300, 175], right: [180, 176] });
    expect(points[1]!.px).toBeUndefined();
  });
  test('outward is away from the midline on either side', () => {
    const { points } = locate({
      measuresMm: { hairlineBrow: 60 },
      ...picture({ exocanthion: { left: [330, 240], right: [150, 240] } }),
      points: ['GB1'],
    });
    expect(points[0]!.px).toEqual({ left: [350, 240], right: [130, 240] });
  });
  test('every point has an answer', () => expect(locate({}).points).toHaveLength(POINTS.length));
});

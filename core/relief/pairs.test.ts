import { measureOf } from '../measures/index.ts';
import { describe, expect, test } from 'vitest';
import { readingOf } from '../../tests/support/readings.ts';
import { readingPairs, scorePairs } from './pairs.ts';

describe('pairs of first and now', () => {
  test('a pressure threshold is told in percent, against its own error only where one is known', () => {
    const at = (place: string, ...values: number[]) =>
      readingPairs(values.map((v) => ({ ...readingOf('pressure-threshold', v), place, side: 'left' as const })))[0]!;
    expect(at('masseter-superficial', 151, 205)).toMatchObject({
      told: 'no-figure',
      meaning: '36 % more than at first; no error figure is known for this',
    });
    expect(at('trapezius-upper', 300, 260)).toMatchObject({
      told: 'within-error',
      meaning: '13 % less than at first; within the measure’s own error (47 kPa; Walton et al. 2011, from memory)',
    });
    expect(at('trapezius-upper', 180, 230).meaning).toBe(
      '28 % more than at first; more than the measure’s own error (47 kPa; Walton et al. 2011, from memory)',
    );
  });
  test('opening 31 → 41 mm is better and beyond the error of the test', () =>
    expect(
      readingPairs([readingOf('opening-mm', 31), readingOf('opening-mm', 36), readingOf('opening-mm', 41)]),
    ).toEqual([
      {
        measure: 'opening-mm',
        name: 'Opening, comfortable',
        unit: 'mm',
        place: '',
        side: 'midline',
        first: 31,
        now: 41,
        change: 10,
        told: 'better',
        meaning: 'more than the measure’s own error (9 mm; Kropmans et al. 1999, 2000)',
      },
    ]));
  test('less tenderness is better; each muscle and side for itself', () => {
    const t = (side: 'left' | 'right', value: number) =>
      readingOf('tenderness', value, { place: 'masseter-superficial', side });
    expect(
      readingPairs([t('left', 3), t('right', 1), t('left', 1), t('right', 2)]).map((p) => [p.side, p.told, p.meaning]),
    ).toEqual([
      ['left', 'better', 'more than the measure’s own error (2 of 3; our choice)'],
      ['right', 'within-error', 'within the measure’s own error (2 of 3; our choice)'],
    ]);
  });
  test('sideways is told for each side; what has no better and worse is left out', () => {
    expect(
      readingPairs([
        readingOf('sideways-mm', 5, { side: 'right' }),
        readingOf('sideways-mm', 7, { side: 'right' }),
        readingOf('overlap-mm', 3),
        readingOf('overlap-mm', 2),
      ]).map((p) => [p.measure, p.side, p.told, p.meaning]),
    ).toEqual([['sideways-mm', 'right', 'no-figure', 'no error figure is known for this']]);
  });
  test('what was measured right after the work is not part of the course', () =>
    expect(readingPairs([readingOf('opening-mm', 31), readingOf('opening-mm', 40, { phase: 'after' })])).toEqual([]));
  test('ratings are told by the course, not here', () =>
    expect(readingPairs([readingOf('nrs-now', 7), readingOf('nrs-now', 3)])).toEqual([]));
  test('unchanged', () =>
    expect(readingPairs([readingOf('opening-fingers', 3), readingOf('opening-fingers', 3)])[0]).toMatchObject({
      told: 'same',
      change: 0,
    }));
  test('scores reach the same table: first and latest that could be scored', () => {
    const score = (measure: string, value: number | null) => ({
      visitId: '',
      measure,
      answers: {},
      value,
      words: '',
      takenAt: '',
    });
    expect(
      scorePairs([
        score('stress-10', 24),
        score('distress', 7),
        score('stress-10', null),
        score('stress-10', 15),
        score('gone', 1),
        score('gone', 2),
      ]).map((p) => [p.name, p.first, p.now, p.told, p.meaning]),
    ).toEqual([
      [
        measureOf('stress-10')!.name,
        24,
        15,
        'better',
        'more than the measure’s own error (7 of 40; our choice from SD 6.4 and reliability 0.85)',
      ],
    ]);
  });
});

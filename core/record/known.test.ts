import { describe, expect, test } from 'vitest';
import { CATALOGUE } from '../../reference/catalogue.ts';
import type { Reading } from '../measures/index.ts';
import type { Client } from './client.ts';
import { EMPTY_FINDINGS } from './findings.ts';
import { knownAt } from './known.ts';

const reading = (r: Partial<Reading>): Reading => ({
  measure: 'nrs-now',
  complaintId: null,
  place: '',
  side: 'midline',
  phase: 'before',
  value: 0,
  source: 'studio',
  takenAt: '2026-03-09T10:00:00Z',
  visitId: 'v',
  ...r,
});
const complaint = (id: string, over: object = {}) =>
  ({
    id,
    kind: 'jaw',
    label: '',
    side: 'left',
    onset: '',
    triggers: '',
    goal: '',
    closed: false,
    ...over,
  }) as unknown as Client['complaints'][number];
const at = (
  complaints: Client['complaints'],
  readings: Reading[],
  earlier: Parameters<typeof knownAt>[2] = [],
  findings = EMPTY_FINDINGS,
) => knownAt({ complaints }, readings, earlier, findings, CATALOGUE);

describe('what is known at a visit', () => {
  test('today’s rating before the work, else the last one, else 5 and told so; closed complaints do not count', () => {
    const three = [
      complaint('a'),
      complaint('b', { kind: 'headache', side: 'both' }),
      complaint('c', { kind: 'stress', side: 'midline' }),
      complaint('d', { closed: true }),
    ];
    const { known, unrated } = at(
      three,
      [reading({ complaintId: 'a', value: 6 }), reading({ complaintId: 'a', value: 2, phase: 'after' })],
      [{ measure: 'nrs-now', complaintId: 'b', place: '', side: 'midline', values: [7, 4], first: 7 }],
    );
    expect(known.complaints).toEqual([
      { kind: 'jaw', side: 'left', score: 6 },
      { kind: 'headache', side: null, score: 4 },
      { kind: 'stress', side: null, score: 5 },
    ]);
    expect(unrated).toEqual(['Stress']);
  });
  test('what came before easier days is taken from the complaint that is worst today; a closed one tells nothing', () => {
    const of = (technique: string, effect: number) => ({ technique, effect, standardError: 0.3 });
    const three = [complaint('a'), complaint('b', { kind: 'headache' }), complaint('d', { closed: true })];
    const helped = [
      { complaintId: 'd', techniques: [of('closed', 1)] },
      { complaintId: 'a', techniques: [of('both', 0.1), of('only-a', 0.2)] },
      { complaintId: 'b', techniques: [of('both', 0.9)] },
    ];
    const worst = (a: number, b: number) =>
      knownAt(
        { complaints: three },
        [reading({ complaintId: 'a', value: a }), reading({ complaintId: 'b', value: b })],
        [],
        EMPTY_FINDINGS,
        CATALOGUE,
        helped,
      ).known;
    expect(worst(2, 7).response).toEqual([of('both', 0.9), of('only-a', 0.2)]);
    expect(worst(7, 2).response).toEqual([of('both', 0.1), of('only-a', 0.2)]);
    expect(worst(7, 2).practiceEffect).toBe(0);
  });
  test('presses with their pain and where they were felt, spots by region, the scan, thresholds, opening and click', () => {
    const { known } = at(
      [],
      [
        reading({ measure: 'tenderness', place: 'masseter-superficial', side: 'left', value: 3 }),
        reading({ measure: 'tenderness', place: 'masseter-superficial', side: 'left', value: 1, phase: 'after' }),
        reading({ measure: 'familiar-pain', place: 'masseter-superficial', side: 'left', value: 1 }),
        reading({ measure: 'region-felt', place: 'jaw', value: 2 }),
        reading({ measure: 'region-felt', place: 'brow', value: 1 }),
        reading({ measure: 'pressure-threshold', place: 'masseter-superficial', side: 'right', value: 140 }),
        reading({ measure: 'opening-mm', value: 34 }),
        reading({ measure: 'click-opening-mm', side: 'right', value: 20 }),
      ],
      [],
      {
        ...EMPTY_FINDINGS,
        feltElsewhere: [{ muscle: 'masseter-superficial', side: 'left', to: 'temple', toSide: 'left' }],
        spots: [{ id: 's', view: 'left', anchor: 'point:ST6.left', rightMm: 1, downMm: 2, tenderness: 2, words: '' }],
      },
    );
    expect(known.tenderness).toEqual([
      { muscle: 'masseter-superficial', side: 'left', grade: 3, theirPain: true, feltIn: ['temple'] },
    ]);
    expect(known.tightSpots).toEqual([{ region: 'jaw', side: 'left', grade: 2 }]);
    expect(known.tenseRegions).toEqual(['jaw']);
    expect(known.thresholds).toEqual([{ muscle: 'masseter-superficial', side: 'right', kpa: 140 }]);
    expect([known.openingMm, known.clickSide]).toEqual([34, 'right']);
  });
});

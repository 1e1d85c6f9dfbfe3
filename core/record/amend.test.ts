import { describe, expect, test } from 'vitest';
import { QUESTIONNAIRES } from '../measures/index.ts';
import { emptyRoutine } from '../routine/index.ts';
import { checkedWords, type CorrectionNames, correctionsOf, isCorrectable } from './amend.ts';
import { EMPTY_FINDINGS, type TightSpot } from './findings.ts';
import type { ReadingEntry, VisitPatch } from './patch.ts';
import { EMPTY_RECORD, EMPTY_SCREEN, readRecord, type Screen } from './visit.ts';

const rating = (value: number | null): ReadingEntry => ({
  measure: 'nrs-now',
  complaintId: 'c1',
  place: '',
  side: 'left',
  phase: 'after',
  value,
});
const names: CorrectionNames = {
  reading: (e) => `${e.measure} ${e.phase}`,
  place: () => 'Masseter',
  question: (key) => `Is it ${key}?`,
  preparation: (key) => `made ready: ${key}`,
  product: (id) => `product ${id}`,
  anchor: (key) => `<${key}>`,
};
const nothing = { screen: EMPTY_SCREEN, record: null, findings: EMPTY_FINDINGS, readings: [], scores: [] };
const of = (patch: VisitPatch, before: Partial<typeof nothing> | object = {}) =>
  correctionsOf(patch, { ...nothing, ...before }, names);

describe('what a correction changes', () => {
  test('fields of the record, each with its old words and its new ones, and nothing that stayed', () =>
    expect(
      of(
        {
          kind: 'record',
          record: {
            ...EMPTY_RECORD,
            note: 'said better',
            reactions: ['warmth', 'tears'],
            where: [{ reaction: 'warmth', muscle: 'masseter-superficial', side: 'left' }],
          },
        },
        { record: { ...EMPTY_RECORD, note: 'said', reactions: ['warmth'] } },
      ),
    ).toEqual([
      { what: 'Reactions', before: 'Warmth', after: 'Warmth, Tears' },
      { what: 'Where', before: '', after: 'Warmth: Masseter, left' },
      { what: 'Notes', before: 'said', after: 'said better' },
    ]));
  test('a reading changed, given, taken away; the same value is none', () => {
    const to = (value: number | null, readings = [{ ...rating(4), value: 4 }]) =>
      of({ kind: 'readings', entries: [rating(value)] }, { readings });
    expect(to(3)).toEqual([{ what: 'nrs-now after', before: '4 of 10', after: '3 of 10' }]);
    expect(to(null)).toEqual([{ what: 'nrs-now after', before: '4 of 10', after: '' }]);
    expect(to(3, [])).toEqual([{ what: 'nrs-now after', before: '', after: '3 of 10' }]);
    expect(to(4)).toEqual([]);
    // Nought is a value.
    expect(to(0)).toEqual([{ what: 'nrs-now after', before: '4 of 10', after: '0 of 10' }]);
  });
  test('answers of the screening, one row each, with side; what was made ready; the product', () => {
    const screen = { answers: { a: 'no', b: 'yes', c: 'yes' }, preparation: ['hands', 'skin'] } as const;
    const before = { screen: { ...screen, preparation: [...screen.preparation] } };
    const to = (after: Partial<Screen>) =>
      of({ kind: 'screen', screen: { answers: screen.answers, preparation: ['skin', 'hands'], ...after } }, before);
    expect(to({})).toEqual([]);
    expect(to({ answers: { a: 'left', b: 'unsure' } })).toEqual([
      { what: 'Is it a?', before: 'No', after: 'Yes, client’s left' },
      { what: 'Is it b?', before: 'Yes', after: 'Not sure' },
      { what: 'Is it c?', before: 'Yes', after: '' },
    ]);
    expect(to({ preparation: ['hands'], product: 'p1' })).toEqual([
      { what: 'Preparation', before: 'made ready: hands, made ready: skin', after: 'made ready: hands' },
      { what: 'Product today', before: '', after: 'product p1' },
    ]);
  });
  test('what was found on the chart: pins, where a press was felt, presses of a threshold', () => {
    const spot: TightSpot = {
      id: 's',
      view: 'front',
      anchor: 'point:GB14.left',
      rightMm: 0,
      downMm: 4,
      tenderness: 2,
      words: 'tight band',
    };
    const felt = { muscle: 'masseter-superficial', side: 'left', to: 'temple', toSide: 'left' } as const;
    const found = { ...EMPTY_FINDINGS, spots: [spot], feltElsewhere: [felt] };
    expect(of({ kind: 'findings', findings: found }, { findings: found })).toEqual([]);
    expect(
      of(
        {
          kind: 'findings',
          findings: {
            feltElsewhere: [],
            spots: [{ ...spot, tenderness: 3 }],
            thresholds: [
              {
                muscle: 'masseter-superficial',
                side: 'left',
                tipCm2: 1,
                trials: [{ kpa: 180, rampKpaPerSecond: null }],
                device: 'typed',
              },
            ],
          },
        },
        { findings: found },
      ),
    ).toEqual([
      { what: 'Felt elsewhere', before: 'Masseter, left, felt in temple, left', after: '' },
      {
        what: 'Tight spots',
        before: '4 mm below <point:GB14.left>, 2 of 3, tight band',
        after: '4 mm below <point:GB14.left>, 3 of 3, tight band',
      },
      { what: 'Presses of thresholds', before: '', after: 'Masseter, left: 180 kPa' },
    ]);
  });
  test('answers of a scored measure by their result', () => {
    const [def] = QUESTIONNAIRES;
    const changed = of(
      { kind: 'answers', measure: def!.id, answers: null },
      { scores: [{ measure: def!.id, words: '12 of 20' }] },
    );
    expect(changed).toEqual([{ what: def!.name, before: '12 of 20', after: '' }]);
    expect(of({ kind: 'answers', measure: def!.id, answers: {} })[0]!.after).toContain('Not finished');
  });
  test('what was planned, run and ended is not corrected', () => {
    expect(isCorrectable({ kind: 'routine', routine: emptyRoutine('R') })).toBe(false);
    expect(isCorrectable({ kind: 'stage', stage: 'record' })).toBe(false);
    for (const kind of ['screen', 'readings', 'record', 'findings', 'answers'])
      expect(isCorrectable({ kind } as VisitPatch)).toBe(true);
  });
});

test('words are needed, and have an end', () => {
  expect(checkedWords('  because ', 'because')).toBe('because');
  expect(() => checkedWords('  ', 'because')).toThrow('because: a few words are needed');
  expect(() => checkedWords('x'.repeat(2001), 'words')).toThrow('at most 2000');
});

test('a record from before it said where is read with nowhere', () =>
  expect(readRecord({ note: 'n', reactions: ['warmth'] })).toEqual({
    ...EMPTY_RECORD,
    note: 'n',
    reactions: ['warmth'],
  }));

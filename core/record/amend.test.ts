import { describe, expect, test } from 'vitest';
import { checkedWords, correctionsOf, isCorrectable } from './amend.ts';
import type { ReadingEntry } from './patch.ts';
import { EMPTY_RECORD, readRecord } from './visit.ts';

const rating = (value: number | null): ReadingEntry => ({
  measure: 'nrs-now',
  complaintId: 'c1',
  place: '',
  side: 'left',
  phase: 'after',
  value,
});
const nameOf = (e: ReadingEntry) => `${e.measure} ${e.phase}`;

describe('what a correction changes', () => {
  test('fields of the record, each with its old words and its new ones, and nothing that stayed', () =>
    expect(
      correctionsOf(
        {
          kind: 'record',
          record: {
            ...EMPTY_RECORD,
            note: 'said better',
            reactions: ['warmth', 'tears'],
            where: [{ reaction: 'warmth', muscle: 'masseter-superficial', side: 'left' }],
          },
        },
        { ...EMPTY_RECORD, note: 'said', reactions: ['warmth'] },
        [],
        nameOf,
        () => 'Masseter',
      ),
    ).toEqual([
      { what: 'Reactions', before: 'Warmth', after: 'Warmth, Tears' },
      { what: 'Where', before: '', after: 'Warmth: Masseter, left' },
      { what: 'Notes', before: 'said', after: 'said better' },
    ]));
  test('a reading changed, given, taken away; the same value is none', () => {
    const before = [{ ...rating(4), value: 4 }];
    const of = (value: number | null, known = before) =>
      correctionsOf({ kind: 'readings', entries: [rating(value)] }, null, known, nameOf, () => '');
    expect(of(3)).toEqual([{ what: 'nrs-now after', before: '4 of 10', after: '3 of 10' }]);
    expect(of(null)).toEqual([{ what: 'nrs-now after', before: '4 of 10', after: '' }]);
    expect(of(3, [])).toEqual([{ what: 'nrs-now after', before: '', after: '3 of 10' }]);
    expect(of(4)).toEqual([]);
    // Nought is a value.
    expect(of(0)).toEqual([{ what: 'nrs-now after', before: '4 of 10', after: '0 of 10' }]);
  });
  test('what was screened, planned and run is not corrected', () => {
    expect(isCorrectable({ kind: 'screen', screen: { answers: {}, preparation: [] } })).toBe(false);
    expect(isCorrectable({ kind: 'stage', stage: 'record' })).toBe(false);
    expect(isCorrectable({ kind: 'record', record: EMPTY_RECORD })).toBe(true);
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

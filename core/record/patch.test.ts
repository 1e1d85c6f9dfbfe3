import { describe, expect, test } from 'vitest';
import { joined, leftOf, type VisitPatch } from './patch.ts';
import { EMPTY_RECORD } from './visit.ts';

const note = (words: string, because?: string): VisitPatch => ({
  kind: 'record',
  record: { ...EMPTY_RECORD, note: words },
  ...(because === undefined ? {} : { because }),
});
const rating = (side: 'left' | 'right', value: number | null, because?: string): VisitPatch => ({
  kind: 'readings',
  entries: [{ measure: 'tenderness', complaintId: null, place: 'masseter-superficial', side, phase: 'after', value }],
  ...(because === undefined ? {} : { because }),
});

describe('a change that nobody has seen yet', () => {
  test('gives way to a later one of the same things; readings of others stay beside it', () => {
    expect(joined(note('a'), note('b'))).toEqual(note('b'));
    const both = joined(rating('left', 1), rating('right', 2)) as Extract<VisitPatch, { kind: 'readings' }>;
    expect(both.entries.map((e) => [e.side, e.value])).toEqual([
      ['left', 1],
      ['right', 2],
    ]);
    expect(joined(rating('left', 1), rating('left', 2))).toEqual(rating('left', 2));
    expect(joined(note('a'), rating('left', 1))).toBeNull();
    expect(joined({ kind: 'stage', stage: 'assess' }, { kind: 'stage', stage: 'compose' })).toBeNull();
  });
  test('of two corrections with two reasons each stays for itself', () => {
    expect(joined(note('a', 'Misheard'), note('b', 'Misheard'))).toEqual(note('b', 'Misheard'));
    expect(joined(note('a', 'Misheard'), note('b', 'Wrong client'))).toBeNull();
    expect(joined(rating('left', 1, 'Misread'), rating('right', 2, 'Left out'))).toBeNull();
    expect(joined(note('a'), note('b', 'Misheard'))).toBeNull();
  });
  test('is taken off where a later one says the same anew', () => {
    expect(leftOf(rating('left', 1), rating('left', 2))).toBeNull();
    expect(leftOf(rating('left', 1), rating('right', 2))).toEqual(rating('left', 1));
    expect(leftOf(note('a'), rating('left', 1))).toEqual(note('a'));
  });
});

import { describe, expect, test } from 'vitest';
import { beforeAndAfter, type Reading } from './index.ts';

const reading = (change: Partial<Reading>): Reading => ({
  measure: 'tenderness',
  complaintId: null,
  place: 'masseter-superficial',
  side: 'left',
  phase: 'before',
  value: 3,
  source: 'studio',
  takenAt: '2026-11-05T10:00:00Z',
  visitId: 'v',
  ...change,
});

describe('the readings of one visit', () => {
  test('come each thing once, before beside after, sides apart, nothing of between visits', () => {
    const things = beforeAndAfter([
      reading({}),
      reading({ side: 'right', value: 1 }),
      reading({ phase: 'after', value: 2 }),
      reading({ phase: 'between', value: 0 }),
      reading({ measure: 'opening-mm', place: '', side: 'midline', phase: 'after', value: 33 }),
    ]);
    expect(things.map((t) => [t.measure, t.side, t.before, t.after])).toEqual([
      ['tenderness', 'left', 3, 2],
      ['tenderness', 'right', 1, null],
      ['opening-mm', 'midline', null, 33],
    ]);
  });
  test('zero is a reading', () => expect(beforeAndAfter([reading({ value: 0 })])[0]!.before).toBe(0));
});

import fc from 'fast-check';
import { createRequire } from 'node:module';
import type { RRule as Rule } from 'rrule';
import { describe, expect, test } from 'vitest';
import { addDays, plannedDays } from '../../core/schedule/index.ts';

// The package says of itself that it is no module.
const { RRule } = createRequire(import.meta.url)('rrule') as { RRule: typeof Rule };

/** RFC 5545, section 3.8.5.3: the examples that a plan of days can say. */
describe('days of a rhythm, as RFC 5545 prints them', () => {
  const DAILY = [1, 2, 3, 4, 5, 6, 7];
  test('daily for ten occurrences from 2 September 1997: 2 to 11 September', () => {
    const days = plannedDays({ from: '1997-09-02', until: '1997-09-11', weekdays: DAILY });
    expect(days).toHaveLength(10);
    expect([days[0], days[9]]).toEqual(['1997-09-02', '1997-09-11']);
  });
  test('daily until 24 December 1997: 113 days, over the end of summer time in New York', () => {
    expect(plannedDays({ from: '1997-09-02', until: '1997-12-23', weekdays: DAILY })).toHaveLength(113);
  });
  test('weekly on Tuesday and Thursday for five weeks: 2 September to 2 October', () => {
    expect(plannedDays({ from: '1997-09-02', until: '1997-10-02', weekdays: [2, 4] })).toEqual([
      '1997-09-02',
      '1997-09-04',
      '1997-09-09',
      '1997-09-11',
      '1997-09-16',
      '1997-09-18',
      '1997-09-23',
      '1997-09-25',
      '1997-09-30',
      '1997-10-02',
    ]);
  });
});

test('every rhythm has the days that another implementation expands it to', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 20_000 }),
      fc.integer({ min: 0, max: 120 }),
      fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { minLength: 1, maxLength: 7 }),
      (fromDays, length, weekdays) => {
        const from = addDays('1990-01-01', fromDays);
        const until = addDays(from, length);
        const rule = new RRule({
          freq: RRule.WEEKLY,
          byweekday: weekdays.map((d) => d - 1),
          dtstart: new Date(`${from}T08:00:00Z`),
          until: new Date(`${until}T08:00:00Z`),
        });
        expect(plannedDays({ from, until, weekdays })).toEqual(rule.all().map((d) => d.toISOString().slice(0, 10)));
      },
    ),
    { numRuns: 300 },
  );
});

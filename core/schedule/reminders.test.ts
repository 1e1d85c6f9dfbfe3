import { describe, expect, test } from 'vitest';
import { datesIn, homePlanLetter, missedToTell, visitLetter } from './index.ts';

const daily = { from: '2026-11-02', until: '2026-11-30', weekdays: [1, 2, 3, 4, 5, 6, 7] };
// 2 November 2026 is a Monday.
const weekdays = { ...daily, weekdays: [1, 2, 3, 4, 5] };

describe('a home plan is reminded of', () => {
  test('after 1, 3, 7 and 14 planned days without a run, and on no other day', () => {
    const told = Array.from({ length: 28 }, (_, i) => `2026-11-${String(i + 3).padStart(2, '0')}`).flatMap((today) => {
      const missed = missedToTell(daily, ['2026-11-02'], today);
      return missed === null ? [] : [[today, missed]];
    });
    expect(told).toEqual([
      ['2026-11-04', 1],
      ['2026-11-06', 3],
      ['2026-11-10', 7],
      ['2026-11-17', 14],
    ]);
  });
  test('days off neither count nor are written on', () => {
    // Last run on a Friday: Saturday and Sunday are no planned days, Monday is the first to be missed.
    expect(missedToTell(weekdays, ['2026-11-06'], '2026-11-08')).toBeNull();
    expect(missedToTell(weekdays, ['2026-11-06'], '2026-11-09')).toBeNull();
    expect(missedToTell(weekdays, ['2026-11-06'], '2026-11-10')).toBe(1);
    // One missed on Friday alone: not on Saturday, but on Monday, with still one missed.
    expect(missedToTell(weekdays, ['2026-11-05'], '2026-11-07')).toBeNull();
    expect(missedToTell(weekdays, ['2026-11-05'], '2026-11-09')).toBe(1);
  });
  test('from its first day on where nothing was ever done, and never before, after, or on a day with a run', () => {
    expect(missedToTell(daily, [], '2026-11-02')).toBeNull();
    expect(missedToTell(daily, [], '2026-11-03')).toBe(1);
    expect(missedToTell(daily, [], '2026-11-01')).toBeNull();
    expect(missedToTell({ ...daily, until: '2026-11-04' }, [], '2026-11-05')).toBeNull();
    expect(missedToTell(daily, ['2026-11-02', '2026-11-04'], '2026-11-04')).toBeNull();
    expect(missedToTell(daily, ['2026-10-20'], '2026-11-03')).toBe(1);
  });
});

describe('a letter', () => {
  const from = { practice: 'Harbour Row', contact: '555 0142', firstName: 'Noor' };
  test('tells the time of the visit where the practice is, over a change of clocks', () => {
    // Lisbon leaves summer time on 25 October 2026 at 01:00 UTC.
    const letter = (startsAt: string) =>
      visitLetter(from, { startsAt, minutes: 60, with: 'Imke' }, datesIn('Europe/Lisbon', 'day-first')).body;
    expect(letter('2026-10-24T09:30:00Z')).toContain('Saturday 24 October, 10:30, 60 minutes');
    expect(letter('2026-10-26T10:30:00Z')).toContain('Monday 26 October, 10:30, 60 minutes');
  });
  test('writes days and times as the practice does', () =>
    expect(
      visitLetter(
        from,
        { startsAt: '2026-12-01T14:00:00Z', minutes: 45, with: 'Imke' },
        datesIn('Europe/Lisbon', 'month-first'),
      ).body,
    ).toContain('Tuesday, December 1, 2:00 PM, 45 minutes'));
  test('names the person by first name, the practice, and how to end it', () => {
    for (const { subject, body } of [
      homePlanLetter(from, 3),
      visitLetter(
        from,
        { startsAt: '2026-12-01T10:00:00Z', minutes: 45, with: 'Imke' },
        datesIn('Europe/Lisbon', 'day-first'),
      ),
    ]) {
      expect(subject).toContain('Harbour Row');
      expect(subject).not.toContain('Noor');
      expect(body).toContain('Hello Noor');
      expect(body).toContain('555 0142');
      expect(body).toContain('because you agreed to reminders');
    }
    expect(homePlanLetter(from, 1).body).toContain('1 planned day.');
    expect(homePlanLetter(from, 3).body).toContain('tell us first');
  });
});

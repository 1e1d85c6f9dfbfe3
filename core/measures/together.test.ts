import { describe, expect, test } from 'vitest';
import { checkedAnswers, contradictionIn, measureOf, scoreSoFar, weekContradiction, wilson } from './index.ts';

const pain = measureOf('graded-pain')!;
const days = measureOf('headache-days')!;
const given = { days: 20, now: 3, worst: 6, average: 4, kept: 2, daily: 3, social: 2, work: 2 };

describe('answers that cannot both be so', () => {
  test.each([
    [{ days: 0 }, ['now', 'days'], '0 days with pain and pain right now 3 cannot both be'],
    [
      { days: 0, now: 0, worst: 0, average: 2 },
      ['average', 'days'],
      '0 days with pain and average pain 2 cannot both be',
    ],
    [
      { days: 0, now: 0, worst: 0, average: 0 },
      ['kept', 'days'],
      '0 days with pain and days kept from activities 2 cannot both be',
    ],
    [{ worst: 3 }, ['average', 'worst'], 'worst pain 3 cannot lie below average pain 4'],
    [{ now: 7 }, ['now', 'worst'], 'worst pain 6 cannot lie below pain right now 7'],
  ])('graded pain with %j', (over, keys, words) => {
    const answers = { ...given, ...over };
    expect(contradictionIn(pain, answers)).toEqual({ keys, words });
    expect(() => checkedAnswers(pain, answers)).toThrow(words);
    expect(scoreSoFar(pain, answers)).toMatchObject({ value: null, words: expect.stringContaining(words) as string });
  });
  test('what is not answered yet contradicts nothing; equal values do not either', () => {
    expect(contradictionIn(pain, { days: 0 })).toBeNull();
    expect(contradictionIn(pain, { days: 0, now: 0, worst: 0, average: 0, kept: 0 })).toBeNull();
    expect(contradictionIn(pain, { worst: 4, average: 4, now: 4 })).toBeNull();
    expect(checkedAnswers(pain, given)).toMatchObject(given);
    expect(contradictionIn(measureOf('distress')!, { i1: 3 })).toBeNull();
  });
  test('more headache days than recorded ones', () => {
    expect(contradictionIn(days, { headache: 5, recorded: 3 })!.words).toBe(
      '5 days with headache cannot be more than 3 days recorded',
    );
    expect(contradictionIn(days, { headache: 3, recorded: 3 })).toBeNull();
  });
  test('the worst of a week below its average', () => {
    expect(weekContradiction(4, 6)).toBe('The worst of the past week (4) cannot lie below its average (6).');
    expect(weekContradiction(6, 6)).toBeNull();
    expect(weekContradiction(undefined, 6)).toBeNull();
  });
});

test('a handful of days tells how wide the share may be, and no days in 28', () => {
  expect(scoreSoFar(days, { headache: 2, recorded: 3 })).toMatchObject({
    value: null,
    words: 'Not scored: 2 of 3 recorded days are 21 to 94 % of days; 23 recorded days are needed.',
    suggestCare: false,
  });
  expect(scoreSoFar(days, { headache: 12, recorded: 24 })).toMatchObject({ value: 14, suggestCare: false });
  expect(scoreSoFar(days, { headache: 12, recorded: 24 }).words).toMatch(
    /^14 per 28 days \(\d+ to \d+ % of days\), frequent$/,
  );
  expect(wilson(2, 3)!.high).toBeGreaterThan(0.9);
});

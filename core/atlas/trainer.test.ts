import { describe, expect, test } from 'vitest';
import { afterAnswer, judgeMark, newTrainerCard, nextQuestion, progressByDay } from './trainer.ts';

const NOW = new Date('2026-03-02T10:00:00Z');
const days = (from: Date, to: Date) => (to.getTime() - from.getTime()) / 86_400_000;

describe('judging a mark', () => {
  test.each([
    [3, 'easy'],
    [4, 'easy'],
    [7, 'good'],
    [12, 'hard'],
    [15.1, 'again'],
  ] as const)('%s mm off: %s', (errorMm, grade) =>
    expect(judgeMark({ a: errorMm, b: 40 }, 'a')).toEqual({ errorMm, grade, takenFor: null }),
  );
  test('a neighbour that lies nearer is named, and the answer is hard at best', () => {
    expect(judgeMark({ a: 14, b: 6, c: 62 }, 'a')).toEqual({ errorMm: 14, grade: 'hard', takenFor: 'b' });
    expect(judgeMark({ a: 5.5, b: 0.5 }, 'a')).toMatchObject({ grade: 'hard', takenFor: 'b' });
    // As good as equal is no mistake.
    expect(judgeMark({ a: 5.5, b: 5.2 }, 'a')).toEqual({ errorMm: 5.5, grade: 'good', takenFor: null });
  });
  test('a place that is not on the sheet cannot be asked for', () =>
    expect(() => judgeMark({ a: 0 }, 'z')).toThrow(RangeError));
});

describe('coming back over days', () => {
  test('known places come back later each time, missed ones soon', () => {
    let card = afterAnswer(null, 'good', NOW);
    const gaps: number[] = [];
    for (let i = 0; i < 5; i++) {
      const at = card.due;
      card = afterAnswer(card.card, 'good', at);
      gaps.push(days(at, card.due));
    }
    for (let i = 1; i < gaps.length; i++) expect(gaps[i]!).toBeGreaterThan(gaps[i - 1]!);
    const missed = afterAnswer(card.card, 'again', card.due);
    expect(days(card.due, missed.due)).toBeLessThan(1);
  });
  test('a card read back from JSON goes on as if it had stayed', () => {
    const one = afterAnswer(newTrainerCard(NOW).card, 'good', NOW);
    const stored = JSON.parse(JSON.stringify(one.card)) as typeof one.card;
    expect(afterAnswer(stored, 'good', one.due)).toEqual(afterAnswer(one.card, 'good', one.due));
  });
});

describe('what is asked next', () => {
  const due = {
    a: new Date('2026-03-01T00:00:00Z'),
    b: new Date('2026-02-20T00:00:00Z'),
    c: new Date('2026-04-01T00:00:00Z'),
  };
  test('longest overdue, then never asked, then soonest; not the same twice', () => {
    expect(nextQuestion(['a', 'b', 'c', 'd'], due, NOW, null)).toBe('b');
    expect(nextQuestion(['c', 'd'], due, NOW, null)).toBe('d');
    expect(nextQuestion(['c'], due, NOW, null)).toBe('c');
    expect(nextQuestion(['a', 'b'], due, NOW, 'b')).toBe('a');
    expect(nextQuestion([], due, NOW, null)).toBeNull();
  });
});

test('progress: answers and median error of each day', () => {
  const answers = [
    { at: '2026-03-01T08:00:00Z', errorMm: 10 },
    { at: '2026-03-01T09:00:00Z', errorMm: 4 },
    { at: '2026-03-02T09:00:00Z', errorMm: null },
    { at: '2026-03-03T09:00:00Z', errorMm: 5 },
    { at: '2026-03-03T09:01:00Z', errorMm: 3 },
    { at: '2026-03-03T09:02:00Z', errorMm: 40 },
  ];
  expect(progressByDay(answers, (at) => at.slice(0, 10))).toEqual([
    { day: '2026-03-01', asked: 2, medianErrorMm: 7 },
    { day: '2026-03-02', asked: 1, medianErrorMm: null },
    { day: '2026-03-03', asked: 3, medianErrorMm: 5 },
  ]);
});

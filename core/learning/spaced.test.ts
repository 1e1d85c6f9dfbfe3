import { describe, expect, test } from 'vitest';
import { afterAnswer, newTrainerCard, nextQuestion } from './spaced.ts';

const NOW = new Date('2026-03-02T10:00:00Z');
const days = (from: Date, to: Date) => (to.getTime() - from.getTime()) / 86_400_000;

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

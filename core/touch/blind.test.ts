import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { traceOf } from '../../tests/support/pad-trace.ts';
import { PRESSURE_KPA, PRESSURES, type Pressure } from '../words/index.ts';
import {
  blindPress,
  latestOf,
  scaleFor,
  wordApart,
  wordCards,
  wordFit,
  wordKnown,
  wordLevel,
  wordsToAsk,
  type WordPress,
} from './index.ts';

const NOW = new Date('2026-03-20T10:00:00Z');
const press = (word: Pressure, kpa: number, daysAgo = 0): WordPress => ({
  id: `${word} ${kpa} ${daysAgo}`,
  at: new Date(NOW.getTime() - daysAgo * 86_400_000).toISOString(),
  word,
  contact: 'two-fingers',
  kpa,
  sensor: 'Pad 2',
  isStandIn: false,
});

describe('a blind press', () => {
  test.each([1, 5, 50, 100, 150])('of %d kPa is read as that, within a twelfth', (kpa) => {
    const trace = traceOf((ms) => (ms > 800 && ms < 3000 ? [{ xMm: 40, yMm: 40, areaCm2: 2, kpa }] : []), 4000);
    expect(Math.abs(blindPress(trace)! / kpa - 1)).toBeLessThan(kpa < 2 ? 0.35 : 0.12);
  });
  test('is the one that was held, not a touch before it; and none where nothing was', () => {
    const hand = (ms: number) => (ms < 200 ? 90 : ms > 900 && ms < 3000 ? 30 : 0);
    const trace = traceOf((ms) => (hand(ms) ? [{ xMm: 40, yMm: 40, areaCm2: 2, kpa: hand(ms) }] : []), 4000);
    expect(Math.abs(blindPress(trace)! / 30 - 1)).toBeLessThan(0.12);
    expect(blindPress(traceOf(() => [], 3000))).toBeNull();
  });
  test.each<[number, Pressure, string]>([
    [50, 'medium', 'in-aim'],
    [69, 'medium', 'in-word'],
    [70.1, 'medium', 'too-hard'],
    [14.9, 'medium', 'too-soft'],
    [5, 'light', 'in-aim'],
    [12, 'light', 'in-word'],
  ])('%d kPa asked as %s is %s', (kpa, word, fit) => expect(wordFit(kpa, word)).toBe(fit));
  test('is judged by what the practice agreed on', () => {
    expect(wordFit(31, 'medium')).toBe('in-word');
    expect(wordFit(31, 'medium', { medium: 30 })).toBe('in-aim');
  });
});

describe('words that are learned', () => {
  test('one that was missed comes back before one that was met', () => {
    const cards = wordCards([press('light', 5, 3), press('firm', 50, 3)]);
    expect(cards.firm!.due.getTime()).toBeLessThan(cards.light!.due.getTime());
  });
  test('what is due is asked first, two words at a time, never the same twice', () => {
    expect(wordsToAsk({}, NOW)).toEqual(['feather', 'light']);
    const cards = wordCards(PRESSURES.map((p) => press(p, p === 'firm' ? 300 : PRESSURE_KPA[p].nominal, 1)));
    const [first, second] = wordsToAsk(cards, NOW);
    expect(first).toBe('firm');
    expect(second).not.toBe('firm');
  });
  test('ten of a word count: how many fell in, and which way the others', () => {
    const presses = [
      ...Array.from({ length: 8 }, () => press('deep', 20)),
      ...[150, 160, 170, 140, 130, 150, 210, 220, 230, 240].map((kpa) => press('deep', kpa)),
    ];
    expect(latestOf(presses, 'deep')).toHaveLength(10);
    expect(wordKnown(presses, 'deep')).toEqual({ presses: 10, within: 6, leans: 'hard' });
    expect(wordKnown([press('light', 1), press('light', 20)], 'light')).toMatchObject({ within: 0, leans: null });
    expect(wordKnown([], 'light')).toEqual({ presses: 0, within: 0, leans: null });
  });
});

describe('a practice', () => {
  test('is told nothing of fewer than five presses', () => {
    expect(wordLevel([50, 51, 52, 50])).toBeNull();
    expect(wordApart([50, 51, 52, 50], [50, 51, 52, 50, 49])).toBeNull();
    expect(wordApart([50, 51, 52, 50, 49], [50, 51, 52, 50])).toBeNull();
  });
  test('two that press alike: 1 lies in the interval; twice as hard: it does not', () => {
    const one = [48, 50, 53, 47, 51];
    const like = wordApart(one, [50, 49, 52, 47, 50])!;
    expect(like.least).toBeLessThan(1);
    expect(like.most).toBeGreaterThan(1);
    expect(
      wordApart(
        one,
        one.map((k) => 2 * k),
      )!.value,
    ).toBeCloseTo(2, 10);
    expect(wordApart([50, 50, 50, 50, 50], [60, 60, 60, 60, 60])).toMatchObject({ least: expect.closeTo(1.2, 9) });
  });
  test('can agree on what lies midway, with two people at least, and never outside the word', () => {
    expect(scaleFor('medium', [40])).toBeNull();
    expect(scaleFor('medium', [40, 62.5])).toBe(50);
    fc.assert(
      fc.property(
        fc.constantFrom(...PRESSURES),
        fc.array(fc.double({ min: 0.1, max: 400, noNaN: true }), { minLength: 2, maxLength: 6 }),
        (word, levels) => {
          const agreed = scaleFor(word, levels)!;
          expect(agreed).toBeGreaterThanOrEqual(PRESSURE_KPA[word].least);
          expect(agreed).toBeLessThanOrEqual(PRESSURE_KPA[word].most);
        },
      ),
    );
  });
});

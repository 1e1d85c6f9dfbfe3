import { describe, expect, test } from 'vitest';
import { placeKey, spotOf, type View } from '../../parts/chart/places';
import { judgeOnView, questionPlace, QUESTIONS, type Answered } from './questions';

const question = (key: string) => QUESTIONS.find((q) => q.key === key)!;
const judged = (key: string, side: 'left' | 'right', view: View, dx = 0, dy = 0) => {
  const spot = spotOf(questionPlace(question(key), side), view)!;
  return judgeOnView(question(key), side, view, spot.x + dx, spot.y + dy);
};

describe('a mark on a view', () => {
  test.each<[string, View]>([
    ['point:ST6', 'opened'],
    ['point:ST6', 'left'],
    ['muscle:masseter-superficial', 'opened'],
    ['point:LI4', 'backs'],
    ['node:supraclavicular', 'front'],
  ])('on %s in the view %s itself is no error, on either side', (key, view) => {
    for (const side of ['left', 'right'] as const) {
      if (!spotOf(questionPlace(question(key), side), view)) continue;
      const answer = judged(key, side, view) as Answered;
      expect(answer.errorMm).toBeLessThan(1.5);
      expect(answer).toMatchObject({ grade: 'easy', takenFor: null, otherSide: false });
    }
  });
  test('is measured over the skin: to the side 15 px of the opened face are more than the 10 mm of a flat sheet', () => {
    const up = judged('point:TE17', 'left', 'opened', 0, -15) as Answered;
    const aside = judged('point:TE17', 'left', 'opened', -15, 0) as Answered;
    expect(up.errorMm).toBeGreaterThan(9.5);
    expect(aside.errorMm).toBeGreaterThan(1.3 * up.errorMm);
  });
  test('on the other side of the client is told, and far off', () => {
    const spot = spotOf(questionPlace(question('point:ST6'), 'right'), 'opened')!;
    const answer = judgeOnView(question('point:ST6'), 'left', 'opened', spot.x, spot.y) as Answered;
    expect(answer.otherSide).toBe(true);
    expect(answer.errorMm).toBeGreaterThan(100);
    expect(answer.grade).toBe('again');
  });
  test('nearer to a neighbour names it', () => {
    const st7 = spotOf(questionPlace(question('point:ST7'), 'left'), 'opened')!;
    const answer = judgeOnView(question('point:ST6'), 'left', 'opened', st7.x, st7.y) as Answered;
    expect(answer.takenFor).toBe(placeKey(questionPlace(question('point:ST7'), 'left')));
    expect(['hard', 'again']).toContain(answer.grade);
  });
  test('where the place is hidden, or beside the body, is not counted', () => {
    expect(judgeOnView(question('point:GB20'), 'left', 'front', 200, 200)).toBe('hidden');
    expect(judgeOnView(question('point:ST6'), 'left', 'opened', 3, 30)).toBe('beside');
  });
});

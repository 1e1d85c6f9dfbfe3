import { describe, expect, test } from 'vitest';
import { placeKey, spotOf, VIEWS, type View } from '../../parts/chart/places';
import FIBRES from '../../../reference/derived/fibres.json';
import { EDGE_MUSCLES, nearEdge, type Outlines } from './edges';
import { judgeOnView, questionPlace, QUESTIONS, SETS, type Answered } from './questions';

const OUTLINES = FIBRES as Outlines;

const question = (key: string) => QUESTIONS.find((q) => q.key === key)!;
const judged = (key: string, side: 'left' | 'right', view: View, dx = 0, dy = 0) => {
  const spot = spotOf(questionPlace(question(key), side), view)!;
  return judgeOnView(question(key), side, view, spot.x + dx, spot.y + dy, OUTLINES);
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
    const answer = judgeOnView(question('point:ST6'), 'left', 'opened', spot.x, spot.y, OUTLINES) as Answered;
    expect(answer.otherSide).toBe(true);
    expect(answer.errorMm).toBeGreaterThan(100);
    expect(answer.grade).toBe('again');
  });
  test('nearer to a neighbour names it', () => {
    const st7 = spotOf(questionPlace(question('point:ST7'), 'left'), 'opened')!;
    const answer = judgeOnView(question('point:ST6'), 'left', 'opened', st7.x, st7.y, OUTLINES) as Answered;
    expect(answer.takenFor).toBe(placeKey(questionPlace(question('point:ST7'), 'left')));
    expect(['hard', 'again']).toContain(answer.grade);
  });
  test('where the place is hidden, or beside the body, is not counted', () => {
    expect(judgeOnView(question('point:GB20'), 'left', 'front', 200, 200, OUTLINES)).toBe('hidden');
    expect(judgeOnView(question('point:ST6'), 'left', 'opened', 3, 30, OUTLINES)).toBe('beside');
  });
});

describe('the border of a muscle', () => {
  const onBorder = (muscle: string, view: View) => nearEdge(OUTLINES, muscle, 'left', view, 0, 0)[0]!;
  test('is asked of muscles that are drawn, on both sides', () => {
    for (const id of EDGE_MUSCLES)
      for (const side of ['left', 'right'])
        expect(Object.keys(OUTLINES[`${id}.${side}`] ?? {}).length, id).toBeGreaterThan(0);
    expect(QUESTIONS.filter((q) => q.kind === 'edge').map((q) => q.id)).toEqual(
      [...EDGE_MUSCLES].sort((a, b) => QUESTIONS.findIndex((q) => q.id === a) - QUESTIONS.findIndex((q) => q.id === b)),
    );
  });
  test.each(['masseter-superficial', 'scm-sternal', 'trapezius-upper'])(
    'a mark on that of %s is no error, wherever on it',
    (id) => {
      const spot = onBorder(id, 'left');
      const answer = judgeOnView(question(`edge:${id}`), 'left', 'left', spot.x, spot.y, OUTLINES) as Answered;
      expect(answer).toMatchObject({ grade: 'easy', otherSide: false });
      expect(answer.errorMm).toBeLessThan(0.5);
    },
  );
  test('the middle of the belly lies off it, by about half of its width, over the skin', () => {
    const middle = spotOf(questionPlace(question('muscle:masseter-superficial'), 'left'), 'left')!;
    const answer = judgeOnView(
      question('edge:masseter-superficial'),
      'left',
      'left',
      middle.x,
      middle.y,
      OUTLINES,
    ) as Answered;
    expect(answer.errorMm).toBeGreaterThan(8);
    expect(answer.errorMm).toBeLessThan(25);
    expect(Math.hypot(answer.target.x - middle.x, answer.target.y - middle.y)).toBeGreaterThan(8);
  });
  test('on the other side of the client is told', () => {
    const right = nearEdge(OUTLINES, 'masseter-superficial', 'right', 'front', 0, 200)[0]!;
    const answer = judgeOnView(
      question('edge:masseter-superficial'),
      'left',
      'front',
      right.x,
      right.y,
      OUTLINES,
    ) as Answered;
    expect(answer).toMatchObject({ otherSide: true, grade: 'again' });
  });
  test('where the muscle is not drawn, or beside the body, nothing is counted', () => {
    expect(judgeOnView(question('edge:trapezius-upper'), 'left', 'front', 200, 200, OUTLINES)).toBe('hidden');
    expect(judgeOnView(question('edge:masseter-superficial'), 'left', 'left', 3, 3, OUTLINES)).toBe('beside');
  });
});

test('every set asks for something, the back and the hands among them, and none for a place that no view shows', () => {
  for (const { id, has } of SETS) {
    const asked = QUESTIONS.filter(has);
    expect(asked.length, id).toBeGreaterThan(2);
    for (const q of asked)
      expect(
        VIEWS.some((v) => spotOf(questionPlace(q, 'left'), v)),
        `${id} ${q.key}`,
      ).toBe(true);
  }
});

import { expect, test } from 'vitest';
import { bareStep, hold, routineOf } from '../../tests/support/routines.ts';
import { madeUp, makeableUp } from './make-up.ts';
import { stepsOf } from './model.ts';

const step = (id: string, mode: 'each' | 'together' | 'left') => bareStep(id, [hold(30)], { mode });
const lack = (seconds: number) => [{ technique: step('a', 'each').technique, side: 'right' as const, seconds }];

test('one more set on the side that lacked it, with the reason in words, and no other step touched', () => {
  const before = routineOf([step('a', 'each'), step('b', 'each')]);
  const [a, b] = stepsOf(madeUp(before, lack(30)));
  expect(a!.sides.extra).toEqual({
    side: 'right',
    sets: 1,
    reason: 'The client’s right got 0:30 less of it last time.',
  });
  expect(b).toEqual(stepsOf(before)[1]);
});
test('not where a set is far more than what was lacking, where both sides go at once, or where one has an extra set', () => {
  expect(makeableUp(routineOf([step('a', 'each')]), lack(14))).toEqual([]);
  for (const mode of ['together', 'left'] as const)
    expect(makeableUp(routineOf([step('a', mode)]), lack(30))).toEqual([]);
  const once = madeUp(routineOf([step('a', 'each')]), lack(30));
  expect(madeUp(once, lack(30))).toEqual(once);
  expect(makeableUp(routineOf([]), lack(30))).toEqual([]);
});

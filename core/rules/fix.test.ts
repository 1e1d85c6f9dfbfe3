import { routineSeconds, stepsOf, type Routine } from '../routine/index.ts';
import { describe, expect, test } from 'vitest';
import { bareStep, hold, routineFrom, routineOf } from '../../tests/support/routines.ts';
import { CATALOGUE } from '../../reference/catalogue.ts';
import { applyFix, mirrorDrainage } from './fix.ts';

const abc = routineOf(['a', 'b', 'c'].map((id) => bareStep(id, [hold(10)])));
const ids = (r: Routine) =>
  stepsOf(r)
    .map((s) => s.id)
    .join('');
const techniques = (r: Routine) => stepsOf(r).map((s) => s.technique);

describe('fixes', () => {
  test('pressure, contact, sides', () => {
    expect(
      stepsOf(applyFix(abc, { do: 'set-pressure', stepId: 'b', pressure: 'feather' }, CATALOGUE))[1]!.pressure,
    ).toEqual({ there: 'feather', back: null });
    expect(stepsOf(applyFix(abc, { do: 'set-contact', stepId: 'b', contact: 'knuckles' }, CATALOGUE))[1]!.contact).toBe(
      'knuckles',
    );
    expect(stepsOf(applyFix(abc, { do: 'each-side', stepId: 'a' }, CATALOGUE))[0]!.sides.mode).toBe('each');
  });
  test('a fix for a step that is gone changes nothing', () =>
    expect(ids(applyFix(abc, { do: 'remove', stepId: 'z' }, CATALOGUE))).toBe('abc'));
  test('evening out takes away extra sets without a reason, keeps those with one', () => {
    const extra = (reason: string) =>
      routineOf([
        {
          ...bareStep('a', [hold(10)], { mode: 'each' }),
          sides: {
            mode: 'each',
            first: 'left',
            sets: 1,
            extra: { side: 'left', sets: 1, reason },
            sequence: 'side-complete',
          },
        },
      ]);
    expect(stepsOf(applyFix(extra(''), { do: 'even-sides' }, CATALOGUE))[0]!.sides.extra).toBeNull();
    expect(stepsOf(applyFix(extra('sorer'), { do: 'even-sides' }, CATALOGUE))[0]!.sides.extra?.sets).toBe(1);
  });
  test('a place that is never touched is dropped', () => {
    const r = routineOf([
      {
        ...bareStep('a', [hold(5)]),
        path: [
          { kind: 'keep-off', id: 'jaw-joint' },
          { kind: 'point', id: 'ST6' },
        ],
      },
    ]);
    expect(stepsOf(applyFix(r, { do: 'drop-place', stepId: 'a' }, CATALOGUE))[0]!.path).toEqual([
      { kind: 'point', id: 'ST6' },
    ]);
  });
  test('drainage is closed in reverse, the collarbone last', () => {
    const r = routineFrom(['collarbone-pump', 'neck-side-drain-pads', 'ear-v-drain', 'temple-circles']);
    expect(techniques(mirrorDrainage(r, CATALOGUE))).toEqual([
      'collarbone-pump',
      'neck-side-drain-pads',
      'ear-v-drain',
      'temple-circles',
      'ear-v-drain',
      'neck-side-drain-pads',
      'terminus-close',
    ]);
  });
  test('shortening fits the time and keeps every step', () => {
    const r = routineFrom(
      ['masseter-warm-hold', 'stay-masseter-superficial', 'masseter-pin-open', 'temple-circles', 'pulse-ST6'],
      { budgetMinutes: 3 },
    );
    expect(routineSeconds(r)).toBeGreaterThan(180);
    const shorter = applyFix(r, { do: 'shorten-to-budget' }, CATALOGUE);
    expect(routineSeconds(shorter)).toBeLessThanOrEqual(180);
    expect(techniques(shorter)).toEqual(techniques(r));
  });
  test('what cannot be shortened enough stays at its floor', () => {
    const r = routineOf([bareStep('a', [hold(12)]), bareStep('b', [hold(120)])], { budgetMinutes: 1 });
    const floor = applyFix({ ...r, budgetMinutes: 1 / 6 }, { do: 'shorten-to-budget' }, CATALOGUE);
    expect(routineSeconds(floor)).toBe(20);
  });
});

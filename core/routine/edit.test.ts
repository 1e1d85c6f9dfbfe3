import { describe, expect, test } from 'vitest';
import { bareStep, hold, routineFrom, routineOf, stepOf } from '../../tests/support/routines.ts';
import { CATALOGUE } from '../../reference/catalogue.ts';
import {
  applyFix,
  freshId,
  insertStep,
  mirrorDrainage,
  moveStep,
  removeStep,
  replaceStep,
  usualIndex,
} from './edit.ts';
import { routineSeconds } from './timing.ts';
import { ribbonOf } from './ribbon.ts';
import { expandRoutine } from './cues.ts';

const abc = routineOf(['a', 'b', 'c'].map((id) => bareStep(id, [hold(10)])));
const ids = (r: { steps: { id: string }[] }) => r.steps.map((s) => s.id).join('');
const techniques = (r: { steps: { technique: string }[] }) => r.steps.map((s) => s.technique);

describe('edits leave the old routine as it was', () => {
  test('move', () => {
    expect(ids(moveStep(abc, 'a', 2))).toBe('bca');
    expect(ids(moveStep(abc, 'c', -5))).toBe('cab');
    expect(ids(moveStep(abc, 'a', 99))).toBe('bca');
    expect(moveStep(abc, 'nobody', 0)).toBe(abc);
    expect(ids(abc)).toBe('abc');
  });
  test('insert, remove, replace', () => {
    expect(ids(insertStep(abc, bareStep('x', [hold(1)]), 1))).toBe('axbc');
    expect(ids(removeStep(abc, 'b'))).toBe('ac');
    expect(replaceStep(abc, 'b', (s) => ({ ...s, note: 'n' })).steps.map((s) => s.note)).toEqual(['', 'n', '']);
  });
  test('a fresh id is not taken yet', () => {
    expect(freshId(abc)).toBe('s4');
    expect(freshId(routineOf([bareStep('s2', [hold(1)])]))).toBe('s3');
    expect(freshId(routineOf([bareStep('s1', [hold(1)]), bareStep('s3', [hold(1)])]))).toBe('s4');
  });
});

describe('where a technique usually goes', () => {
  const r = routineFrom(['slow-breaths', 'collarbone-pump', 'skull-base-circles', 'temple-circles', 'terminus-close']);
  test('neck work goes before the release', () => expect(usualIndex(r, 'scm-pinch-walk', CATALOGUE)).toBe(3));
  test('a press goes after the release and before the closing', () =>
    expect(usualIndex(r, 'jaw-angle-press', CATALOGUE)).toBe(4));
  test('an unknown technique goes to the end', () => expect(usualIndex(r, 'nothing', CATALOGUE)).toBe(5));
});

describe('fixes', () => {
  test('pressure, contact, sides', () => {
    expect(applyFix(abc, { do: 'set-pressure', stepId: 'b', pressure: 'feather' }, CATALOGUE).steps[1]!.pressure).toBe(
      'feather',
    );
    expect(applyFix(abc, { do: 'set-contact', stepId: 'b', contact: 'knuckles' }, CATALOGUE).steps[1]!.contact).toBe(
      'knuckles',
    );
    expect(applyFix(abc, { do: 'each-side', stepId: 'a' }, CATALOGUE).steps[0]!.sides.mode).toBe('each');
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
    expect(applyFix(extra(''), { do: 'even-sides' }, CATALOGUE).steps[0]!.sides.extra).toBeNull();
    expect(applyFix(extra('sorer'), { do: 'even-sides' }, CATALOGUE).steps[0]!.sides.extra?.sets).toBe(1);
  });
  test('a place that is never touched is dropped', () => {
    const r = routineOf([
      {
        ...bareStep('a', [hold(5)]),
        places: [
          { kind: 'keep-off', id: 'jaw-joint' },
          { kind: 'point', id: 'ST6' },
        ],
      },
    ]);
    expect(applyFix(r, { do: 'drop-place', stepId: 'a' }, CATALOGUE).steps[0]!.places).toEqual([
      { kind: 'point', id: 'ST6' },
    ]);
  });
  test('drainage is closed in reverse, the collarbone last', () => {
    const r = routineFrom(['collarbone-pump', 'neck-side-drain', 'ear-v-drain', 'temple-circles']);
    expect(techniques(mirrorDrainage(r, CATALOGUE))).toEqual([
      'collarbone-pump',
      'neck-side-drain',
      'ear-v-drain',
      'temple-circles',
      'ear-v-drain',
      'neck-side-drain',
      'terminus-close',
    ]);
  });
  test('shortening fits the time and keeps every step', () => {
    const r = routineFrom(
      ['masseter-warm-hold', 'masseter-melt', 'masseter-pin-open', 'temple-circles', 'jaw-angle-press'],
      { budgetMinutes: 4 },
    );
    expect(routineSeconds(r)).toBeGreaterThan(240);
    const shorter = applyFix(r, { do: 'shorten-to-budget' }, CATALOGUE);
    expect(routineSeconds(shorter)).toBeLessThanOrEqual(240);
    expect(techniques(shorter)).toEqual(techniques(r));
  });
  test('what cannot be shortened enough stays at its floor', () => {
    const r = routineOf([bareStep('a', [hold(12)]), bareStep('b', [hold(120)])], { budgetMinutes: 1 });
    const floor = applyFix({ ...r, budgetMinutes: 1 / 6 }, { do: 'shorten-to-budget' }, CATALOGUE);
    expect(routineSeconds(floor)).toBe(20);
  });
});

describe('ribbon', () => {
  test('right above, left below, both symmetric, breath a wave, the midline on the line', () => {
    const r = routineOf([
      stepOf('slow-breaths', 'breath'),
      bareStep('right', [hold(10)], { mode: 'right', pressure: 'firm' }),
      bareStep('both', [hold(10)], { pressure: 'light' }),
      bareStep('mid', [hold(10)], { mode: 'midline', pressure: 'medium' }),
    ]);
    const { blocks } = ribbonOf(r, expandRoutine(r), CATALOGUE);
    const of = (id: string) => blocks.find((b) => b.stepId === id)!;
    expect(of('breath')).toMatchObject({ kind: 'breath', cycles: 6 });
    expect(of('right')).toMatchObject({ right: 4, left: 0, kind: 'pressure' });
    expect(of('both')).toMatchObject({ right: 2, left: 2 });
    expect(of('mid')).toMatchObject({ kind: 'midline' });
  });
  test('phases cover the whole routine in order', () => {
    const r = routineFrom(['slow-breaths', 'collarbone-pump', 'temple-circles', 'terminus-close']);
    const { phases, totalSeconds } = ribbonOf(r, expandRoutine(r), CATALOGUE);
    expect(phases.map((p) => p.name)).toEqual(['Breathe', 'Open', 'Release', 'Close']);
    expect(phases.at(-1)!.endSeconds).toBe(totalSeconds);
  });
});

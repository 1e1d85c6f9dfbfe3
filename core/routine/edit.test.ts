import { describe, expect, test } from 'vitest';
import { bareStep, hold, routineFrom, routineOf, stepOf } from '../../tests/support/routines.ts';
import { CATALOGUE } from '../../reference/catalogue.ts';
import { freshId, insertStep, mapSteps, moveStep, removeStep, replaceStep, usualIndex, withSides } from './edit.ts';
import { stepsOf, type Block, type Routine } from './model.ts';
import { ribbonOf } from './ribbon.ts';
import { expandRoutine } from './cues.ts';

const abc = routineOf(['a', 'b', 'c'].map((id) => bareStep(id, [hold(10)])));
const ids = (r: Routine) =>
  stepsOf(r)
    .map((s) => s.id)
    .join('');

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
    expect(stepsOf(replaceStep(abc, 'b', (s) => ({ ...s, note: 'n' }))).map((s) => s.note)).toEqual(['', 'n', '']);
  });
  test('a fresh id is not taken yet', () => {
    expect(freshId(abc)).toBe('s4');
    expect(freshId(routineOf([bareStep('s2', [hold(1)])]))).toBe('s3');
    expect(freshId(routineOf([bareStep('s1', [hold(1)]), bareStep('s3', [hold(1)])]))).toBe('s4');
  });
});

describe('where a technique usually goes', () => {
  const r = routineFrom([
    'slow-deep-breaths',
    'collarbone-pump',
    'skull-base-thumb-circles',
    'temple-circles',
    'terminus-close',
  ]);
  test('neck work goes before the release', () => expect(usualIndex(r, 'scm-pinch-walk', CATALOGUE)).toBe(3));
  test('a press goes after the release and before the closing', () =>
    expect(usualIndex(r, 'pulse-ST6', CATALOGUE)).toBe(4));
  test('an unknown technique goes to the end', () => expect(usualIndex(r, 'nothing', CATALOGUE)).toBe(5));
});

describe('ribbon', () => {
  test('right above, left below, both symmetric, breath a wave, the midline on the line', () => {
    const r = routineOf([
      stepOf('slow-deep-breaths', 'breath'),
      bareStep('right', [hold(10)], { mode: 'right', pressure: 'firm' }),
      bareStep('both', [hold(10)], { pressure: 'light' }),
      bareStep('mid', [hold(10)], { mode: 'midline', pressure: 'medium' }),
    ]);
    const { blocks } = ribbonOf(r, expandRoutine(r), CATALOGUE);
    const of = (id: string) => blocks.find((b) => b.stepId === id)!;
    expect(of('breath')).toMatchObject({ kind: 'breath', cycles: 3 });
    expect(of('right')).toMatchObject({ right: 4, left: 0, kind: 'pressure' });
    expect(of('both')).toMatchObject({ right: 2, left: 2 });
    expect(of('mid')).toMatchObject({ kind: 'midline' });
  });
  test('phases cover the whole routine in order', () => {
    const r = routineFrom(['slow-deep-breaths', 'collarbone-pump', 'temple-circles', 'terminus-close']);
    const { phases, totalSeconds } = ribbonOf(r, expandRoutine(r), CATALOGUE);
    expect(phases.map((p) => p.name)).toEqual(['Breathe', 'Open', 'Release', 'Close']);
    expect(phases.at(-1)!.endSeconds).toBe(totalSeconds);
  });
});

describe('edits reach into blocks', () => {
  const block = (id: string, steps: string[]): Block => ({
    kind: 'block',
    id,
    label: null,
    sides: 'sorer-first',
    steps: steps.map((s) => bareStep(s, [hold(10)], { mode: 'each' })),
  });
  const r = routineOf([bareStep('a', [hold(1)]), block('k', ['b', 'c']), bareStep('d', [hold(1)])]);
  /** Steps in order, those of a block in brackets. */
  const shape = (x: Routine) =>
    x.items.map((i) => (i.kind === 'block' ? `[${i.steps.map((s) => s.id).join('')}]` : i.id)).join('');
  test('replace and remove; a block goes with its last step', () => {
    expect(stepsOf(replaceStep(r, 'c', (s) => ({ ...s, note: 'n' }))).map((s) => s.note)).toEqual(['', '', 'n', '']);
    expect(shape(removeStep(r, 'b'))).toBe('a[c]d');
    expect(shape(removeStep(removeStep(r, 'b'), 'c'))).toBe('ad');
  });
  test('between two steps of a block one joins it, at its edge it stays outside', () => {
    const x = bareStep('x', [hold(1)]);
    expect([0, 1, 2, 3, 4].map((at) => shape(insertStep(r, x, at)))).toEqual([
      'xa[bc]d',
      'ax[bc]d',
      'a[bxc]d',
      'a[bc]xd',
      'a[bc]dx',
    ]);
  });
  test('moving into and out of a block', () => {
    expect(shape(moveStep(r, 'd', 2))).toBe('a[bdc]');
    expect(shape(moveStep(r, 'b', 0))).toBe('ba[c]d');
  });
  test('an id of a block is taken too', () => expect(freshId({ items: [block('s3', ['a', 'b'])] })).toBe('s4'));
  test('the sorer side is settled, and what was settled stays', () => {
    const sides = (x: Routine) => x.items.flatMap((i) => (i.kind === 'block' ? [i.sides] : []));
    expect(sides(withSides(r, 'right'))).toEqual(['right-then-left']);
    expect(sides(withSides(r, null))).toEqual(['left-then-right']);
    expect(sides(withSides(withSides(r, 'left'), 'right'))).toEqual(['left-then-right']);
  });
  test('every step is met once, with its index', () => {
    const met: string[] = [];
    mapSteps(r, (s, i) => (met.push(`${s.id}${i}`), s));
    expect(met).toEqual(['a0', 'b1', 'c2', 'd3']);
  });
});

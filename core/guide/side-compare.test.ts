import { expandRoutine, type Step } from '../routine/index.ts';
import { describe, expect, test } from 'vitest';
import { routineOf, stepOf } from '../../tests/support/routines.ts';
import { readGuideEvent, type GuideEvent } from './events.ts';
import { stateAt } from './machine.ts';
import { doneSideAt, readSideCompare, sideCompareWords, type SideCompare } from './side-compare.ts';

const cuesOf = (step: Step) => expandRoutine(routineOf([step]));
const seen: SideCompare = { doneSide: 'right', sameHead: true, sameLight: true, differs: ['jaw-ease', 'warmth'] };

describe('a comparison of the sides', () => {
  test('is read field by field', () => expect(readSideCompare({ ...seen, more: 1 })).toEqual(seen));
  test.each([
    undefined,
    null,
    '',
    7,
    {},
    { doneSide: 'both' },
    { ...seen, sameLight: 1 },
    { ...seen, differs: ['taller'] },
    { ...seen, differs: ['none', 'warmth'] },
  ])('%j is refused', (value) => expect(() => readSideCompare(value)).toThrow('event.compare'));
  test('is told in words; unequal conditions take its weight', () => {
    expect(sideCompareWords(seen)).toBe('After the client’s right: jaw easier, warmer.');
    expect(sideCompareWords({ ...seen, differs: ['none'] })).toBe('After the client’s right: no difference seen.');
    expect(sideCompareWords({ ...seen, sameHead: false, sameLight: false })).toContain(
      '(head held differently, light differed, so it counts little)',
    );
  });
});

const each = (first: 'left' | 'right', sequence: 'side-complete' | 'alternate' = 'side-complete') =>
  stepOf('masseter-pin-open', 's1', (s) => ({
    ...s,
    sides: { ...s.sides, mode: 'each', first, sets: 2, extra: null, sequence: sequence as typeof s.sides.sequence },
  }));

describe('which side is done', () => {
  test('between the sides, the first one is', () => {
    const cues = cuesOf(each('left'));
    const change = cues.findIndex((c) => c.kind === 'change-side');
    expect(change).toBeGreaterThan(0);
    expect(doneSideAt(cues, change)).toBe('left');
    expect(doneSideAt(cues, change - 1)).toBeNull();
    expect(doneSideAt(cues, 0)).toBeNull();
  });
  test('with both hands at once, or at the end, none is', () => {
    const both = cuesOf(stepOf('temple-circles', 's1', (s) => ({ ...s, sides: { ...s.sides, mode: 'together' } })));
    expect(both.map((c) => doneSideAt(both, c.index))).toEqual(both.map(() => null));
    const one = cuesOf(each('right'));
    expect(doneSideAt(one, one.length - 1)).toBeNull();
    expect(doneSideAt(one, 999)).toBeNull();
  });
});

describe('kept with the run', () => {
  const step = each('right');
  const cues = cuesOf(step);
  test('with its moment and step, and without moving the clock', () => {
    const log: GuideEvent[] = [
      { id: 'start-001', kind: 'start', atMs: 0 },
      { id: 'pause-001', kind: 'pause', atMs: 2000 },
      { id: 'look-0001', kind: 'compare', atMs: 5000, compare: seen },
      { id: 'resume-01', kind: 'resume', atMs: 9000 },
    ];
    const state = stateAt(cues, log, 10_000);
    expect(state.compares).toEqual([{ atMs: 5000, stepIndex: 0, ...seen }]);
    expect(state.stretches.reduce((sum, x) => sum + x.ms, 0)).toBe(3000);
  });
  test('an event that is none is refused at the door', () => {
    expect(() => readGuideEvent({ id: 'look-0001', kind: 'compare', atMs: 1, text: 'warmer' })).toThrow(
      'event.compare',
    );
    expect(() => readGuideEvent({ id: 'look-0001', kind: 'compare', atMs: 1 })).toThrow('event.compare');
    expect(readGuideEvent({ id: 'look-0001', kind: 'compare', atMs: 1, compare: seen }).kind).toBe('compare');
  });
});

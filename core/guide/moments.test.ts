import { expandRoutine } from '../routine/index.ts';
import { describe, expect, test } from 'vitest';
import { bareStep, beats, breath, hold, routineOf, stepOf } from '../../tests/support/routines.ts';
import type { GuideEvent } from './events.ts';
import { stateAt } from './machine.ts';
import { momentsAhead } from './moments.ts';
import { faceOf, nextWords } from './words.ts';

const start: GuideEvent = { id: 'start-event', kind: 'start', atMs: 10_000 };
const run = (steps: Parameters<typeof routineOf>[0], nowMs: number, more: GuideEvent[] = []) => {
  const routine = routineOf(steps);
  const cues = expandRoutine(routine);
  return {
    cues,
    routine,
    state: stateAt(cues, [start, ...more], nowMs),
  };
};

describe('moments ahead', () => {
  test('beats come at start + k × interval on the clock of the guide', () => {
    const { cues, state } = run([bareStep('a', [beats(10, 30)])], 10_500);
    expect(momentsAhead(cues, state, 5000).map((m) => [m.kind, m.atMs, m.count])).toEqual([
      ['beat', 12_000, 2],
      ['beat', 14_000, 3],
    ]);
  });
  test('an odd tempo adds up to nothing', () => {
    const { cues, state } = run([bareStep('a', [beats(100, 45)])], 10_001);
    const all = momentsAhead(cues, state, 200_000).filter((m) => m.kind === 'beat');
    expect(all.at(-1)!.atMs).toBeCloseTo(10_000 + 99 * (60_000 / 45), 6);
  });
  test('the next cue is foreseen across the border, and the end too', () => {
    const { cues, state } = run([bareStep('a', [hold(10)]), bareStep('b', [hold(5)])], 19_500);
    expect(momentsAhead(cues, state, 10_000).map((m) => [m.kind, m.atMs])).toEqual([
      ['cue', 20_000],
      ['done', 25_000],
    ]);
  });
  test('three seconds are counted down where nothing else is counted', () => {
    const { cues, state } = run([bareStep('a', [hold(20)])], 10_500);
    expect(momentsAhead(cues, state, 19_400).map((m) => [m.kind, m.count, m.atMs])).toEqual([
      ['countdown', 3, 27_000],
      ['countdown', 2, 28_000],
      ['countdown', 1, 29_000],
    ]);
  });
  test('an extended cue goes on beating and ends later', () => {
    const { cues, state } = run([bareStep('a', [beats(5, 30)])], 11_000, [
      { id: 'extend-1', kind: 'extend', atMs: 11_000 },
    ]);
    const moments = momentsAhead(cues, state, 60_000);
    expect(moments.filter((m) => m.kind === 'beat').length).toBe(9);
    expect(moments.at(-1)).toMatchObject({ kind: 'done', atMs: 30_000 });
  });
  test('breath phases are moments', () => {
    const { cues, state } = run([bareStep('a', [breath(1, 4, 6)])], 10_001);
    expect(momentsAhead(cues, state, 9000).map((m) => [m.breath, m.atMs])).toEqual([['out', 14_000]]);
  });
  test('an open dose tells its usual length and ends by itself at its most', () => {
    const open = bareStep('a', [
      { kind: 'open', until: 'it softens', usualSeconds: 20, leastSeconds: 5, mostSeconds: 30 },
    ]);
    const { cues, state } = run([open], 10_001);
    expect(momentsAhead(cues, state, 60_000).map((m) => [m.kind, m.atMs])).toEqual([
      ['usual', 30_000],
      ['done', 40_000],
    ]);
  });
  test('the other side is told five seconds before it comes, in work that is long enough, and only there', () => {
    const soon = (seconds: number, mode: 'each' | 'together') => {
      const { cues, state } = run([bareStep('a', [hold(seconds)], { mode, pauses: { sideChangeSeconds: 3 } })], 10_001);
      return momentsAhead(cues, state, 90_000).flatMap((m) => (m.kind === 'side-soon' ? [m.atMs] : []));
    };
    expect(soon(20, 'each')).toEqual([25_000]);
    expect(soon(10, 'each')).toEqual([]);
    expect(soon(20, 'together')).toEqual([]);
  });
  test('paused, nothing lies ahead', () => {
    const { cues, state } = run([bareStep('a', [hold(20)])], 12_000, [{ id: 'pause-01', kind: 'pause', atMs: 11_000 }]);
    expect(momentsAhead(cues, state, 60_000)).toEqual([]);
  });
  test('looking twice gives the same ids', () => {
    const a = run([bareStep('a', [beats(10, 30)])], 10_500);
    const b = run([bareStep('a', [beats(10, 30)])], 10_700);
    expect(momentsAhead(b.cues, b.state, 5000)[0]!.id).toBe(momentsAhead(a.cues, a.state, 5000)[0]!.id);
  });
});

describe('what is shown', () => {
  test('beats show their number and pace', () => {
    const { cues, state } = run([bareStep('a', [beats(10, 10, { unit: 'openings' })], { sets: 2 })], 10_000 + 7000);
    expect(faceOf(cues[state.cueIndex]!, state)).toEqual({
      big: '2',
      line: 'of 10 openings',
      under: 'set 1 of 2, one every 6 s, 0:53 left',
    });
  });
  test('a fast tempo is told by the minute', () => {
    const { cues, state } = run([bareStep('a', [beats(10, 60)])], 10_000);
    expect(faceOf(cues[state.cueIndex]!, state).under).toContain('60 a minute');
  });
  test('holds count down in whole seconds', () => {
    const { cues, state } = run([bareStep('a', [hold(20)])], 10_100);
    expect(faceOf(cues[state.cueIndex]!, state)).toMatchObject({ big: '20', line: 'hold, seconds left' });
  });
  test('breath says in and out', () => {
    const breathing = [bareStep('a', [breath(2, 4, 6)])];
    expect(faceOf(...first(run(breathing, 11_000)))).toMatchObject({ big: '3', line: 'breathe in' });
    expect(faceOf(...first(run(breathing, 15_000)))).toMatchObject({ big: '5', line: 'breathe out' });
  });
  test('a hold is called as the school calls it', () => {
    const holding = first(run([bareStep('a', [hold(10)])], 11_000));
    expect(faceOf(...holding).line).toBe('hold, seconds left');
    expect(faceOf(...holding, 'stay on the zone').line).toBe('stay on the zone, seconds left');
  });
  test('an open dose says what it waits for', () => {
    const open = [
      bareStep('a', [{ kind: 'open', until: 'it softens', usualSeconds: 45, leastSeconds: 15, mostSeconds: 90 }]),
    ];
    expect(faceOf(...first(run(open, 11_000)))).toEqual({
      big: '1',
      line: 'wait until it softens',
      under: '',
    });
  });
  const first = ({ cues, state }: ReturnType<typeof run>) => [cues[state.cueIndex]!, state] as const;
});

describe('what comes next', () => {
  const each = stepOf('scm-soft-massage', 'a');
  test('the other side, then the next step, then the end', () => {
    const steps = [each, bareStep('b', [hold(30)])];
    const name = (id: string) => `step ${id}`;
    const a = run(steps, 11_000);
    expect(nextWords(a.cues, a.state, name)).toBe('Same step, client’s right');
    const b = run(steps, 10_000 + 4000 + 24_000 + 4000 + 1000);
    expect(nextWords(b.cues, b.state, name)).toBe('step b, 0:30');
    const c = run(steps, 10_000 + 4000 + 24_000 + 4000 + 24_000 + 1000);
    expect(nextWords(c.cues, c.state, name)).toBe('That was the last step');
  });
});

import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { bareStep, beats, hold, routineOf } from '../../tests/support/routines.ts';
import { beatOnsetMs, breathPhases, expandRoutine, roundsOf } from './cues.ts';
import type { DosePart, Step } from './model.ts';
import { totalsOf } from './timing.ts';

const kinds = (step: Step) => expandRoutine(routineOf([step])).map((c) => c.kind);

describe('rounds', () => {
  const sides = (change: Partial<Step['sides']>): Step => ({
    ...bareStep('x', [hold(10)]),
    sides: { mode: 'each', first: 'left', sets: 2, extra: null, sequence: 'side-complete', ...change },
  });
  const of = (step: Step) =>
    roundsOf(step)
      .map((r) => `${r.side[0]}${r.set}/${r.sets}`)
      .join(' ');
  test('one side complete, then the other', () => expect(of(sides({}))).toBe('l1/2 l2/2 r1/2 r2/2'));
  test('the right may begin', () => expect(of(sides({ first: 'right' }))).toBe('r1/2 r2/2 l1/2 l2/2'));
  test('sides alternate set by set', () => expect(of(sides({ sequence: 'alternate' }))).toBe('l1/2 r1/2 l2/2 r2/2'));
  test('an extra set on one side', () =>
    expect(of(sides({ extra: { side: 'right', sets: 1, reason: '' } }))).toBe('l1/2 l2/2 r1/3 r2/3 r3/3'));
  test('alternating with an extra set ends on its side', () =>
    expect(of(sides({ sequence: 'alternate', extra: { side: 'right', sets: 1, reason: '' } }))).toBe(
      'l1/2 r1/3 l2/2 r2/3 r3/3',
    ));
  test('an extra set on the side that is not worked counts for nothing', () =>
    expect(of(sides({ mode: 'left', extra: { side: 'right', sets: 3, reason: '' } }))).toBe('l1/2 l2/2'));
  test('together and midline are single', () => {
    expect(of(sides({ mode: 'together' }))).toBe('b1/2 b2/2');
    expect(of(sides({ mode: 'midline' }))).toBe('m1/2 m2/2');
  });
});

describe('order of cues', () => {
  const pauses = {
    leadInSeconds: 4,
    restSeconds: 2,
    sideChangeSeconds: 3,
    directionChangeSeconds: 1,
    nextSpotSeconds: 2,
  };
  test('hold then pulse on two spots of both sides', () => {
    expect(kinds(bareStep('x', [hold(10), beats(10, 30)], { mode: 'each', spots: 2, pauses }))).toEqual([
      'move',
      'hold',
      'beats',
      'next-spot',
      'hold',
      'beats',
      'change-side',
      'hold',
      'beats',
      'next-spot',
      'hold',
      'beats',
      'done',
    ]);
  });
  test('circles both ways change direction between', () => {
    const cues = expandRoutine(
      routineOf([bareStep('x', [beats(5, 30, { directions: 2 })], { pauses, returnPressure: 'feather' })]),
    );
    expect(cues.map((c) => c.kind)).toEqual(['move', 'beats', 'change-direction', 'beats', 'done']);
    expect(cues.filter((c) => c.kind === 'beats').map((c) => [c.direction, c.pressure])).toEqual([
      [1, 'light'],
      [2, 'feather'],
    ]);
  });
  test('sets rest between, or swap hands', () => {
    expect(kinds(bareStep('x', [hold(5)], { sets: 2, pauses }))).toEqual(['move', 'hold', 'rest', 'hold', 'done']);
    expect(kinds(bareStep('x', [hold(5)], { sets: 2, pauses, swapHands: true }))).toEqual([
      'move',
      'hold',
      'swap-hands',
      'hold',
      'done',
    ]);
  });
  test('a count over the whole pass comes once, at the last spot', () => {
    expect(kinds(bareStep('x', [beats(6, 30, { per: 'pass' })], { spots: 3 }))).toEqual(['beats', 'done']);
  });
  test('repetitions that end in a hold', () =>
    expect(kinds(bareStep('x', [beats(10, 30), hold(10)]))).toEqual(['beats', 'hold', 'done']));
  test('an empty routine has no cues', () => expect(expandRoutine(routineOf([]))).toEqual([]));
  test('pauses of 0 leave no cue behind', () =>
    expect(kinds(bareStep('x', [hold(5)], { mode: 'each' }))).toEqual(['hold', 'hold', 'done']));
});

describe('bounds', () => {
  test('more than 120 minutes is refused, and the minutes are told', () => {
    const long = Array.from({ length: 13 }, (_, i) => bareStep(`s${i}`, [hold(600)]));
    expect(() => expandRoutine(routineOf(long))).toThrow(
      'steps: the routine runs 130 min; at most 120 min are accepted',
    );
  });
  test('120 minutes exactly is accepted', () =>
    expect(
      expandRoutine(routineOf(Array.from({ length: 12 }, (_, i) => bareStep(`s${i}`, [hold(600)])))).at(-1)?.endMs,
    ).toBe(7_200_000));
});

describe('breath', () => {
  const breath: DosePart = {
    kind: 'breath',
    cycles: 2,
    pattern: { inSeconds: 4, holdInSeconds: 0, outSeconds: 6, holdOutSeconds: 1 },
  };
  test('phases follow each other without gaps and leave out what has no length', () => {
    const [cue] = expandRoutine(routineOf([bareStep('x', [breath])]));
    expect(breathPhases(cue!).map((p) => [p.phase, p.startMs, p.endMs, p.cycle])).toEqual([
      ['in', 0, 4000, 1],
      ['out', 4000, 10_000, 1],
      ['hold-out', 10_000, 11_000, 1],
      ['in', 11_000, 15_000, 2],
      ['out', 15_000, 21_000, 2],
      ['hold-out', 21_000, 22_000, 2],
    ]);
  });
  test('other cues have no phases', () =>
    expect(breathPhases(expandRoutine(routineOf([bareStep('x', [hold(5)])]))[0]!)).toEqual([]));
});

describe('whatever the routine, the cue list is one unbroken line', () => {
  const part = fc.oneof(
    fc.record({ kind: fc.constant('hold' as const), seconds: fc.integer({ min: 1, max: 60 }) }),
    fc.record({
      kind: fc.constant('beats' as const),
      count: fc.integer({ min: 1, max: 30 }),
      countMost: fc.constant(null),
      perMinute: fc.integer({ min: 6, max: 180 }),
      unit: fc.constant('circles'),
      directions: fc.constantFrom(1 as const, 2 as const),
      per: fc.constantFrom('spot' as const, 'pass' as const),
    }),
    fc.record({
      kind: fc.constant('open' as const),
      until: fc.constant('it softens'),
      estimateSeconds: fc.integer({ min: 10, max: 40 }),
      leastSeconds: fc.constant(5),
      mostSeconds: fc.constant(90),
    }),
  );
  const step = fc.record({
    parts: fc.array(part, { minLength: 1, maxLength: 3 }),
    mode: fc.constantFrom('together' as const, 'midline' as const, 'each' as const, 'left' as const, 'right' as const),
    spots: fc.integer({ min: 1, max: 3 }),
    sets: fc.integer({ min: 1, max: 3 }),
    rest: fc.integer({ min: 0, max: 4 }),
  });
  const routine = fc
    .array(step, { minLength: 1, maxLength: 4 })
    .map((steps) =>
      routineOf(
        steps.map((s, i) =>
          bareStep(`s${i}`, s.parts, { ...s, pauses: { restSeconds: s.rest, sideChangeSeconds: s.rest } }),
        ),
      ),
    );

  test('each cue begins where the one before ended; totals are the sum', () => {
    fc.assert(
      fc.property(routine, (r) => {
        const cues = expandRoutine(r);
        let at = 0;
        for (const cue of cues) {
          expect(cue.startMs).toBe(at);
          expect(cue.endMs).toBeGreaterThanOrEqual(at);
          at = cue.endMs;
        }
        const totals = totalsOf(r.steps, cues);
        expect(totals.totalSeconds).toBeCloseTo(at / 1000, 9);
        expect(totals.stepSeconds.reduce((a, b) => a + b, 0)).toBeCloseTo(at / 1000, 6);
        expect(totals.rangeSeconds.least).toBeLessThanOrEqual(totals.totalSeconds + 1e-6);
        expect(totals.rangeSeconds.most).toBeGreaterThanOrEqual(totals.totalSeconds - 1e-6);
      }),
      { numRuns: 200 },
    );
  });

  test('beats never leave their cue', () => {
    fc.assert(
      fc.property(routine, (r) => {
        for (const cue of expandRoutine(r))
          if (cue.beats) expect(beatOnsetMs(cue, cue.beats.count - 1)).toBeLessThan(cue.endMs);
      }),
    );
  });

  test('one side after the other gives both sides the same time', () => {
    fc.assert(
      fc.property(fc.array(part, { minLength: 1, maxLength: 3 }), fc.integer({ min: 1, max: 3 }), (parts, sets) => {
        const r = routineOf([bareStep('x', parts, { mode: 'each', sets })]);
        const { left, right } = totalsOf(r.steps, expandRoutine(r)).workSeconds;
        expect(left).toBeCloseTo(right, 9);
      }),
    );
  });
});

describe('totals', () => {
  test('"up to" counts widen the range, the total stays at the count', () => {
    const r = routineOf([bareStep('x', [beats(5, 30, { countMost: 30 })])]);
    expect(totalsOf(r.steps, expandRoutine(r))).toMatchObject({
      totalSeconds: 10,
      rangeSeconds: { least: 10, most: 60 },
    });
  });
  test('open doses count at their estimate', () => {
    const r = routineOf([
      bareStep('x', [{ kind: 'open', until: 'it softens', estimateSeconds: 45, leastSeconds: 15, mostSeconds: 90 }]),
    ]);
    expect(totalsOf(r.steps, expandRoutine(r))).toMatchObject({
      totalSeconds: 45,
      rangeSeconds: { least: 15, most: 90 },
    });
  });
  test('work on both sides at once counts for both, the midline for neither', () => {
    const r = routineOf([
      bareStep('a', [hold(30)]),
      bareStep('b', [hold(20)], { mode: 'midline' }),
      bareStep('c', [hold(10)], { mode: 'left' }),
    ]);
    expect(totalsOf(r.steps, expandRoutine(r)).workSeconds).toEqual({ left: 40, right: 30, midline: 20 });
  });
});

import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { bareStep, beats, breath, hold, routineOf, stepOf } from '../../tests/support/routines.ts';
import { beatOnsetMs, breathPhases, expandRoutine, alongPath, WORKING } from './cues.ts';
import { stepsOf, type Block, type DosePart, type Step } from './model.ts';
import { totalsOf } from './timing.ts';

const kinds = (step: Step) => expandRoutine(routineOf([step])).map((c) => c.kind);

describe('rounds', () => {
  const sides = (change: Partial<Step['sides']>): Step => ({
    ...bareStep('x', [hold(10)]),
    sides: { mode: 'each', first: 'left', sets: 2, extra: null, sequence: 'side-complete', ...change },
  });
  const of = (step: Step) =>
    expandRoutine(routineOf([step]))
      .filter((c) => WORKING.has(c.kind))
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
    findPlaceSeconds: 4,
    restSeconds: 2,
    sideChangeSeconds: 3,
    directionChangeSeconds: 1,
    nextPlaceSeconds: 2,
    swapSeconds: 3,
  };
  test('hold then pulse on two places of both sides', () => {
    expect(kinds(bareStep('x', [hold(10), beats(10, 30)], { mode: 'each', places: 2, pauses }))).toEqual([
      'find-place',
      'hold',
      'beats',
      'next-place',
      'hold',
      'beats',
      'change-side',
      'hold',
      'beats',
      'next-place',
      'hold',
      'beats',
      'done',
    ]);
  });
  test('circles both ways change direction between', () => {
    const cues = expandRoutine(
      routineOf([
        {
          ...bareStep('x', [beats(5, 30)], { pauses, stroke: 'circles-both-ways' }),
          pressure: { there: 'light', back: 'feather' },
        },
      ]),
    );
    expect(cues.map((c) => c.kind)).toEqual(['find-place', 'beats', 'change-direction', 'beats', 'done']);
    expect(cues.filter((c) => c.kind === 'beats').map((c) => [c.way, c.pressure])).toEqual([
      ['there', 'light'],
      ['back', 'feather'],
    ]);
  });
  test('sets rest between, or swap hands', () => {
    expect(kinds(bareStep('x', [hold(5)], { sets: 2, pauses }))).toEqual([
      'find-place',
      'hold',
      'rest',
      'hold',
      'done',
    ]);
    expect(kinds(bareStep('x', [hold(5)], { sets: 2, pauses, swap: 'each-set' }))).toEqual([
      'find-place',
      'hold',
      'swap',
      'hold',
      'done',
    ]);
  });
  test('one pass over the path comes once, whatever the places', () => {
    const step = { ...bareStep('x', [beats(6, 30)], { places: 3 }) };
    expect(kinds({ ...step, dose: { ...step.dose, perPlace: false } })).toEqual(['beats', 'done']);
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
      'items: the routine runs 130 min; at most 120 min are accepted',
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
    phases: [
      { what: 'in', seconds: 4 },
      { what: 'out', seconds: 6 },
      { what: 'rest', seconds: 1 },
    ],
  };
  test('phases follow each other without gaps', () => {
    const [cue] = expandRoutine(routineOf([bareStep('x', [breath])]));
    expect(breathPhases(cue!).map((p) => [p.phase, p.startMs, p.endMs, p.cycle])).toEqual([
      ['in', 0, 4000, 1],
      ['out', 4000, 10_000, 1],
      ['rest', 10_000, 11_000, 1],
      ['in', 11_000, 15_000, 2],
      ['out', 15_000, 21_000, 2],
      ['rest', 21_000, 22_000, 2],
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
      count: fc.integer({ min: 1, max: 10 }),
      most: fc.constantFrom(null, 30),
      perMinute: fc.integer({ min: 20, max: 180 }),
      unit: fc.constant('circles'),
    }),
    fc.record({
      kind: fc.constant('open' as const),
      until: fc.constant('it softens'),
      usualSeconds: fc.integer({ min: 10, max: 40 }),
      leastSeconds: fc.constant(5),
      mostSeconds: fc.constant(90),
    }),
  );
  const step = fc.record({
    parts: fc.array(part, { minLength: 1, maxLength: 3 }),
    mode: fc.constantFrom('together' as const, 'midline' as const, 'each' as const, 'left' as const, 'right' as const),
    places: fc.integer({ min: 1, max: 3 }),
    stroke: fc.constantFrom('to-and-fro' as const, 'circles-both-ways' as const, 'in-place' as const),
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
        const totals = totalsOf(stepsOf(r).length, cues);
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
        const { left, right } = totalsOf(stepsOf(r).length, expandRoutine(r)).workSeconds;
        expect(left).toBeCloseTo(right, 9);
      }),
    );
  });
});

describe('totals', () => {
  test('"up to" counts widen the range, the total stays at the count', () => {
    const r = routineOf([bareStep('x', [beats(5, 30, { most: 30 })])]);
    expect(totalsOf(stepsOf(r).length, expandRoutine(r))).toMatchObject({
      totalSeconds: 10,
      rangeSeconds: { least: 10, most: 60 },
    });
  });
  test('open doses count at their estimate', () => {
    const r = routineOf([
      bareStep('x', [{ kind: 'open', until: 'it softens', usualSeconds: 45, leastSeconds: 15, mostSeconds: 90 }]),
    ]);
    expect(totalsOf(stepsOf(r).length, expandRoutine(r))).toMatchObject({
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
    const totals = totalsOf(stepsOf(r).length, expandRoutine(r));
    expect(totals.workSeconds).toEqual({ left: 40, right: 30, midline: 20 });
    expect(totals.handSeconds).toEqual({ left: 40, right: 30 });
  });
});

describe('the range of a routine', () => {
  test('is counted part by part: two parts that look alike keep their own', () => {
    // 5 and "5, up to 30" at 30 a minute: 20 s in all; the second may add 25 × 2 s.
    for (const parts of [
      [beats(5, 30), beats(5, 30, { most: 30 })],
      [beats(5, 30, { most: 30 }), beats(5, 30)],
    ]) {
      const r = routineOf([bareStep('x', parts)]);
      expect(totalsOf(1, expandRoutine(r)).rangeSeconds).toEqual({ least: 20, most: 70 });
    }
  });
});

describe('what a cue carries', () => {
  test('the part of the dose, the place, the way, and what body, still hand and swap do', () => {
    const [find, there, turn, back] = expandRoutine(
      routineOf([
        {
          ...bareStep('x', [beats(5, 30)], {
            stroke: 'one-way-then-other',
            swap: 'each-count',
            still: { contact: 'palm', place: { kind: 'region', id: 'forehead' } },
            body: { head: 'drops', jaw: 'wide', eyes: 'shut', tongue: 'palate' },
            pauses: { findPlaceSeconds: 4, directionChangeSeconds: 1 },
          }),
          pressure: { there: 'firm', back: 'feather' },
        },
      ]),
    );
    expect([find!.partIndex, there!.partIndex, turn!.partIndex, back!.partIndex]).toEqual([null, 0, null, 0]);
    expect([there!.way, turn!.way, back!.way]).toEqual(['there', 'back', 'back']);
    expect([there!.pressure, back!.pressure]).toEqual(['firm', 'feather']);
    expect(there).toMatchObject({ swap: 'each-count', still: { contact: 'palm' }, body: { jaw: 'wide' } });
  });
  test('a stroke to and fro knows both of its pressures', () => {
    const step = { ...bareStep('x', [beats(5, 30)], { stroke: 'to-and-fro' }), pressure: at('light', 'feather') };
    expect(expandRoutine(routineOf([step]))[0]).toMatchObject({
      pressure: 'light',
      pressureBack: 'feather',
      way: null,
    });
  });
  const at = (there: 'light', back: 'feather') => ({ there, back });
});

describe('where the contact is', () => {
  const path = (perPlace: boolean, stroke: Step['stroke'], parts: DosePart[]) => {
    const step = bareStep('x', parts, { places: 4, stroke });
    return expandRoutine(routineOf([{ ...step, dose: { ...step.dose, perPlace } }]));
  };
  test('place by place it stays', () => {
    const cues = path(true, 'in-place', [hold(4)]).filter((c) => WORKING.has(c.kind));
    expect(cues.map((c) => alongPath(c, 3000, 'in-place'))).toEqual([0, 1, 2, 3]);
  });
  test('one pass travels along the whole path once', () => {
    const [cue] = path(false, 'one-way', [hold(8)]);
    expect([0, 2000, 4000, 8000, 9000].map((ms) => alongPath(cue!, ms, 'one-way'))).toEqual([0, 0.75, 1.5, 3, 3]);
  });
  test('counted strokes travel once a count; to and fro comes back', () => {
    const [one] = path(false, 'one-way', [beats(5, 15)]);
    expect([0, 1000, 3000, 4000, 5000].map((ms) => alongPath(one!, ms, 'one-way'))).toEqual([0, 0.75, 2.25, 0, 0.75]);
    const [fro] = path(false, 'to-and-fro', [beats(5, 15)]);
    expect([0, 1000, 2000, 3000, 4000].map((ms) => alongPath(fro!, ms, 'to-and-fro'))).toEqual([0, 1.5, 3, 1.5, 0]);
  });
  test('the other way walks the path backward', () => {
    const cues = path(false, 'one-way-then-other', [beats(1, 15)]);
    expect(alongPath(cues[1]!, 0, 'one-way-then-other')).toBe(3);
    expect(alongPath(cues[1]!, 2000, 'one-way-then-other')).toBe(1.5);
  });
});

describe('a block', () => {
  const pauses = { findPlaceSeconds: 1, sideChangeSeconds: 4 };
  const block = (sides: Block['sides'], steps: Step[]): Block => ({
    kind: 'block',
    id: 'b',
    label: null,
    sides,
    steps,
  });
  const each = (id: string) => bareStep(id, [hold(10)], { mode: 'each', pauses });
  const walk = (b: Block, sorer?: 'left' | 'right') =>
    expandRoutine({ items: [b] }, sorer)
      .filter((c) => WORKING.has(c.kind) || c.kind === 'change-side')
      .map((c) => (c.kind === 'change-side' ? '|' : `${c.stepId}${c.side[0]}`))
      .join(' ');
  test('does all of one side, then all of the other', () => {
    expect(walk(block('left-then-right', [each('x'), each('y')]))).toBe('xl yl | xr yr');
    expect(walk(block('right-then-left', [each('x'), each('y')]))).toBe('xr yr | xl yl');
  });
  test('begins on the sorer side, the left where nobody knows', () => {
    expect(walk(block('sorer-first', [each('x')]), 'right')).toBe('xr | xl');
    expect(walk(block('sorer-first', [each('x')]))).toBe('xl | xr');
  });
  test('what is not one-sided is done once, first; one side alone stays with its side', () => {
    const mid = bareStep('m', [hold(5)], { mode: 'midline' });
    const right = bareStep('r', [hold(5)], { mode: 'right' });
    expect(walk(block('left-then-right', [each('x'), mid, right]))).toBe('mm xl | xr rr');
  });
  test('counts as much as its steps alone, but for the changes of side', () => {
    const steps = [each('x'), each('y')];
    const alone = totalsOf(2, expandRoutine({ items: steps })).totalSeconds;
    const together = totalsOf(2, expandRoutine({ items: [block('left-then-right', steps)] })).totalSeconds;
    // Alone: two changes of 4 s and two places found. In a block: one change, and each place is found on either side.
    expect([alone, together]).toEqual([2 * (1 + 10 + 4 + 10), 2 * (1 + 10) + 4 + 2 * (1 + 10)]);
  });
  test('its cues know the block and the step among all steps', () => {
    const cues = expandRoutine({ items: [each('a'), block('left-then-right', [each('x'), each('y')]), each('z')] });
    expect([...new Set(cues.map((c) => `${c.stepId}${c.stepIndex}${c.blockIndex ?? '-'}`))]).toEqual([
      'a0-',
      'x11',
      'y21',
      'z3-',
    ]);
  });
});

test('the length of a step of the library does not depend on what stands before it', () => {
  const alone = totalsOf(1, expandRoutine({ items: [stepOf('pulse-ST6')] })).totalSeconds;
  const [, second] = totalsOf(2, expandRoutine({ items: [stepOf('temple-circles'), stepOf('pulse-ST6')] })).stepSeconds;
  expect(second).toBe(alone);
});

test('hands are on only while they hold, count or wait, with a contact that is a hand’s', () => {
  const r = routineOf([
    bareStep('a', [breath(2, 4, 6)]),
    bareStep('b', [hold(10), { kind: 'check', what: 'Look', seconds: 5 }], { pauses: { findPlaceSeconds: 4 } }),
    bareStep('c', [hold(20)], { contact: 'none', pressure: null }),
    bareStep('d', [hold(30)], { contact: 'tongue', pressure: null }),
  ]);
  expect(totalsOf(4, expandRoutine(r)).handSeconds).toEqual({ left: 10, right: 10 });
});

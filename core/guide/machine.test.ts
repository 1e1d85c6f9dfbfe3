import { advance, EXTEND_MS, type GuideState, initialState, shifted, stateAt, timeLeftMs } from './machine.ts';
import { expandRoutine } from '../routine/index.ts';
import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { cues, log, WHOLE_MS, type Pressed } from '../../tests/support/guide-log.ts';
import { bareStep, beats, hold, routineFrom, routineOf } from '../../tests/support/routines.ts';
import { payloadOf, readGuideEvent, type GuideEvent, type PlainKind } from './events.ts';

const at = (nowMs: number, ...events: Pressed[]) => stateAt(cues, log(...events), nowMs);

describe('time', () => {
  test('nothing moves before the start', () =>
    expect(at(9000)).toMatchObject({ status: 'ready', cueIndex: 0, intoMs: 0 }));
  test('the clock alone moves the guide', () => {
    expect(at(1000, ['start', 1000])).toMatchObject({ status: 'running', cueIndex: 0 });
    expect(at(6000, ['start', 1000])).toMatchObject({ cueIndex: 1, intoMs: 1000 });
    expect(cues[at(1000 + 4000 + 30_000 + 500, ['start', 1000]).cueIndex]!.kind).toBe('change-side');
  });
  test('it ends by itself, at the exact moment', () => {
    const state = at(1000 + WHOLE_MS + 5000, ['start', 1000]);
    expect(state).toMatchObject({ status: 'done', endedAtMs: 1000 + WHOLE_MS, startedAtMs: 1000 });
  });
  test('a pause stands still', () => {
    const state = at(60_000, ['start', 0], ['pause', 10_000]);
    expect(state).toMatchObject({ status: 'paused', cueIndex: 1, intoMs: 6000 });
    expect(at(60_000, ['start', 0], ['pause', 10_000], ['resume', 50_000])).toMatchObject({
      status: 'running',
      intoMs: 16_000,
    });
  });
  test('a late look jumps over as many cues as have passed', () =>
    expect(at(75_000, ['start', 0]).cueIndex).toBe(cues.findIndex((c) => c.stepId === 'b')));
  test('events stamped before the last one are taken at its time', () =>
    expect(at(9000, ['start', 5000], ['pause', 3000])).toMatchObject({ status: 'paused', intoMs: 0 }));
});

describe('keys', () => {
  const first = (id: string) => cues.findIndex((c) => c.stepId === id);
  test('next goes to the next step, and after the last one ends', () => {
    expect(at(2000, ['start', 0], ['next', 1000]).cueIndex).toBe(first('b'));
    expect(at(5000, ['start', 0], ['next', 1000], ['next', 2000], ['next', 3000])).toMatchObject({
      status: 'done',
      endedAtMs: 3000,
    });
  });
  test('back begins the step anew, and soon after its begin goes to the one before', () => {
    expect(at(20_000, ['start', 0], ['back', 20_000])).toMatchObject({ cueIndex: 0, intoMs: 0 });
    expect(at(3100, ['start', 0], ['next', 2000], ['back', 3000]).cueIndex).toBe(first('a'));
  });
  test('repeat begins the step anew from its middle', () =>
    expect(at(40_000, ['start', 0], ['repeat', 40_000]).cueIndex).toBe(0));
  test('extend adds ten seconds to the present cue only', () => {
    const state = at(1000 + WHOLE_MS + EXTEND_MS, ['start', 1000], ['extend', 10_000]);
    expect(state).toMatchObject({ status: 'done', endedAtMs: 1000 + WHOLE_MS + EXTEND_MS });
  });
  test('extending has an end', () => {
    const many = Array.from({ length: 80 }, (_, i) => ['extend', 6000 + i] as Pressed);
    expect(at(7000, ['start', 0], ...many).extraMs).toBeLessThanOrEqual(600_000);
  });
  test('lighten holds for the rest of the step and is no lighter than feather', () => {
    expect(at(20_000, ['start', 0], ['lighter', 10_000]).pressure).toBe('light');
    expect(at(50_000, ['start', 0], ['lighter', 10_000])).toMatchObject({ pressure: 'light' });
    expect(
      at(20_000, ['start', 0], ...Array.from({ length: 6 }, (_, i) => ['lighter', 10_000 + i] as Pressed)).pressure,
    ).toBe('feather');
    expect(at(75_000, ['start', 0], ['lighter', 10_000]).pressure).toBe('firm');
  });
  test('where nothing presses nothing is lightened', () =>
    expect(at(90_000, ['start', 0], ['firmer', 89_000])).toMatchObject({ pressure: null }));
  test('stopped, it is taken up again where it stopped; the time between is nobody’s', () => {
    const state = at(62_000, ['start', 0], ['stop', 10_000, 'Out of time'], ['take-up', 60_000]);
    expect(state).toMatchObject({ status: 'running', endedAtMs: null, stopReason: '', cueIndex: 1, intoMs: 8000 });
    expect(state.stretches.reduce((sum, s) => sum + s.ms, 0)).toBe(12_000);
    expect(at(70_000, ['start', 0], ['take-up', 5000])).toMatchObject({ cueIndex: first('b') });
  });
  test('it begins at another step, whichever of the two is read first; a step that is not there changes nothing', () => {
    const to = (step: number): GuideEvent => ({ id: 'event-go', kind: 'go-to', step, atMs: 0 });
    const start: GuideEvent = { id: 'event-st', kind: 'start', atMs: 0 };
    for (const events of [
      [start, to(1)],
      [to(1), start],
    ])
      expect(stateAt(cues, events, 1000)).toMatchObject({ status: 'running', cueIndex: first('b'), intoMs: 1000 });
    expect(stateAt(cues, [start, to(9)], 1000)).toMatchObject({ cueIndex: 0, intoMs: 1000 });
  });
  test('stop keeps its reason and its moment; later keys do nothing', () => {
    const state = at(60_000, ['start', 0], ['stop', 10_000, 'Out of time'], ['resume', 20_000], ['next', 30_000]);
    expect(state).toMatchObject({ status: 'stopped', endedAtMs: 10_000, stopReason: 'Out of time', cueIndex: 1 });
  });
  test('notes are kept with step and moment', () =>
    expect(at(80_000, ['start', 0], ['note', 70_000, 'warm']).notes).toEqual([
      { atMs: 70_000, stepIndex: 1, text: 'warm' },
    ]));
  test('keys before the start do nothing', () =>
    expect(at(5000, ['next', 1000], ['pause', 2000])).toMatchObject({ status: 'ready', cueIndex: 0 }));
  test('a second start does nothing', () =>
    expect(at(9000, ['start', 0], ['start', 8000])).toMatchObject({ intoMs: 5000 }));
});

describe('open doses', () => {
  const softens = (usualSeconds: number): Parameters<typeof bareStep>[1][number] => ({
    kind: 'open',
    until: 'it softens',
    leastSeconds: 5,
    usualSeconds,
    mostSeconds: 40,
  });
  const open = expandRoutine(routineOf([bareStep('a', [softens(20)], { places: 2 }), bareStep('b', [hold(10)])]));
  const on = (nowMs: number, ...events: Pressed[]) => stateAt(open, log(...events), nowMs);
  test('run to their most, and on earlier when what is waited for has come', () => {
    expect(on(39_000, ['start', 0])).toMatchObject({ cueIndex: 0, intoMs: 39_000 });
    expect(on(41_000, ['start', 0])).toMatchObject({ cueIndex: 1, intoMs: 1000 });
    expect(on(13_000, ['start', 0], ['go-on', 12_000])).toMatchObject({ cueIndex: 1, intoMs: 1000 });
    // The end of the last one is the end of the step; a fixed dose has nothing to go on from.
    expect(on(20_000, ['start', 0], ['go-on', 12_000], ['go-on', 15_000], ['go-on', 16_000])).toMatchObject({
      cueIndex: 2,
      intoMs: 5000,
    });
  });
  test('what is left counts the usual length, and nothing more once that is past', () => {
    expect(timeLeftMs(open, on(8000, ['start', 0]))).toBe(42_000);
    expect(timeLeftMs(open, on(33_000, ['start', 0]))).toBe(30_000);
    expect(timeLeftMs(open, on(500_000, ['start', 0]))).toBe(0);
    expect(timeLeftMs(cues, at(4500, ['start', 0], ['extend', 4200]))).toBe(WHOLE_MS - 4500 + EXTEND_MS);
  });
});

const sumOf = (state: GuideState) => state.stretches.reduce((sum, s) => sum + s.ms, 0);

describe('replay', () => {
  const long = routineFrom([
    'slow-deep-breaths',
    'stay-masseter-superficial',
    'masseter-pin-open',
    'temple-circles',
    'pulse-ST6',
  ]);
  const longCues = expandRoutine(long);
  const kinds: PlainKind[] = ['pause', 'resume', 'next', 'back', 'repeat', 'extend', 'lighter', 'firmer'];
  const logs = fc
    .array(fc.record({ kind: fc.constantFrom(...kinds), gap: fc.integer({ min: 0, max: 60_000 }) }), { maxLength: 25 })
    .map((steps) => {
      let now = 0;
      return [
        { id: 'start-event', kind: 'start' as PlainKind, atMs: 0 },
        ...steps.map(({ kind, gap }, i) => ({ id: `event-${i}`, kind, atMs: (now += gap) })),
      ];
    });

  test('a log that went to the server and back gives the same run', () => {
    fc.assert(
      fc.property(logs, fc.integer({ min: 0, max: 2_000_000 }), (events, now) => {
        expect(stateAt(longCues, JSON.parse(JSON.stringify(events)) as GuideEvent[], now)).toEqual(
          stateAt(longCues, events, now),
        );
      }),
    );
  });
  test('looking in between changes nothing, however often', () => {
    fc.assert(
      fc.property(
        logs,
        fc.array(fc.integer({ min: 1, max: 90_000 }), { minLength: 1, maxLength: 8 }),
        (events, looks) => {
          const from = events.at(-1)!.atMs;
          const end = from + looks.reduce((a, b) => a + b, 0);
          let stepped = stateAt(longCues, events, from);
          let now = from;
          for (const gap of looks) stepped = advance(longCues, stepped, (now += gap));
          const direct = stateAt(longCues, events, end);
          expect([stepped.status, stepped.cueIndex]).toEqual([direct.status, direct.cueIndex]);
          expect(stepped.intoMs).toBeCloseTo(direct.intoMs, 6);
          expect(sumOf(stepped)).toBeCloseTo(sumOf(direct), 6);
          expect(stepped.stretches.length).toBe(direct.stretches.length);
        },
      ),
    );
  });
  test('worked time never exceeds the time that passed', () => {
    fc.assert(
      fc.property(logs, fc.integer({ min: 0, max: 900_000 }), (events, now) => {
        const state = stateAt(longCues, events, now);
        expect(sumOf(state)).toBeLessThanOrEqual(now + 1e-6);
      }),
    );
  });
  test('the guide is always at a cue that exists', () => {
    fc.assert(
      fc.property(logs, fc.integer({ min: 0, max: 3_000_000 }), (events, now) => {
        expect(longCues[stateAt(longCues, events, now).cueIndex]).toBeDefined();
      }),
    );
  });
});

describe('events from outside', () => {
  const id = 'abcd-1234';
  const compare = { doneSide: 'left', sameHead: true, sameLight: true, differs: [] };
  test.each<[unknown, GuideEvent]>([
    [
      { id, kind: 'note', atMs: 5, words: 'hello', extra: 1 },
      { id, kind: 'note', atMs: 5, words: 'hello' },
    ],
    [
      { id, kind: 'firmer', atMs: 5 },
      { id, kind: 'firmer', atMs: 5 },
    ],
    [
      { id, kind: 'reading', atMs: 5, measure: 'opening-mm', place: '', side: 'midline', value: 41 },
      { id, kind: 'reading', atMs: 5, measure: 'opening-mm', place: '', side: 'midline', value: 41 },
    ],
    [
      { id, kind: 'go-to', atMs: 5, step: 3 },
      { id, kind: 'go-to', atMs: 5, step: 3 },
    ],
    // As they were kept before each kind had its own fields.
    [
      { id, kind: 'harden', atMs: 5 },
      { id, kind: 'firmer', atMs: 5 },
    ],
    [
      { id, kind: 'lighten', atMs: 5 },
      { id, kind: 'lighter', atMs: 5 },
    ],
    [
      { id, kind: 'note', atMs: 5, text: 'hello' },
      { id, kind: 'note', atMs: 5, words: 'hello' },
    ],
    [
      { id, kind: 'stop', atMs: 5, text: 'Out of time' },
      { id, kind: 'stop', atMs: 5, reason: 'Out of time' },
    ],
    [
      { id, kind: 'stop', atMs: 5 },
      { id, kind: 'stop', atMs: 5, reason: '' },
    ],
    [
      { id, kind: 'compare', atMs: 5, text: JSON.stringify(compare) },
      { id, kind: 'compare', atMs: 5, compare: compare as never },
    ],
  ])('%j', (value, event) => expect(readGuideEvent(value)).toEqual(event));
  test.each<[unknown, string]>([
    [null, 'event'],
    [[], 'event'],
    [{ id: 'short', kind: 'start', atMs: 1 }, 'event.id'],
    [{ id, kind: 'explode', atMs: 1 }, 'event.kind'],
    [{ id, kind: 'start', atMs: -1 }, 'event.atMs'],
    [{ id, kind: 'start', atMs: NaN }, 'event.atMs'],
    [{ id, kind: 'note', atMs: 1, words: 'x'.repeat(501) }, 'event.words'],
    [{ id, kind: 'note', atMs: 1, words: 'a\0b' }, 'event.words'],
    [{ id, kind: 'note', atMs: 1, text: 7 }, 'event.words'],
    [{ id, kind: 'note', atMs: 1 }, 'event.words'],
    [{ id, kind: 'go-to', atMs: 1, step: -1 }, 'event.step'],
    [{ id, kind: 'go-to', atMs: 1, step: 1.5 }, 'event.step'],
    [{ id, kind: 'reading', atMs: 1, measure: 'opening-mm', place: '', side: 'up', value: 1 }, 'event.side'],
    [{ id, kind: 'reading', atMs: 1, measure: 'opening-mm', place: '', side: 'left', value: '41' }, 'event.value'],
  ])('%j is refused', (value, field) => expect(() => readGuideEvent(value)).toThrow(`${field}: `));
  test('what belongs to an event travels apart from it and comes back', () => {
    const event = readGuideEvent({ id, kind: 'stop', atMs: 5, reason: 'Out of time' });
    expect(readGuideEvent({ id, kind: 'stop', atMs: 5, ...payloadOf(event) })).toEqual(event);
    expect(payloadOf({ id, kind: 'start', atMs: 5 })).toBeNull();
  });
});

describe('firmer and lighter are a shift', () => {
  test('within the five words', () => {
    expect([shifted('feather', -1), shifted('firm', -1), shifted('deep', 1), shifted('light', 2)]).toEqual([
      'feather',
      'medium',
      'deep',
      'firm',
    ]);
    expect(shifted(null, 1)).toBeNull();
  });
  const both = routineOf([
    {
      ...bareStep('a', [beats(10, 60)], { stroke: 'one-way-then-other', pauses: { directionChangeSeconds: 1 } }),
      pressure: { there: 'medium', back: 'feather' },
    },
  ]);
  const list = expandRoutine(both);
  const pressuresAt = (...events: Pressed[]) =>
    [5000, 16_000].map((now) => stateAt(list, log(['start', 0], ...events), now).pressure);
  test('of each way of the stroke', () => {
    expect(pressuresAt()).toEqual(['medium', 'feather']);
    expect(pressuresAt(['firmer', 2000])).toEqual(['firm', 'light']);
    expect(pressuresAt(['firmer', 2000], ['lighter', 3000])).toEqual(['medium', 'feather']);
    // Lighter than feather there is nothing: the way back stays where it is.
    expect(pressuresAt(['lighter', 2000])).toEqual(['light', 'feather']);
  });
});

test('an empty routine is ready and stays so', () =>
  expect(stateAt([], [{ id: 'start-event', kind: 'start', atMs: 0 }], 100).status).toBe(initialState([]).status));

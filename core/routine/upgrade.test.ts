import { InputError } from '../words/index.ts';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { readRoutine } from './document.ts';
import { stepsOf } from './model.ts';
import { routineSeconds } from './timing.ts';

/** A step of version 1, as its reader took it. */
const step1 = (change: object = {}, dose: object = {}) => ({
  id: 'a',
  technique: 'temple-circles',
  label: null,
  places: [{ kind: 'point', id: 'EX-HN5' }],
  contact: 'middle-finger',
  stillContact: null,
  motion: 'circle',
  pressure: 'light',
  returnPressure: null,
  sides: { mode: 'together', first: 'left', sets: 1, extra: null, sequence: 'side-complete' },
  dose: {
    parts: [{ kind: 'hold', seconds: 10 }],
    spots: 1,
    pauses: { leadInSeconds: 4, restSeconds: 2, sideChangeSeconds: 4, directionChangeSeconds: 1, nextSpotSeconds: 2 },
    ...dose,
  },
  swapHands: false,
  breath: null,
  head: 'still',
  jaw: 'loose',
  eyes: 'any',
  glide: 'either',
  note: '',
  ...change,
});
const routine1 = (steps: object[], change: object = {}) => ({
  format: 'velvet-compass/routine',
  schemaVersion: 1,
  name: 'Old',
  budgetMinutes: 20,
  order: { begin: 'neck', exercise: 'after-release', drainage: 'open-and-close' },
  steps,
  ...change,
});
const read = (change: object = {}, dose: object = {}) => stepsOf(readRoutine(routine1([step1(change, dose)])))[0]!;
const circles = (directions: 1 | 2, per: 'spot' | 'pass' = 'spot') => ({
  kind: 'beats',
  count: 10,
  countMost: 30,
  perMinute: 30,
  unit: 'circles',
  directions,
  per,
});

describe('version 1 becomes version 2', () => {
  test('names, budget, order and steps', () => {
    const r = readRoutine(routine1([step1()]));
    expect(r).toMatchObject({ schemaVersion: 2, name: 'Old', budgetMinutes: 20, order: null, notes: '' });
    expect(readRoutine(routine1([], { order: { begin: 'any', exercise: 'any', drainage: 'none' } })).order).toEqual({
      begin: 'any',
      exercise: 'any',
      drainage: 'none',
      reason: '',
    });
  });
  test('circles both ways become the stroke', () => {
    expect(read({}, { parts: [circles(2)] })).toMatchObject({
      stroke: 'circles-both-ways',
      dose: { parts: [{ kind: 'beats', count: 10, most: 30, perMinute: 30, unit: 'circles' }], perPlace: false },
    });
    expect(read({}, { parts: [circles(1)] }).stroke).toBe('circles-one-way');
    expect(read({ motion: 'glide' }, { parts: [circles(2)] }).stroke).toBe('one-way-then-other');
    expect(read({ motion: 'glide' }).stroke).toBe('one-way');
    expect(read({ motion: 'hold' }).stroke).toBe('still');
    expect(read({ motion: 'tap' }).stroke).toBe('in-place');
  });
  test('parts that mixed one way and both keep their time: the two-way one is written out twice', () => {
    const dose = { parts: [circles(2), { ...circles(1), unit: 'pulses', count: 5 }] };
    expect(read({}, dose).dose.parts.map((p) => p.kind === 'beats' && [p.unit, p.count])).toEqual([
      ['circles', 10],
      ['circles', 10],
      ['pulses', 5],
    ]);
  });
  test('spots become a path, walked through as the chart drew them', () => {
    const places = [
      { kind: 'point', id: 'GB20' },
      { kind: 'point', id: 'BL10' },
    ];
    const step = read({ places }, { spots: 3 });
    expect(step.path.map((p) => p.id)).toEqual(['GB20', 'BL10', 'GB20']);
    expect(step.dose.perPlace).toBe(true);
    // No place is lost, so that no caution is.
    expect(read({ places }, { spots: 1 }).path.map((p) => p.id)).toEqual(['GB20', 'BL10']);
    expect(read({ places: [...places, { kind: 'point', id: 'GB8' }] }, { spots: 2 }).path).toHaveLength(3);
  });
  test('one pass over several spots is one pass over the path', () =>
    expect(read({}, { spots: 3, parts: [circles(1, 'pass')] })).toMatchObject({
      path: [{ id: 'EX-HN5' }],
      dose: { perPlace: false },
    }));
  test('pressures, still contact, swap, body and breath', () =>
    expect(
      read({
        pressure: 'firm',
        returnPressure: 'feather',
        stillContact: 'palm',
        swapHands: true,
        head: 'sinks',
        jaw: 'moving',
        eyes: 'shut',
        breath: { inSeconds: 4, holdInSeconds: 0, outSeconds: 6, holdOutSeconds: 1 },
      }),
    ).toMatchObject({
      pressure: { there: 'firm', back: 'feather' },
      still: { contact: 'palm', place: null },
      swap: 'each-set',
      body: { head: 'drops', jaw: 'opens-and-closes', eyes: 'shut', tongue: 'rest' },
      breath: {
        phases: [
          { what: 'in', seconds: 4 },
          { what: 'out', seconds: 6 },
          { what: 'rest', seconds: 1 },
        ],
      },
    }));
  test('open doses, breaths and pauses', () => {
    const open = { kind: 'open', until: 'it softens', estimateSeconds: 45, leastSeconds: 15, mostSeconds: 90 };
    expect(read({}, { parts: [open] }).dose).toMatchObject({
      parts: [{ kind: 'open', until: 'it softens', usualSeconds: 45, leastSeconds: 15, mostSeconds: 90 }],
      pauses: { findPlaceSeconds: 4, nextPlaceSeconds: 2, swapSeconds: 2 },
    });
    const pattern = { inSeconds: 4, holdInSeconds: 7, outSeconds: 8, holdOutSeconds: 0 };
    expect(read({}, { parts: [{ kind: 'breath', cycles: 4, pattern }] }).dose.parts[0]).toMatchObject({
      phases: [
        { what: 'in', seconds: 4 },
        { what: 'hold', seconds: 7 },
        { what: 'out', seconds: 8 },
      ],
    });
  });
});

describe('the time of an old routine stays', () => {
  // Worked out by hand from the arithmetic of version 1: rounds × (spots × parts × directions) with their pauses.
  test.each<[string, object, object, number]>([
    ['a hold', {}, {}, 4 + 10],
    ['circles both ways', {}, { parts: [circles(2)] }, 4 + 20 + 1 + 20],
    ['three spots', {}, { spots: 3 }, 4 + 10 + 2 + 10 + 2 + 10],
    [
      'two sets on each side',
      { sides: { mode: 'each', first: 'left', sets: 2, extra: null, sequence: 'side-complete' } },
      {},
      4 + 10 + 2 + 10 + 4 + 10 + 2 + 10,
    ],
    [
      'two sets with a swap',
      { swapHands: true, sides: { mode: 'midline', first: 'left', sets: 2, extra: null, sequence: 'side-complete' } },
      {},
      4 + 10 + 2 + 10,
    ],
  ])('%s', (_name, change, dose, seconds) =>
    expect(routineSeconds(readRoutine(routine1([step1(change, dose)])))).toBe(seconds),
  );
  test('the example of version 1 keeps its length but for pauses between spots of one pass', () => {
    const example = JSON.parse(readFileSync('docs/formats/routine-1.example.json', 'utf8')) as unknown;
    expect(stepsOf(readRoutine(example)).length).toBe(15);
  });
});

describe('what is no version 1 is refused, and never more than that', () => {
  test.each([
    [routine1([null as never]), 'steps[0]'],
    [routine1([step1({}, { parts: 7 })]), 'steps[0]'],
    [routine1([step1({}, { spots: 1e9 })]), 'steps[0]'],
    [{ ...routine1([]), steps: 'none' }, 'steps'],
    [routine1([step1({ motion: 'dance' })]), 'items[0].motion'],
  ])('%#', (value, field) => {
    let error: unknown;
    try {
      readRoutine(value);
    } catch (e) {
      error = e;
    }
    expect(error).toBeInstanceOf(InputError);
    expect((error as InputError).field).toBe(field);
  });
  test('any leaf replaced by anything ends in a refusal with a field, or in a routine', () => {
    const paths: string[][] = [];
    const walk = (value: unknown, path: string[]): void => {
      paths.push(path);
      if (value && typeof value === 'object')
        for (const [key, inner] of Object.entries(value)) walk(inner, [...path, key]);
    };
    const whole = routine1([step1({}, { parts: [circles(2), { kind: 'hold', seconds: 5 }] })]);
    walk(whole, []);
    fc.assert(
      fc.property(fc.constantFrom(...paths.filter((p) => p.length)), fc.anything(), (path, value) => {
        const copy = structuredClone(whole) as unknown as Record<string, unknown>;
        let at = copy;
        for (const key of path.slice(0, -1)) at = at[key] as Record<string, unknown>;
        at[path.at(-1)!] = value;
        try {
          expect(readRoutine(copy).schemaVersion).toBe(2);
        } catch (error) {
          expect(error).toBeInstanceOf(InputError);
        }
      }),
      { numRuns: 400 },
    );
  });
});

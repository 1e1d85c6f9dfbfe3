import { InputError } from '../words/index.ts';
import { describe, expect, test } from 'vitest';
import { bareStep, beats, hold, routineFrom, routineOf } from '../../tests/support/routines.ts';
import { emptyRoutine, readRoutine, stepCount } from './document.ts';
import type { Block, Routine } from './model.ts';

const good = routineFrom(['slow-deep-breaths', 'stay-masseter-superficial', 'masseter-pin-open', 'retest-opening'], {
  budgetMinutes: 20,
});

/** A copy with one thing changed, by its path. */
function broken(path: string, value: unknown): unknown {
  const copy = structuredClone(good) as unknown as Record<string, unknown>;
  const keys = path.replace(/\[(\d+)\]/g, '.$1').split('.');
  let at: Record<string, unknown> = copy;
  for (const key of keys.slice(0, -1)) at = at[key] as Record<string, unknown>;
  if (value === undefined) delete at[keys.at(-1)!];
  else at[keys.at(-1)!] = value;
  return copy;
}
const refusal = (value: unknown): InputError => {
  try {
    readRoutine(value);
  } catch (error) {
    if (error instanceof InputError) return error;
    throw error;
  }
  throw new Error('was accepted');
};

test('a good routine comes back unchanged', () => expect(readRoutine(structuredClone(good))).toEqual(good));

describe('refused with the field and what is accepted', () => {
  test.each<[string, unknown, string]>([
    ['format', 'other/format', 'must be velvet-compass/routine'],
    ['schemaVersion', 3, 'this file has version 3; up to version 2 is accepted'],
    ['schemaVersion', 0, 'up to 2 is accepted'],
    ['schemaVersion', '2', 'a whole number'],
    ['name', '', 'is missing'],
    ['name', 'x'.repeat(121), 'at most 120'],
    ['name', 'a\0b', 'must be text'],
    ['name', 'a\ud800', 'must be text'],
    ['budgetMinutes', 0, '1 to 120 min'],
    ['budgetMinutes', 121, '1 to 120 min'],
    ['budgetMinutes', '20', 'a number'],
    ['school', 'no such thing', 'letters, digits'],
    ['items', 'none', 'must be a list'],
    ['items[0].kind', 'stride', 'one of step, block'],
    ['items[0].id', 'has spaces in it', 'letters, digits'],
    ['items[0].dose.parts[0].cycles', 0, '1 to 100'],
    ['items[0].dose.parts[0].phases[0].seconds', 31, '0.5 to 30 s'],
    ['items[0].dose.parts[0].phases[0].what', 'gasp', 'one of in, in-again, hold, out, rest'],
    ['items[1].dose.parts[0].usualSeconds', 601, '1 to 600'],
    ['items[2].dose.parts[0].count', 201, '1 to 200'],
    ['items[2].dose.parts[0].count', 2.5, 'whole number'],
    ['items[2].dose.parts[0].perMinute', 5, '6 to 180 per min'],
    ['items[2].dose.parts[0].kind', 'dance', 'one of hold, beats, open, breath, check, test'],
    ['items[2].dose.parts', [], 'at least 1'],
    ['items[1].stroke', 'zigzag', 'one of still, one-way, to-and-fro'],
    ['items[1].sides.mode', 'upside', 'one of together, midline, each, left, right'],
    ['items[1].sides.sets', 21, '1 to 20'],
    ['items[1].pressure.there', 'crushing', 'one of feather, light, medium, firm, deep'],
    ['items[1].dose.pauses.restSeconds', 121, '0 to 120 s'],
    ['items[1].path', Array.from({ length: 21 }, () => ({ kind: 'point', id: 'LI4' })), 'at most 20'],
    ['items[1].note', 'x'.repeat(501), 'at most 500'],
    ['items[1].swap', 'yes', 'one of none, each-set, each-count'],
    ['items[1].body.jaw', 'locked', 'one of loose, closed'],
    ['items[1].dose.perPlace', 1, 'true or false'],
  ])('%s = %j', (path, value, words) => {
    const error = refusal(broken(path, value));
    expect(error.field).toBe(path);
    expect(error.message).toContain(words);
  });

  test.each(['items', 'order', 'items[0].dose', 'items[0].sides', 'items[0].technique', 'items[0].still'])(
    '%s left out',
    (path) => expect(refusal(broken(path, undefined)).message).toMatch(/is missing|must be a list/),
  );
  test.each([null, [], 'text', 7, true])('%j is no routine', (value) =>
    expect(() => readRoutine(value)).toThrow(InputError),
  );

  test('a field nobody knows', () => expect(refusal({ ...good, colour: 'red' }).message).toContain('colour'));
  test('an unknown field deep inside', () =>
    expect(refusal(broken('items[0].dose.magic', 1)).message).toContain('magic'));
  test('two steps with the same id, in a block or out of it', () => {
    const a = bareStep('a', [hold(5)]);
    const block: Block = { kind: 'block', id: 'b', label: null, sides: 'left-then-right', steps: [a] };
    expect(refusal(routineOf([a, a])).message).toContain('"a" is used twice');
    expect(refusal(routineOf([a, block])).field).toBe('items[1].steps[0].id');
    expect(refusal(routineOf([bareStep('b', [hold(5)]), block])).field).toBe('items[1].id');
  });
  test('a count range that runs backward', () =>
    expect(refusal(routineOf([bareStep('a', [beats(10, 30, { most: 5 })])])).message).toContain('less than count'));
  test('a usual time outside of its own range', () =>
    expect(
      refusal(
        routineOf([
          bareStep('a', [{ kind: 'open', until: 'it gives', usualSeconds: 10, leastSeconds: 20, mostSeconds: 90 }]),
        ]),
      ).message,
    ).toContain('between leastSeconds and mostSeconds'));
  test.each<[string, ('in' | 'in-again' | 'hold' | 'out' | 'rest')[]]>([
    ['never out', ['in', 'hold']],
    ['out first', ['out', 'in']],
    ['a second sip after the breath out', ['in', 'out', 'in-again']],
  ])('a breath that goes %s', (_name, phases) => {
    const part = { kind: 'breath' as const, cycles: 1, phases: phases.map((what) => ({ what, seconds: 2 })) };
    expect(() => readRoutine(routineOf([bareStep('a', [part])]))).toThrow(InputError);
  });
  test('121 steps', () =>
    expect(refusal(routineOf(Array.from({ length: 121 }, (_, i) => bareStep(`s${i}`, [hold(1)])))).message).toContain(
      'at most 120',
    ));
  test('numbers that are no numbers', () => {
    for (const value of [NaN, Infinity, null, {}])
      expect(() => readRoutine(broken('items[2].dose.parts[0].count', value))).toThrow(InputError);
  });
});

test('hostile markup is text like any other', () => {
  const routine: Routine = { ...good, name: '<script>alert(1)</script>' };
  expect(readRoutine(routine).name).toBe('<script>alert(1)</script>');
});

test('too many steps are counted before any of them is read, in blocks too', () => {
  let read = 0;
  const steps = Array.from({ length: 5000 }, () => ({
    kind: 'step',
    get id() {
      read++;
      return 'x';
    },
  }));
  const empty = emptyRoutine('Many');
  expect(() => readRoutine({ ...empty, items: steps })).toThrow('items: holds too many steps');
  expect(() => readRoutine({ ...empty, items: [{ kind: 'block', id: 'b', steps }] })).toThrow('holds too many steps');
  expect(() => readRoutine({ ...empty, schemaVersion: 1, steps })).toThrow('steps: holds too many steps');
  expect(read).toBe(0);
});

test('an empty routine is one, of the usual school or another', () => {
  expect(readRoutine(emptyRoutine('New'))).toEqual(emptyRoutine('New'));
  expect(emptyRoutine('New', 'top-down').school).toBe('top-down');
  expect(stepCount(emptyRoutine('New'))).toBe(0);
});

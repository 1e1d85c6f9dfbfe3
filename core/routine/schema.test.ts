import { InputError } from '../words/index.ts';
import { describe, expect, test } from 'vitest';
import { bareStep, beats, hold, routineFrom, routineOf } from '../../tests/support/routines.ts';
import { parseRoutine } from './schema.ts';
import type { Routine } from './model.ts';

const good = routineFrom(['slow-breaths', 'masseter-melt', 'masseter-pin-open', 'retest-opening'], {
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
    parseRoutine(value);
  } catch (error) {
    if (error instanceof InputError) return error;
    throw error;
  }
  throw new Error('was accepted');
};

test('a good routine comes back unchanged', () => expect(parseRoutine(structuredClone(good))).toEqual(good));

describe('refused with the field and what is accepted', () => {
  test.each<[string, unknown, string]>([
    ['format', 'other/format', 'one of velvet-compass/routine'],
    ['schemaVersion', 2, 'must be 1'],
    ['name', '', 'is missing'],
    ['name', 'x'.repeat(121), 'at most 120'],
    ['budgetMinutes', 0, '1 to 120 min'],
    ['budgetMinutes', 121, '1 to 120 min'],
    ['budgetMinutes', '20', 'must be a number'],
    ['steps', 'none', 'must be a list'],
    ['steps[0].id', 'has spaces in it', 'letters, digits'],
    ['steps[0].dose.parts[0].cycles', 0, '1 to 100'],
    ['steps[0].dose.parts[0].pattern.inSeconds', 31, '0 to 30 s'],
    ['steps[1].dose.parts[0].estimateSeconds', 601, '1 to 600'],
    ['steps[2].dose.parts[0].count', 201, '1 to 200'],
    ['steps[2].dose.parts[0].count', 2.5, 'whole number'],
    ['steps[2].dose.parts[0].perMinute', 5, '6 to 180 per min'],
    ['steps[2].dose.parts[0].directions', 3, '1 or 2'],
    ['steps[2].dose.parts', [], 'at least one part'],
    ['steps[1].sides.mode', 'upside', 'one of together, midline, each, left, right'],
    ['steps[1].sides.sets', 21, '1 to 20'],
    ['steps[1].pressure', 'crushing', 'one of feather, light, medium, firm, deep or null'],
    ['steps[1].dose.pauses.restSeconds', 121, '0 to 120 s'],
    ['steps[1].places', Array.from({ length: 21 }, () => ({ kind: 'point', id: 'LI4' })), 'at most 20'],
    ['steps[1].note', 'x'.repeat(501), 'at most 500'],
    ['steps[1].swapHands', 'yes', 'true or false'],
  ])('%s = %j', (path, value, words) => {
    const error = refusal(broken(path, value));
    expect(error.field).toBe(path);
    expect(error.message).toContain(words);
  });

  test.each(['format', 'steps', 'order', 'steps[0].dose', 'steps[0].sides', 'steps[0].technique'])(
    '%s left out',
    (path) => expect(refusal(broken(path, undefined)).message).toContain('is missing'),
  );
  test.each([null, [], 'text', 7, true])('%j is no routine', (value) =>
    expect(() => parseRoutine(value)).toThrow(InputError),
  );

  test('a field nobody knows', () => expect(refusal({ ...good, colour: 'red' }).message).toContain('colour'));
  test('an unknown field deep inside', () =>
    expect(refusal(broken('steps[0].dose.magic', 1)).message).toContain('magic'));
  test('two steps with the same id', () =>
    expect(refusal(routineOf([bareStep('a', [hold(5)]), bareStep('a', [hold(5)])])).message).toContain('same id'));
  test('a count range that runs backward', () =>
    expect(refusal(routineOf([bareStep('a', [beats(10, 30, { countMost: 5 })])])).message).toContain('countMost'));
  test('a breath without breathing out', () =>
    expect(refusal(broken('steps[0].dose.parts[0].pattern.outSeconds', 0)).message).toContain('in and out'));
  test('121 steps', () =>
    expect(refusal(routineOf(Array.from({ length: 121 }, (_, i) => bareStep(`s${i}`, [hold(1)])))).message).toContain(
      'at most 120',
    ));
  test('numbers that are no numbers', () => {
    for (const value of [NaN, Infinity, null, {}])
      expect(() => parseRoutine(broken('steps[2].dose.parts[0].count', value))).toThrow(InputError);
  });
});

test('hostile markup is text like any other', () => {
  const routine: Routine = { ...good, name: '<script>alert(1)</script>' };
  expect(parseRoutine(routine).name).toBe('<script>alert(1)</script>');
});

test('too many steps are counted before any of them is read', () => {
  let read = 0;
  const steps = Array.from({ length: 5000 }, () => ({
    get id() {
      read++;
      return 'x';
    },
  }));
  expect(() => parseRoutine({ ...routineFrom(['temple-circles']), steps })).toThrow('steps: holds too many steps');
  expect(read).toBe(0);
});

import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { routineFrom } from '../../tests/support/routines.ts';
import { mapSteps, removeStep, replaceStep, insertStep } from './edit.ts';
import { stepsOf, type Routine } from './model.ts';
import { laterChanges, takeOver } from './take-over.ts';

const base = routineFrom(['slow-deep-breaths', 'temple-circles', 'skull-base-thumb-circles', 'collarbone-pump']);
const [breaths, temples, skull, pumps] = stepsOf(base);
const noted = (r: Routine, id: string, note: string) => replaceStep(r, id, (s) => ({ ...s, note }));
const extra = { ...stepsOf(routineFrom(['palms-rub-warm']))[0]!, id: 'new' };

describe('later changes of the routine a copy came from', () => {
  test('what was changed, put in and taken out is told, each with how the copy stands to it', () => {
    const now = insertStep(
      removeStep(noted(noted(base, temples!.id, 'slower'), skull!.id, 'softer'), pumps!.id),
      extra,
      1,
    );
    const copy = removeStep(noted(base, skull!.id, 'hers'), breaths!.id);
    expect(laterChanges(copy, base, now).map((c) => [c.now?.technique ?? c.before!.technique, c.stands])).toEqual([
      ['palms-rub-warm', 'open'],
      ['temple-circles', 'open'],
      ['skull-base-thumb-circles', 'changed-here'],
      ['collarbone-pump', 'open'],
    ]);
    expect(laterChanges(removeStep(base, temples!.id), base, noted(base, temples!.id, 'x'))[0]!.stands).toBe('gone');
    // What the copy lost, and what it has already, changes nothing.
    const without = removeStep(base, temples!.id);
    const changed = noted(base, temples!.id, 'x');
    expect(takeOver(without, changed, laterChanges(without, base, changed)[0]!)).toBe(without);
    expect(takeOver(changed, changed, laterChanges(changed, base, changed)[0]!)).toBe(changed);
  });
  test('one at a time: the rest of the copy stays as it is', () => {
    const now = noted(noted(base, temples!.id, 'slower'), skull!.id, 'softer');
    const copy = noted(base, pumps!.id, 'hers');
    const first = takeOver(copy, now, laterChanges(copy, base, now)[0]!);
    expect(stepsOf(first).map((s) => s.note)).toEqual(['', 'slower', '', 'hers']);
    expect(laterChanges(first, base, now).map((c) => c.stands)).toEqual(['there', 'open']);
  });
  test('a new step goes behind the nearest step before it that the copy still has, or first', () => {
    const now = insertStep(base, extra, 2);
    const at = (copy: Routine) =>
      stepsOf(takeOver(copy, now, laterChanges(copy, base, now)[0]!)).findIndex(
        (s) => s.technique === 'palms-rub-warm',
      );
    expect(at(base)).toBe(2);
    expect(at(removeStep(base, temples!.id))).toBe(1);
    expect(at(removeStep(removeStep(base, temples!.id), breaths!.id))).toBe(0);
  });
  test('an id that the copy uses for something else is not given twice', () => {
    const copy = insertStep(base, { ...stepsOf(routineFrom(['temple-circles']))[0]!, id: 'new' }, 0);
    const now = insertStep(base, extra, 4);
    const ids = stepsOf(takeOver(copy, now, laterChanges(copy, base, now)[0]!)).map((s) => s.id);
    expect(new Set(ids).size).toBe(6);
  });
  test('an untouched copy that takes over everything is what the routine is now, but for the order', () => {
    const change = fc.tuple(fc.constantFrom('note', 'out', 'in'), fc.nat(9));
    fc.assert(
      fc.property(fc.array(change, { maxLength: 6 }), (changes) => {
        const now = changes.reduce((r, [what, n], i) => {
          const step = stepsOf(r)[n % Math.max(1, stepsOf(r).length)];
          if (what === 'in') return insertStep(r, { ...extra, id: `new${i}`, label: `no. ${i}` }, n);
          return !step ? r : what === 'out' ? removeStep(r, step.id) : noted(r, step.id, `note ${i}`);
        }, base);
        const taken = laterChanges(base, base, now).reduce((copy, c) => takeOver(copy, now, c), base);
        const plain = (r: Routine) =>
          stepsOf(mapSteps(r, (s) => ({ ...s, id: 'x' })))
            .map((s) => JSON.stringify(s))
            .sort();
        expect(plain(taken)).toEqual(plain(now));
      }),
    );
  });
});

import { checkRoutine } from '../rules/index.ts';
import { PRESSURES } from '../words/index.ts';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { at, routineFrom, routineOf, stepOf } from '../../tests/support/routines.ts';
import { stepsOf } from '../routine/index.ts';
import { CATALOGUE, TECHNIQUES } from '../../reference/catalogue.ts';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';
import { admit, admitRoutine, newlyBanned } from './admit.ts';
import { screen } from './screen.ts';

const pregnant = screen(CAUTIONS, { pregnancy: 'yes' });
const thinned = screen(CAUTIONS, { anticoagulant: 'yes' });

describe('one step', () => {
  test('free, lowered, or out', () => {
    expect(admit(stepOf('temple-circles'), pregnant, CATALOGUE)).toMatchObject({
      step: { technique: 'temple-circles' },
      lowered: null,
    });
    expect(admit(stepOf('masseter-pin-open', 'x', at('deep')), thinned, CATALOGUE)).toMatchObject({
      step: { pressure: { there: 'medium', back: null } },
      lowered: expect.stringContaining('medium at most'),
    });
    expect(admit(stepOf('hegu-web-massage'), pregnant, CATALOGUE)).toMatchObject({
      step: null,
      ban: expect.stringContaining('Pregnancy'),
    });
  });
});

describe('a template for this client', () => {
  test('names what was left out and what was lowered', () => {
    const template = routineOf([
      stepOf('hegu-web-massage', 'a'),
      stepOf('temple-circles', 'b'),
      stepOf('masseter-pin-open', 'c', at('firm')),
    ]);
    const fit = admitRoutine(template, pregnant, CATALOGUE);
    expect(stepsOf(fit.routine).map((s) => [s.id, s.pressure?.there])).toEqual([
      ['b', 'light'],
      ['c', 'light'],
    ]);
    expect([fit.leftOut, fit.lowered]).toEqual([
      ['Massage the thumb web'],
      ['Pin a knot in the chewing muscle while the jaw drops'],
    ]);
  });
  test('is the template itself when nothing stands against it', () => {
    const template = routineFrom(['slow-deep-breaths', 'temple-circles']);
    expect(admitRoutine(template, screen(CAUTIONS, {}), CATALOGUE)).toEqual({
      routine: template,
      leftOut: [],
      lowered: [],
    });
  });
});

describe('what is new and banned', () => {
  const hegu = routineFrom(['temple-circles', 'hegu-web-massage']);
  test('is found', () => expect(newlyBanned(hegu, null, pregnant, CATALOGUE)?.step.id).toBe('s2'));
  test('what was there before the yes may stay until it is taken out', () =>
    expect(newlyBanned({ ...hegu, name: 'renamed' }, hegu, pregnant, CATALOGUE)).toBeNull());
  test('the same id with another technique is new', () => {
    const disguised = { ...hegu, items: [{ ...stepOf('hegu-web-massage'), id: 's1' }, hegu.items[1]!] };
    expect(newlyBanned(disguised, hegu, pregnant, CATALOGUE)?.step.id).toBe('s1');
  });
});

test('whatever the template and the answers, what is admitted has no screening stop', () => {
  const keys = CAUTIONS.filter((c) => c.question).map((c) => c.key);
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          technique: fc.constantFrom(...TECHNIQUES.map((t) => t.id)),
          pressure: fc.constantFrom(...PRESSURES),
        }),
        { minLength: 1, maxLength: 8 },
      ),
      fc.dictionary(fc.constantFrom(...keys), fc.constant('yes' as const)),
      fc.option(fc.constantFrom(...PRESSURES), { nil: null }),
      (steps, answers, cap) => {
        const template = routineOf(
          steps.map(({ technique, pressure }, i) =>
            stepOf(technique, `s${i}`, (s) => (s.pressure ? at(pressure)(s) : s)),
          ),
        );
        const screening = screen(CAUTIONS, answers, cap);
        const { routine } = admitRoutine(template, screening, CATALOGUE);
        expect(checkRoutine(routine, CATALOGUE, screening).filter((f) => f.rule === 'screening')).toEqual([]);
      },
    ),
    { numRuns: 200 },
  );
});

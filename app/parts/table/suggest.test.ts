import { type Answers, isBannedOutright, screen } from '../../../core/limits';
import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { CATALOGUE } from '../../../reference/catalogue';
import { CAUTIONS } from '../../../reference/facts/cautions/index';
import type { Place } from '../chart/places';
import { suggest, techniquesAt } from './suggest';

const free = screen(CAUTIONS, {});
const masseter: Place = { kind: 'muscle', id: 'masseter-superficial', side: 'right' };
const ask = (
  line: string,
  place: Place | null = null,
  answers: Answers = {},
  cap: Parameters<typeof screen>[2] = null,
) => suggest({ line, place, serves: null }, screen(CAUTIONS, answers, cap), 'new', CATALOGUE);

describe('by place', () => {
  test('techniques on the muscle come first', () =>
    expect(
      techniquesAt(masseter, CATALOGUE)
        .slice(0, 6)
        .every(
          (t) =>
            t.muscles.includes('masseter-superficial') || t.defaults.path.some((p) => p.id === 'masseter-superficial'),
        ),
    ).toBe(true));
  test('a point finds the technique that presses it', () =>
    expect(techniquesAt({ kind: 'point', id: 'LI20', side: 'left' }, CATALOGUE)[0]!.points).toContain('LI20'));
  test('one side after the other begins where the finger pointed', () =>
    expect(ask('scm pinch', { kind: 'muscle', id: 'scm-sternal', side: 'right' })[0]!.step.sides).toMatchObject({
      mode: 'each',
      first: 'right',
    }));
  test('a touched side is worked alone where that is asked for, and a side that is typed counts more than the touch', () => {
    const right: Place = { kind: 'muscle', id: 'scm-sternal', side: 'right' };
    const sides = (line: string) =>
      suggest({ line, place: right, serves: null, oneSide: true }, free, 'new', CATALOGUE)[0]!.step.sides;
    expect(sides('scm pinch')).toMatchObject({ mode: 'right', extra: null });
    expect(sides('scm pinch left')).toMatchObject({ mode: 'left' });
    expect(sides('scm pinch left first')).toMatchObject({ mode: 'each', first: 'left' });
  });
  test('where a step goes comes with what was typed', () =>
    expect([ask('temple circles after 3')[0]!.after, ask('temple circles')[0]!.after]).toEqual([3, null]));
  test('with a place chosen, a dose alone is a whole line', () =>
    expect(ask('12x firm', masseter).length).toBeGreaterThan(0));
});

describe('by typed line', () => {
  test('finds and fills in', () =>
    expect(ask('masseter press open 12x left')[0]).toMatchObject({
      technique: { id: 'masseter-pin-open' },
      banned: null,
      step: { sides: { mode: 'left' } },
    }));
  test('a point that is never worked is refused with its reason', () => {
    expect(() => ask('ST9 10s')).toThrow('ST9 Renying is not worked. No pressure.');
    expect(() => ask('renying')).toThrow('not worked');
  });
  test('a number out of range is refused with its field', () => expect(() => ask('temple 999x')).toThrow('count: '));
});

describe('by what it is for', () => {
  test.each(['opening', 'closing', 'jaw', 'headache', 'eye-strain', 'stress'] as const)('%s', (serves) =>
    expect(suggest({ line: '', place: null, serves }, free, 'n', CATALOGUE).length).toBeGreaterThan(2),
  );
});

describe('screening', () => {
  test('what is banned is shown with its reason and cannot be taken', () => {
    const hegu = ask('hegu', null, { pregnancy: 'yes' })[0]!;
    expect(hegu.banned).toContain('Pregnancy');
  });
  test('what is only too hard comes lowered, and says so', () => {
    const press = ask('masseter press open firm', null, { anticoagulant: 'yes' })[0]!;
    expect(press).toMatchObject({ banned: null, step: { pressure: { there: 'medium', back: null } } });
    expect(press.lowered).toContain('medium at most');
  });
  test('a cap for this client lowers everything', () => {
    for (const s of ask('temple', null, {}, 'feather'))
      if (!s.banned && s.step.pressure) expect(s.step.pressure).toEqual({ there: 'feather', back: null });
  });
  test('whatever is answered, nothing that can be taken is banned', () => {
    const keys = CAUTIONS.filter((c) => c.question).map((c) => c.key);
    fc.assert(
      fc.property(
        fc.dictionary(fc.constantFrom(...keys), fc.constant('yes' as const)),
        fc.constantFrom('masseter firm', 'temple deep', 'neck', 'eye', 'LI4', 'drain', 'probe'),
        (answers, line) => {
          const screening = screen(CAUTIONS, answers);
          for (const s of suggest({ line, place: null, serves: null }, screening, 'n', CATALOGUE))
            if (!s.banned) expect(isBannedOutright(s.step, screening, CATALOGUE)).toBe(false);
        },
      ),
      { numRuns: 120 },
    );
  });
});

import { PRESSURES, REGIONS } from '../words/index.ts';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { CATALOGUE, TECHNIQUES } from '../../reference/catalogue.ts';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';
import { at, stepOf } from '../../tests/support/routines.ts';
import { admit } from './admit.ts';
import { cautionOf, clauseOf, isLocalKey, type LocalRule } from './local-rules.ts';
import { mayBeOverridden } from './override.ts';
import { breachesOf } from './breaches.ts';
import { screen, type Answers, type Caution } from './screen.ts';

const key = (k: string) => CAUTIONS.find((c) => c.key === k)!;
const pregnant = { pregnancy: 'yes' } as const;
const hegu = stepOf('hegu-web-massage', 'x');

describe('an override', () => {
  test('frees what its own caution bans, and warns there', () => {
    expect(admit(hegu, screen(CAUTIONS, pregnant), CATALOGUE).step).toBeNull();
    const lifted = screen(CAUTIONS, pregnant, null, new Set(['pregnancy']));
    expect(admit(hegu, lifted, CATALOGUE).step).not.toBeNull();
    expect(breachesOf(hegu, lifted, CATALOGUE).find((b) => b.limit?.caution.key === 'pregnancy')).toMatchObject({
      effect: 'warn',
      reason: expect.stringMatching(/^Overridden in writing\. /) as string,
    });
  });
  test('of a caution that was not answered with yes changes nothing', () =>
    expect(screen(CAUTIONS, {}, null, new Set(['pregnancy']))).toEqual(screen(CAUTIONS, {})));
  test('leaves the client’s own pressure cap', () =>
    expect(
      breachesOf(
        stepOf('masseter-pin-open', 'x', at('firm')),
        screen(CAUTIONS, pregnant, 'light', new Set(['pregnancy'])),
        CATALOGUE,
      ).some((b) => b.limit === null && b.effect === 'ban'),
    ).toBe(true));
  test.each(['thunderclap', 'carotid-pulse', 'fever-infection'].filter((k) => CAUTIONS.some((c) => c.key === k)))(
    'of %s is not possible',
    (k) => expect(mayBeOverridden(key(k))).toBe(false),
  );
  test('never reaches a red flag, a rule for everyone, or what closes the visit', () => {
    for (const c of CAUTIONS)
      if (c.group === 'red-flag' || c.group === 'everyone' || c.severity === 'refer-out')
        expect(mayBeOverridden(c), c.key).toBe(false);
    expect(CAUTIONS.filter(mayBeOverridden).length).toBeGreaterThan(15);
  });
});

const keys = CAUTIONS.filter((c) => c.question).map((c) => c.key);
const answers = fc.dictionary(fc.constantFrom(...keys), fc.constantFrom('yes' as const, 'no' as const));
const step = fc
  .record({ technique: fc.constantFrom(...TECHNIQUES.map((t) => t.id)), pressure: fc.constantFrom(...PRESSURES) })
  .map(({ technique, pressure }) => stepOf(technique, 'x', (s) => (s.pressure ? at(pressure)(s) : s)));
const bansOf = (
  s: Parameters<typeof breachesOf>[0],
  cautions: readonly Caution[],
  sheet: Answers,
  overridden: string[] = [],
) =>
  breachesOf(s, screen(cautions, sheet, null, new Set(overridden)), CATALOGUE)
    .filter((b) => b.effect === 'ban')
    .map((b) => b.limit?.caution.key);

describe('whatever is overridden', () => {
  test('the bans of every other caution stay, and red flags still stop', () => {
    fc.assert(
      fc.property(answers, fc.subarray(keys), step, (sheet, lifted, s) => {
        const before = bansOf(s, CAUTIONS, sheet);
        const after = bansOf(s, CAUTIONS, sheet, lifted);
        for (const k of before)
          if (k !== undefined && !(lifted.includes(k) && mayBeOverridden(key(k)))) expect(after).toContain(k);
        expect(screen(CAUTIONS, sheet, null, new Set(lifted)).mustStop).toBe(screen(CAUTIONS, sheet).mustStop);
        expect(screen(CAUTIONS, sheet, null, new Set(lifted)).postpone).toBe(screen(CAUTIONS, sheet).postpone);
      }),
      { numRuns: 300 },
    );
  });
});

const rule: LocalRule = {
  title: 'Performs tonight',
  question: 'Playing tonight?',
  group: 'today',
  severity: 'adapt',
  regions: ['jaw'],
  pressures: ['firm', 'deep'],
  works: [],
  advice: 'Medium at most.',
  seeWho: '',
};
const anyRule = fc.record<LocalRule>({
  title: fc.constant('Rule'),
  question: fc.constantFrom('', 'Asked?'),
  group: fc.constantFrom('today' as const, 'standing' as const),
  severity: fc.constantFrom('avoid' as const, 'adapt' as const, 'note' as const),
  regions: fc.subarray([...REGIONS], { maxLength: 4 }),
  pressures: fc.subarray([...PRESSURES]),
  works: fc.subarray(['heat', 'stretch', 'oil', 'pincer'] as const),
  advice: fc.constant('Less.'),
  seeWho: fc.constant(''),
});

describe('a rule of the practice', () => {
  test('closes what was chosen, in the order of the form; with nothing chosen the whole visit', () => {
    expect(clauseOf(rule)).toEqual({ region: ['jaw'], pressure: ['firm', 'deep'] });
    expect(clauseOf({ ...rule, works: ['heat'], pressures: [] })).toEqual({ region: ['jaw'], work: ['heat'] });
    expect(clauseOf({ regions: [], pressures: [], works: [] })).toEqual({ work: ['any'] });
  });
  test('is asked, or holds for everyone when it has no question', () => {
    expect(cautionOf('7', rule)).toMatchObject({
      key: 'local-7',
      group: 'today',
      question: 'Playing tonight?',
      source: 'rule of this practice',
    });
    expect(cautionOf('7', { ...rule, question: '' })).toMatchObject({ group: 'everyone', question: null });
  });
  test('has a key that none of ours has', () => {
    expect(isLocalKey(cautionOf('7', rule).key)).toBe(true);
    expect(CAUTIONS.filter((c) => isLocalKey(c.key))).toEqual([]);
  });
  test('lowers what it caps', () => {
    const firm = stepOf('masseter-pin-open', 'x', at('firm'));
    const result = admit(firm, screen([...CAUTIONS, cautionOf('7', rule)], { 'local-7': 'yes' }), CATALOGUE);
    expect(result.step?.pressure?.there).toBe('medium');
    expect(
      admit(firm, screen([...CAUTIONS, cautionOf('7', rule)], { 'local-7': 'no' }), CATALOGUE).step?.pressure?.there,
    ).toBe('firm');
  });
  test('added to ours, it never frees anything', () => {
    fc.assert(
      fc.property(answers, anyRule, fc.constantFrom('yes' as const, 'no' as const), step, (sheet, local, said, s) => {
        const before = bansOf(s, CAUTIONS, sheet);
        const after = bansOf(s, [...CAUTIONS, cautionOf('1', local)], { ...sheet, 'local-1': said });
        for (const k of before) expect(after).toContain(k);
        const [was, is] = [
          screen(CAUTIONS, sheet),
          screen([...CAUTIONS, cautionOf('1', local)], { ...sheet, 'local-1': said }),
        ];
        if (was.mustStop) expect(is.mustStop).toBe(true);
        if (was.postpone) expect(is.postpone).toBe(true);
      }),
      { numRuns: 300 },
    );
  });
});

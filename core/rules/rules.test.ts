import { screen } from '../limits/index.ts';
import type { Routine } from '../routine/index.ts';
import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { PRESSURES } from '../words/index.ts';
import { at, routineFrom, routineOf, stepOf } from '../../tests/support/routines.ts';
import { RULE_CASES } from '../../tests/support/rule-cases.ts';
import { CATALOGUE, TECHNIQUES } from '../../reference/catalogue.ts';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';
import { checkRoutine } from './check.ts';
import { applyFix } from './fix.ts';
import { RULES } from './rows.ts';
import type { Rule, Selector } from './rule.ts';

const found = (r: Routine, rule: string, screening: Parameters<typeof checkRoutine>[2] = null) =>
  checkRoutine(r, CATALOGUE, screening).filter((f) => f.rule === rule);

test('every rule has an id of its own, a reason and a source', () => {
  expect(new Set(RULES.map((r) => r.id)).size).toBe(RULES.length);
  for (const rule of RULES) expect(rule.reason.length > 10 && rule.source.length > 5).toBe(true);
});

/** The cases that a set of rules does not meet, by name. */
const unmet = (rules: readonly Rule[]): string[] =>
  RULE_CASES.filter(({ rule, severity, says, routine, screening }) => {
    const findings = checkRoutine(routine, CATALOGUE, screening ?? null, rules).filter((f) => f.rule === rule);
    return says ? !(findings[0]?.severity === severity && findings[0].title.includes(says)) : findings.length > 0;
  }).map((c) => `${c.rule}: ${c.what}`);

describe('cases', () => {
  test.each(RULE_CASES.map((c) => [`${c.rule}: ${c.what}`, c] as const))(
    '%s',
    (_name, { rule, severity, says, routine, screening }) => {
      const findings = found(routine, rule, screening ?? null);
      if (!says) return expect(findings).toEqual([]);
      expect(findings[0]).toMatchObject({ severity, title: expect.stringContaining(says) });
      // What a rule proposes mends what it found.
      const { fix } = findings[0]!;
      if (fix) expect(found(applyFix(routine, fix.action, CATALOGUE), rule, screening ?? null)).toEqual([]);
    },
  );
  test('every rule has one in which it speaks', () =>
    expect(RULES.map((r) => r.id).filter((id) => !RULE_CASES.some((c) => c.rule === id && c.says))).toEqual([]));
});

/** Every way in which a row can be taken away or weakened by one notch. */
function weakened(): [string, readonly Rule[]][] {
  const out: [string, readonly Rule[]][] = [];
  const change = (what: string, rule: Rule, to: Rule) =>
    out.push([`${rule.id}: ${what}`, RULES.map((r) => (r === rule ? to : r))]);
  for (const rule of RULES) {
    out.push([`${rule.id}: taken away`, RULES.filter((r) => r !== rule)]);
    if (rule.severity === 'stop') change('only a warning', rule, { ...rule, severity: 'warn' });
    if (rule.when) change('always', rule, { ...rule, when: null });
    if ((rule.kind === 'course' || rule.kind === 'cap') && rule.most !== 'own') {
      const rank = PRESSURES.indexOf(rule.most);
      for (const by of [-1, 1]) {
        const most = PRESSURES[rank + by];
        if (most) change(`${most} instead of ${rule.most}`, rule, { ...rule, most });
      }
    }
    if (rule.kind === 'load') change('a tenth longer', rule, { ...rule, mostSeconds: rule.mostSeconds * 1.1 });
    if (rule.kind === 'balance' && rule.asks === 'even') {
      change('two seconds more', rule, { ...rule, withinSeconds: rule.withinSeconds + 2 });
      change('two seconds less', rule, { ...rule, withinSeconds: rule.withinSeconds - 2 });
    }
    const selectors: [string, Selector][] =
      rule.kind === 'precedence'
        ? [
            ['these', rule.these],
            ['those', rule.those],
          ]
        : 'of' in rule
          ? [['of', rule.of]]
          : [];
    for (const [name, of] of selectors) {
      const put = (to: Selector) => ({ ...rule, [name]: to }) as Rule;
      for (const key of ['region', 'motion', 'contact'] as const)
        for (const one of of[key] ?? [])
          change(
            `${name} without ${one}`,
            rule,
            put({ ...of, [key]: (of[key] as string[]).filter((x) => x !== one) as never }),
          );
      for (const key of ['pressureFrom', 'bothSides', 'role', 'notRole', 'worksNot', 'notPhase'] as const)
        if (of[key] !== undefined) change(`${name} whatever its ${key}`, rule, put({ ...of, [key]: undefined }));
    }
  }
  return out;
}
const WEAKER = weakened();

test(`each of ${WEAKER.length} ways to take away or weaken one of ${RULES.length} rules fails a case`, () => {
  expect(unmet(RULES)).toEqual([]);
  expect(WEAKER.filter(([, rules]) => unmet(rules).length === 0).map(([what]) => what)).toEqual([]);
});

test('a routine of the demo passes without a stop', () =>
  expect(
    checkRoutine(
      routineFrom(['slow-deep-breaths', 'collarbone-pump', 'temple-circles', 'terminus-close']),
      CATALOGUE,
    ).filter((f) => f.severity === 'stop'),
  ).toEqual([]));

describe('the school of a routine decides where schools differ', () => {
  const late = ['temple-circles', 'skull-base-thumb-circles'];
  test('another school begins elsewhere', () => {
    expect(found(routineFrom(late), 'neck-before-face')).toHaveLength(1);
    expect(found(routineFrom(late, { school: 'top-down' }), 'neck-before-face')).toEqual([]);
  });
  test('a school nobody knows is taken for the usual one', () =>
    expect(found(routineFrom(late, { school: 'unheard-of' }), 'neck-before-face')).toHaveLength(1));
  test('a routine may depart from its school', () =>
    expect(
      found(
        routineFrom(late, {
          order: { begin: 'any', exercise: 'after-release', drainage: 'open-and-close', reason: 'the neck was done' },
        }),
        'neck-before-face',
      ),
    ).toEqual([]));
});

describe('balance', () => {
  const extra = (reason: string) =>
    routineOf([
      stepOf('masseter-pin-open', 'a', (s) => ({
        ...s,
        sides: { ...s.sides, mode: 'each', extra: { side: 'left', sets: 1, reason } },
      })),
    ]);
  test('an extra set without a reason is warned of with its seconds', () =>
    expect(found(extra(''), 'even-sides')[0]!.title).toBe('Client’s left side gets 20 s more.'));
  test('with a reason it is only told', () => {
    expect(found(extra('sorer'), 'even-sides')).toEqual([]);
    expect(found(extra('sorer'), 'intended-extra')[0]!.title).toContain('sorer');
  });
});

describe('order of findings and cost', () => {
  test('stops come first, then by step', () => {
    const r = routineOf([
      stepOf('temple-circles', 'a', at('deep')),
      stepOf('under-eye-four-point-hold', 'b', at('firm')),
    ]);
    const weights = checkRoutine(r, CATALOGUE).map((f) => ['stop', 'warn', 'hint'].indexOf(f.severity));
    expect(weights).toEqual([...weights].sort((a, b) => a - b));
  });
  test('a technique nobody knows is named with its step', () =>
    expect(() =>
      checkRoutine(routineOf([{ ...stepOf('temple-circles'), technique: 'levitation' }]), CATALOGUE),
    ).toThrow('step 1: "levitation" is not a known technique'));
  test('a long routine gives one finding per rule and step at most', () => {
    const many = routineOf(Array.from({ length: 60 }, (_, i) => stepOf('temple-circles', `s${i}`)));
    const findings = checkRoutine(many, CATALOGUE);
    expect(new Set(findings.map((f) => `${f.rule}${f.stepIds.join()}`)).size).toBe(findings.length);
  });
});

describe('nothing the screening bans gets through, whatever is built', () => {
  const questions = CAUTIONS.filter((c) => c.question);
  const anyRoutine = fc
    .array(
      fc.record({
        technique: fc.constantFrom(...TECHNIQUES.map((t) => t.id)),
        pressure: fc.constantFrom('feather', 'light', 'medium', 'firm', 'deep' as const),
      }),
      { minLength: 1, maxLength: 6 },
    )
    .map((steps) =>
      routineOf(
        steps.map(({ technique, pressure }, i) =>
          stepOf(technique, `s${i}`, (s) => (s.pressure ? at(pressure)(s) : s)),
        ),
      ),
    );
  const anyAnswers = fc.dictionary(
    fc.constantFrom(...questions.map((c) => c.key)),
    fc.constantFrom('yes' as const, 'no' as const),
  );

  test('applying every stop’s fix leads to a routine without stops', () => {
    fc.assert(
      fc.property(anyRoutine, anyAnswers, (routine, answers) => {
        const screening = screen(CAUTIONS, answers);
        let r = routine;
        for (let i = 0; i < 60; i++) {
          const stop = checkRoutine(r, CATALOGUE, screening).find((f) => f.severity === 'stop');
          if (!stop) return;
          r = applyFix(r, stop.fix!.action, CATALOGUE);
        }
        expect(checkRoutine(r, CATALOGUE, screening).filter((f) => f.severity === 'stop')).toEqual([]);
      }),
      { numRuns: 150 },
    );
  });
});

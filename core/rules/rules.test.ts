import { screen } from '../limits/index.ts';
import { applyFix, type Routine, type Step } from '../routine/index.ts';
import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { routineFrom, routineOf, stepOf } from '../../tests/support/routines.ts';
import { CATALOGUE, TECHNIQUES } from '../../reference/catalogue.ts';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';
import { checkRoutine, RULES } from './check.ts';

const found = (r: Routine, rule: string, screening: Parameters<typeof checkRoutine>[2] = null) =>
  checkRoutine(r, CATALOGUE, screening).filter((f) => f.rule === rule);
/** The routine after the first fix that a rule proposes. */
const mended = (r: Routine, rule: string, screening: Parameters<typeof checkRoutine>[2] = null) =>
  applyFix(r, found(r, rule, screening)[0]!.fix!.action, CATALOGUE);
const pressed =
  (pressure: Step['pressure']) =>
  (s: Step): Step => ({ ...s, pressure });

test('every rule has an id of its own, a reason and a source', () => {
  expect(new Set(RULES.map((r) => r.id)).size).toBe(RULES.length);
  for (const rule of RULES) expect(rule.reason.length > 10 && rule.source.length > 5).toBe(true);
  expect(RULES.length).toBeGreaterThanOrEqual(8);
});

/** One routine that breaks each rule, and the fix that mends it. */
describe('each rule speaks when it should and is quiet after its fix', () => {
  const cases: [rule: string, Routine][] = [
    ['open-before-draining', routineFrom(['neck-side-drain', 'temple-circles', 'temple-neck-drain', 'terminus-close'])],
    ['close-in-reverse', routineFrom(['collarbone-pump', 'neck-side-drain', 'temple-circles'])],
    ['drainage-order', routineFrom(['collarbone-pump', 'temple-circles', 'terminus-close', 'temple-neck-drain'])],
    ['neck-before-face', routineFrom(['temple-circles', 'skull-base-circles'])],
    ['release-before-exercise', routineFrom(['lower-lid-lift', 'brow-pinch-walk'])],
    ['soothe-after-firm', routineOf([stepOf('masseter-melt', 'a'), stepOf('masseter-pin-open', 'b', pressed('firm'))])],
    ['light-before-firm', routineOf([stepOf('masseter-pin-open', 'a', pressed('firm'))])],
    ['fits-the-time', routineFrom(['masseter-warm-hold', 'masseter-melt', 'masseter-pin-open'], { budgetMinutes: 3 })],
    [
      'both-sides-of-neck',
      routineOf([stepOf('scm-pinch-walk', 'a', (s) => ({ ...s, sides: { ...s.sides, mode: 'together' } }))]),
    ],
    [
      'even-sides',
      routineOf([stepOf('masseter-pin-open', 'a', (s) => ({ ...s, sides: { ...s.sides, mode: 'left' } }))]),
    ],
    [
      'keep-off',
      routineOf([
        stepOf('jaw-angle-press', 'a', (s) => ({ ...s, places: [{ kind: 'keep-off', id: 'jaw-joint' }, ...s.places] })),
      ]),
    ],
    ['pressure-in-range', routineOf([stepOf('temple-circles', 'a', pressed('deep'))])],
    ['glide-for-strokes', routineOf([stepOf('forehead-sweep', 'a', pressed('light'))])],
  ];
  test.each(cases)('%s', (rule, routine) => {
    const findings = found(routine, rule);
    expect(findings).not.toEqual([]);
    expect(findings[0]!.title.length).toBeGreaterThan(10);
    expect(findings[0]!.fix).not.toBeNull();
    expect(found(mended(routine, rule), rule)).toEqual([]);
  });
});

describe('what is never pressed', () => {
  test('under the eye at most light', () => {
    const r = routineOf([stepOf('under-eye-four-points', 'a', pressed('medium'))]);
    const stops = checkRoutine(r, CATALOGUE).filter((f) => f.severity === 'stop');
    expect(stops.some((f) => f.title.includes('light at most'))).toBe(true);
  });
  test('pressure on the way back counts too', () => {
    const r = routineOf([
      stepOf('under-eye-four-points', 'a', (s) => ({ ...s, pressure: 'feather', returnPressure: 'firm' })),
    ]);
    expect(checkRoutine(r, CATALOGUE).some((f) => f.severity === 'stop')).toBe(true);
  });
  test('a routine of the demo passes without a stop', () =>
    expect(
      checkRoutine(
        routineFrom(['slow-breaths', 'collarbone-pump', 'temple-circles', 'terminus-close']),
        CATALOGUE,
      ).filter((f) => f.severity === 'stop'),
    ).toEqual([]));
});

describe('school settings switch rules off', () => {
  test('neck first', () =>
    expect(
      found(
        routineFrom(['temple-circles', 'skull-base-circles'], {
          order: { begin: 'any', exercise: 'after-release', drainage: 'open-and-close' },
        }),
        'neck-before-face',
      ),
    ).toEqual([]));
  test('release first', () =>
    expect(
      found(
        routineFrom(['lower-lid-lift', 'brow-pinch-walk'], {
          order: { begin: 'neck', exercise: 'any', drainage: 'open-and-close' },
        }),
        'release-before-exercise',
      ),
    ).toEqual([]));
  test('drainage', () =>
    expect(
      found(
        routineFrom(['neck-side-drain'], { order: { begin: 'neck', exercise: 'any', drainage: 'none' } }),
        'open-before-draining',
      ),
    ).toEqual([]));
});

describe('balance', () => {
  const extra = (reason: string) =>
    routineOf([
      stepOf('masseter-pin-open', 'a', (s) => ({
        ...s,
        sides: { ...s.sides, extra: { side: 'left', sets: 1, reason } },
      })),
    ]);
  test('an extra set without a reason is warned of with its seconds', () =>
    expect(found(extra(''), 'even-sides')[0]!.title).toBe('Client’s left side gets 60 s more.'));
  test('with a reason it is only told', () => {
    expect(found(extra('sorer'), 'even-sides')).toEqual([]);
    expect(found(extra('sorer'), 'intended-extra')[0]!.title).toContain('sorer');
  });
});

describe('hands', () => {
  test('thumbs without a break', () => {
    const long = routineOf([
      stepOf('skull-base-circles', 'a', (s) => ({
        ...s,
        contact: 'thumb',
        dose: { ...s.dose, parts: [{ kind: 'hold', seconds: 130 }], spots: 1 },
      })),
    ]);
    expect(found(long, 'thumb-load')[0]!.title).toContain('without a break');
  });
  test('another contact between is a break', () => {
    const hold = (id: string, contact: Step['contact']) =>
      stepOf('skull-base-circles', id, (s) => ({
        ...s,
        contact,
        dose: { ...s.dose, parts: [{ kind: 'hold', seconds: 70 }], spots: 1 },
      }));
    expect(found(routineOf([hold('a', 'thumb'), hold('b', 'fingertips'), hold('c', 'thumb')]), 'thumb-load')).toEqual(
      [],
    );
  });
});

describe('order of findings and cost', () => {
  test('stops come first, then by step', () => {
    const r = routineOf([
      stepOf('temple-circles', 'a', pressed('deep')),
      stepOf('under-eye-four-points', 'b', pressed('firm')),
    ]);
    const weights = checkRoutine(r, CATALOGUE).map((f) => ['stop', 'warn', 'hint'].indexOf(f.severity));
    expect(weights).toEqual([...weights].sort((a, b) => a - b));
  });
  test('a technique nobody knows is named with its step', () =>
    expect(() =>
      checkRoutine(routineOf([{ ...stepOf('temple-circles'), technique: 'levitation' }]), CATALOGUE),
    ).toThrow('steps[0].technique: "levitation" is not a known technique'));
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
          stepOf(technique, `s${i}`, (s) => (s.pressure ? { ...s, pressure: pressure as Step['pressure'] } : s)),
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

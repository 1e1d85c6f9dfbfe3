import { beforeAll, describe, expect, test, vi } from 'vitest';
import { caseOf, HEAD_AND_NECK, LEFT_JAW, LIBRARY, ONLY_STRESS, screenedWith } from '../../demo/proposal-cases.ts';
import { openSolver } from '../../tests/support/solver.ts';
import { breachesOf } from '../limits/index.ts';
import { expandRoutine, stepsOf, totalsOf } from '../routine/index.ts';
import { pressureRank } from '../words/index.ts';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';
import { handAt } from './changes.ts';
import { poolOf } from './candidates.ts';
import type { Ask, Known, Proposal } from './case.ts';
import { propose } from './propose.ts';
import type { Solve } from './solver.ts';
import { targetsOf } from './targets.ts';
import { wayOf } from './ways.ts';

vi.setConfig({ testTimeout: 240_000 });
let solve: Solve;
beforeAll(async () => {
  solve = await openSolver();
});
const proposed = (known: Partial<Known>, ask: Partial<Ask>): Proposal => {
  const answer = propose(caseOf('x', known, { minutes: 10, ...ask }), LIBRARY, solve, { gap: 0.01 });
  if (answer.status !== 'proposed') throw new Error(answer.text);
  return answer;
};
const techniques = (p: Proposal) => stepsOf(p.routine).map((s) => LIBRARY.catalogue.techniques.get(s.technique)!);
const poolFor = (known: Partial<Known>, ask: Partial<Ask>, yes: string[] = []) => {
  const c = caseOf('x', known, ask, screenedWith(yes));
  return { c, pool: poolOf(c, targetsOf(c, LIBRARY), wayOf(LIBRARY.catalogue.schools.get(c.ask.school)), LIBRARY) };
};

describe('each wish changes what is proposed, in its own direction', () => {
  test('gentler: no step harder than without it, and most of them lighter', () => {
    const ranks = (p: Proposal) =>
      stepsOf(p.routine).flatMap((s) => (s.pressure ? [pressureRank(s.pressure.there)] : []));
    const [plain, gentle] = [ranks(proposed(LEFT_JAW, {})), ranks(proposed(LEFT_JAW, { gentler: true }))];
    expect(Math.max(...plain)).toBe(pressureRank('medium'));
    expect(Math.max(...gentle)).toBe(pressureRank('light'));
  });
  test('more of a region: more hands-on time there', () => {
    const at = (p: Proposal) => {
      const { stepSeconds } = totalsOf(stepsOf(p.routine).length, expandRoutine(p.routine));
      return techniques(p).reduce((s, t, i) => s + (t.regions[0] === 'scalp' ? stepSeconds[i]! : 0), 0);
    };
    expect(at(proposed(ONLY_STRESS, { more: ['scalp'] }))).toBeGreaterThan(at(proposed(ONLY_STRESS, {})));
  });
  test('fewer changes: fewer steps in fewer places', () => {
    const [plain, few] = [proposed(HEAD_AND_NECK, {}), proposed(HEAD_AND_NECK, { fewerChanges: true })];
    expect(stepsOf(few.routine).length).toBeLessThan(stepsOf(plain.routine).length);
    expect(few.order.seconds).toBeLessThan(plain.order.seconds);
  });
  test('with exercises: more than the one that relief has at most', () => {
    const exercises = (p: Proposal) => techniques(p).filter((t) => t.phase === 'exercise').length;
    const known: Partial<Known> = {
      complaints: [
        { kind: 'other', side: null, score: 8 },
        { kind: 'eye-strain', side: null, score: 6 },
      ],
    };
    expect(exercises(proposed(known, {}))).toBeLessThanOrEqual(1);
    expect(exercises(proposed(known, { exercises: true }))).toBeGreaterThan(1);
  });
  test('sides: alike has no extra set, the sorer side gets one with its reason, the sore side alone is worked alone', () => {
    const modes = (sides: Ask['sides']) => {
      const { pool } = poolFor(LEFT_JAW, { sides });
      const masseter = pool.candidates.filter((x) => x.technique.muscles[0] === 'masseter-superficial');
      return {
        extra: masseter.some((x) => x.main.sides.extra),
        modes: new Set(masseter.map((x) => x.main.sides.mode)),
      };
    };
    expect(modes('equal').extra).toBe(false);
    expect(modes('extra-on-sorer').extra).toBe(true);
    expect([...modes('sore-side-only').modes].filter((m) => m !== 'midline')).toEqual(['left']);
  });
  test('a tool is used only when it is at hand; a technique taken out stays out', () => {
    expect(poolFor(LEFT_JAW, {}).pool.candidates.filter((x) => x.tool)).toEqual([]);
    expect(poolFor(LEFT_JAW, { tools: ['ball'], hands: 'own' }).pool.candidates.some((x) => x.tool === 'ball')).toBe(
      true,
    );
    const [first] = proposed(ONLY_STRESS, {}).work;
    expect(proposed(ONLY_STRESS, { excluded: [first!] }).work).not.toContain(first);
  });
  test('the school: its blocks and its walk, downward or upward', () => {
    // From the first piece of face work to the last, seen from the side.
    const fall = (school: string) => {
      const p = proposed(ONLY_STRESS, { school, minutes: 15 });
      const face = techniques(p).filter((t) => ['warm-up', 'release', 'press'].includes(t.phase));
      const heights = face.map((technique) => handAt({ technique } as never)[1]);
      const half = heights.length >> 1;
      const mean = (of: number[]) => of.reduce((a, b) => a + b, 0) / of.length;
      return mean(heights.slice(0, half)) - mean(heights.slice(half));
    };
    expect(fall('top-down')).toBeGreaterThan(0);
    expect(fall('bottom-up')).toBeLessThan(0);
    const neck = (school: string) => {
      const phases = techniques(proposed(HEAD_AND_NECK, { school, minutes: 15 })).map((t) => t.phase);
      return phases.indexOf('neck') < phases.findIndex((p) => p === 'release' || p === 'press');
    };
    expect([neck('neck-first'), neck('top-down')]).toEqual([true, false]);
  });
});

describe('what may be chosen at all', () => {
  test.each(CAUTIONS.filter((x) => x.question !== null && x.group !== 'red-flag' && !x.after).map((x) => [x.key]))(
    'with %s: not one candidate, whatever its dose, contact or side, runs into a ban',
    (key) => {
      const { c, pool } = poolFor(LEFT_JAW, { tools: ['ball'] }, [key]);
      for (const x of pool.candidates)
        for (const s of x.steps)
          expect(
            breachesOf(s, c.screening, LIBRARY.catalogue)
              .filter((b) => b.effect === 'ban')
              .map((b) => b.reason),
            `${x.technique.id} ${x.level} ${s.contact}`,
          ).toEqual([]);
    },
  );
});

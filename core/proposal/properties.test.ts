import { beforeAll, describe, expect, test, vi } from 'vitest';

import { randomCase } from '../../demo/random-case.ts';
import { caseOf, HEAD_AND_NECK, LEFT_JAW, LIBRARY, screenedWith } from '../../demo/proposal-cases.ts';
import { openSolver } from '../../tests/support/solver.ts';
import { breachesOf, factsOf, screen } from '../limits/index.ts';
import { hardestOf, routineSeconds, stepsOf } from '../routine/index.ts';
import { checkRoutine } from '../rules/index.ts';
import { pressureRank } from '../words/index.ts';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';
import { poolOf } from './candidates.ts';
import type { Proposal, ProposalCase } from './case.ts';
import { propose } from './propose.ts';
import type { Solve } from './solver.ts';
import { targetsOf } from './targets.ts';
import { wayOf } from './ways.ts';

// Whole programs are solved here; on a loaded machine that takes its time.
vi.setConfig({ testTimeout: 240_000 });

let solve: Solve;
beforeAll(async () => {
  solve = await openSolver();
});
/** What holds of a choice holds whether it is proven best or not: near enough is quicker. */
const NEAR = { gap: 0.3 } as const;
const proposed = (c: ProposalCase, gap = 0): Proposal => {
  const answer = propose(c, LIBRARY, solve, { gap });
  if (answer.status !== 'proposed') throw new Error(`${c.name}: ${answer.text}`);
  return answer;
};
/** What a choice could not have avoided. */
const KNOWN_WARNINGS = new Set(['screening-care', 'even-sides']);

describe('whatever the case', () => {
  // Every run asks some; `npm run bench` asks 300.
  const CASES = Number(process.env.VELVET_PROPOSAL_CASES ?? 32);
  test('random cases: no stop, no avoidable warning, nothing over, all explained', () => {
    for (let seed = 1; seed <= CASES; seed++) {
      const c = randomCase(seed);
      const answer = propose(c, LIBRARY, solve, NEAR);
      const told = `seed ${seed}`;
      if (answer.status !== 'proposed') {
        // Said, with what to do or why: a visit that must not be, or a frame that does not fit so few minutes.
        expect(answer.text.length, told).toBeGreaterThan(10);
        expect(
          c.screening.mustStop ||
            c.screening.postpone ||
            answer.status === 'nothing-allowed' ||
            answer.relaxations.length > 0,
          told,
        ).toBe(true);
        continue;
      }
      expect(routineSeconds(answer.routine), told).toBeLessThanOrEqual(answer.budgetSeconds + 1e-6);
      expect(
        answer.reasons.map((r) => r.stepId),
        told,
      ).toEqual(stepsOf(answer.routine).map((s) => s.id));
      expect(
        answer.reasons.every((r) => r.text.length > 3),
        told,
      ).toBe(true);
      for (const s of stepsOf(answer.routine)) {
        expect(
          breachesOf(s, c.screening, LIBRARY.catalogue).filter((b) => b.effect === 'ban'),
          `${told} ${s.technique}`,
        ).toEqual([]);
        if (c.screening.pressureCap && s.pressure)
          expect(pressureRank(hardestOf(s)!)).toBeLessThanOrEqual(pressureRank(c.screening.pressureCap));
      }
      const found = checkRoutine(answer.routine, LIBRARY.catalogue, c.screening).filter((f) => f.severity !== 'hint');
      // Care where nothing else reaches a sore place; one side alone only where that was asked for or is all that is free.
      expect(
        found.filter((f) => f.severity === 'stop' || !KNOWN_WARNINGS.has(f.rule)),
        told,
      ).toEqual([]);
      if (c.ask.sides !== 'sore-side-only' && !Object.keys(c.screening.sides).length)
        expect(
          found.filter((f) => f.rule === 'even-sides'),
          told,
        ).toEqual([]);
      for (const t of c.tenderness.filter((x) => x.grade >= 2)) {
        const isTold = answer.notReached.some((n) => n.muscle === t.muscle && n.side === t.side && n.text.length > 3);
        const isReached = answer.reasons.length > 0 && !isTold;
        expect(isTold || isReached, `${told} ${t.muscle}`).toBe(true);
      }
    }
  }, 1_200_000);

  test('equal cases give equal answers, whatever the order of their keys', () => {
    const reversed = <T>(v: T): T =>
      Array.isArray(v) || v === null || typeof v !== 'object' || v instanceof Map
        ? v
        : (Object.fromEntries(Object.entries(v).reverse()) as T);
    for (const seed of [3, 8, 21]) {
      const c = randomCase(seed);
      const again = { ...reversed(c), ask: reversed(c.ask) };
      expect(JSON.stringify(propose(again, LIBRARY, solve))).toBe(JSON.stringify(propose(c, LIBRARY, solve)));
    }
  });

  test('one more caution never adds a technique that may be chosen', () => {
    const poolWith = (yes: string[]) => {
      const c = caseOf('x', LEFT_JAW, {}, screenedWith(yes));
      const { candidates } = poolOf(
        c,
        targetsOf(c, LIBRARY),
        wayOf(LIBRARY.catalogue.schools.get('neck-first')),
        LIBRARY,
      );
      return new Set(candidates.map((x) => x.technique.id));
    };
    const before = poolWith([]);
    for (const key of ['pregnancy', 'thyroid', 'anticoagulant', 'botulinum', 'neck-injury', 'filler', 'hypertension'])
      for (const id of poolWith([key])) expect(before.has(id), `${key}: ${id}`).toBe(true);
  });

  test('a caution of the practice’s own closes for a proposal what it closes for everybody', () => {
    const rule = {
      ...CAUTIONS.find((c) => c.key === 'botulinum')!,
      key: 'own',
      group: 'everyone' as const,
      question: null,
      severity: 'avoid' as const,
      appliesTo: [{ region: ['jaw' as const] }],
    };
    const c = caseOf(
      'x',
      LEFT_JAW,
      { minutes: 10 },
      screen([...CAUTIONS, rule], Object.fromEntries(CAUTIONS.map((k) => [k.key, 'no' as const]))),
    );
    const jaw = (p: Proposal) => stepsOf(p.routine).filter((s) => factsOf(s, LIBRARY.catalogue).region.has('jaw'));
    expect(jaw(proposed(caseOf('x', LEFT_JAW, { minutes: 10 }), 0.1))).not.toEqual([]);
    expect(jaw(proposed(c, 0.1))).toEqual([]);
  });

  test('inside one band of minutes more time is never worth less', () => {
    for (const known of [LEFT_JAW, HEAD_AND_NECK]) {
      const values = [8, 11].map((minutes) => proposed(caseOf('x', known, { minutes })).value);
      expect(values).toEqual([...values].sort((a, b) => a - b));
    }
  });
});

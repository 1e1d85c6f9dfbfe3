import { beforeAll, beforeEach, expect, test, vi } from 'vitest';
import { caseOf, LIBRARY, ONLY_STRESS } from '../../demo/proposal-cases.ts';
import { openSolver } from '../../tests/support/solver.ts';
import { stepsOf, type Routine } from '../routine/index.ts';
import type * as Rules from '../rules/index.ts';
import type { RuleFinding } from '../rules/index.ts';
import { propose } from './propose.ts';
import type { Solve } from './solver.ts';

/** A rule of the day that speaks against techniques beside what it says anyway. */
const rule = vi.hoisted(() => ({
  against: (_technique: string): RuleFinding['severity'] | null => null,
  id: 'keep-off',
}));
vi.mock('../rules/index.ts', async (original) => {
  const real = await original<typeof Rules>();
  return {
    ...real,
    checkRoutine: (routine: Routine, ...rest: [never, never]) => [
      ...stepsOf(routine).flatMap((s) => {
        const severity = rule.against(s.technique);
        return severity ? [{ rule: rule.id, severity, stepIds: [s.id], title: '', reason: '', fix: null }] : [];
      }),
      ...real.checkRoutine(routine, ...rest),
    ],
  };
});
vi.setConfig({ testTimeout: 240_000 });

let solve: Solve;
beforeAll(async () => {
  solve = await openSolver();
});
beforeEach(() => {
  rule.against = () => null;
  rule.id = 'keep-off';
});
const asked = () => propose(caseOf('x', ONLY_STRESS, { minutes: 6 }), LIBRARY, solve, { gap: 0.05 });
const work = (answer: ReturnType<typeof asked>): string[] => (answer.status === 'proposed' ? answer.work : []);

test('what the checker would stop is taken out, and what it stops altogether is never given', () => {
  const [first] = work(asked());
  expect(first).toBeDefined();
  rule.against = (t) => (t === first ? 'stop' : null);
  const second = asked();
  expect(second.status).toBe('proposed');
  expect(work(second)).not.toContain(first);
  rule.against = () => 'stop';
  expect(asked().status).toBe('cannot-fit');
});
test('a warning that another choice would not have is avoided; any other stands', () => {
  const [first] = work(asked());
  rule.against = (t) => (t === first ? 'warn' : null);
  expect(work(asked())).toContain(first);
  // Of a warning it is enough that one of its steps goes: here there is one.
  rule.id = 'thumb-load';
  expect(work(asked())).not.toContain(first);
});

import { breachesOf, type Screening } from '../limits/index.ts';
import { type Catalogue, expandRoutine, type Routine, totalsOf } from '../routine/index.ts';
import { InputError } from '../words/index.ts';
import { LOAD_RULES } from './load.ts';
import { ORDER_RULES } from './order.ts';
import { SAFETY_RULES } from './safety.ts';
import type { Finding, Placed, Rule, RuleSeverity } from './types.ts';

export type { Finding, Rule } from './types.ts';
export const RULES: readonly Rule[] = [...SAFETY_RULES, ...ORDER_RULES, ...LOAD_RULES];

const WEIGHT: Record<RuleSeverity, number> = { stop: 0, warn: 1, hint: 2 };

/**
 * Hold a routine against all rules, in one pass per rule whose cost grows linearly with the steps. The same checker
 * serves screen, server, command line and import. Stops come first, then in order of the steps.
 * @throws InputError for a technique the catalogue does not know.
 */
export function checkRoutine(routine: Routine, catalogue: Catalogue, screening: Screening | null = null): Finding[] {
  const steps = placedSteps(routine, catalogue);
  const cues = expandRoutine(routine);
  const breaches = steps.map((p) => (screening ? breachesOf(p.step, screening, catalogue) : []));
  const context = { routine, steps, cues, totals: totalsOf(routine.steps, cues), screening, breaches, catalogue };
  const position = new Map(routine.steps.map((s, i) => [s.id, i]));
  const found = RULES.flatMap((rule) =>
    rule.check(context).map((f) => ({ ...f, rule: rule.id, severity: rule.severity, reason: rule.reason })),
  );
  const at = (f: Finding) => position.get(f.stepIds[0] ?? '') ?? routine.steps.length;
  return found.sort((a, b) => WEIGHT[a.severity] - WEIGHT[b.severity] || at(a) - at(b));
}

function placedSteps(routine: Pick<Routine, 'steps'>, catalogue: Catalogue): Placed[] {
  return routine.steps.map((step, index) => {
    const technique = catalogue.techniques.get(step.technique);
    if (!technique) throw new InputError(`steps[${index}].technique`, `"${step.technique}" is not a known technique`);
    return { step, technique, index };
  });
}

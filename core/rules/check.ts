import { breachesOf, type Screening } from '../limits/index.ts';
import {
  expandRoutine,
  stepsOf,
  totalsOf,
  USUAL_ORDER,
  type Catalogue,
  type OrderProfile,
  type Routine,
} from '../routine/index.ts';
import { InputError } from '../words/index.ts';
import { balance } from './kinds/balance.ts';
import { budget } from './kinds/budget.ts';
import { cap } from './kinds/cap.ts';
import { care } from './kinds/care.ts';
import { course } from './kinds/course.ts';
import { framed } from './kinds/frame.ts';
import { keepOff } from './kinds/keep-off.ts';
import { load } from './kinds/load.ts';
import { precedence } from './kinds/precedence.ts';
import { RULES } from './rows.ts';
import type { Rule, RuleSeverity } from './rule.ts';
import type { Placed, RuleContext, RuleFinding, Said } from './types.ts';

const WEIGHT: Record<RuleSeverity, number> = { stop: 0, warn: 1, hint: 2 };

/** What the school of a routine decides, with the routine's own departure from it. */
function orderOf(routine: Pick<Routine, 'school' | 'order'>, catalogue: Catalogue): OrderProfile {
  return routine.order ?? catalogue.schools.get(routine.school)?.order ?? USUAL_ORDER;
}

/**
 * Hold a routine against all rules, in one pass per rule whose cost grows linearly with the steps. The same checker
 * serves screen, server, command line and import. Stops come first, then in order of the steps.
 * @param rules Others than the application's own, for tests.
 * @throws InputError for a technique the catalogue does not know.
 * @example checkRoutine(routine, catalogue, screen(cautions, answers)).filter((f) => f.severity === 'stop')
 */
export function checkRoutine(
  routine: Routine,
  catalogue: Catalogue,
  screening: Screening | null = null,
  rules: readonly Rule[] = RULES,
): RuleFinding[] {
  const steps = placedSteps(routine, catalogue);
  const cues = expandRoutine(routine);
  const order = orderOf(routine, catalogue);
  const context: RuleContext = {
    routine,
    order,
    steps,
    cues,
    totals: totalsOf(steps.length, cues),
    screening,
    breaches: steps.map((p) => (screening ? breachesOf(p.step, screening, catalogue) : [])),
    catalogue,
  };
  const position = new Map(steps.map((p) => [p.step.id, p.index]));
  const at = (f: RuleFinding) => position.get(f.stepIds[0] ?? '') ?? steps.length;
  return rules
    .filter((rule) => rule.when === null || order[rule.when.setting] === rule.when.is)
    .flatMap((rule) =>
      said(rule, context).map((f) => ({ ...f, rule: rule.id, severity: rule.severity, reason: rule.reason })),
    )
    .sort((a, b) => WEIGHT[a.severity] - WEIGHT[b.severity] || at(a) - at(b));
}

function said(rule: Rule, context: RuleContext): Said[] {
  switch (rule.kind) {
    case 'cap':
      return cap(rule, context);
    case 'keep-off':
      return keepOff(rule, context);
    case 'precedence':
      return precedence(rule, context);
    case 'frame':
      return framed(rule, context);
    case 'balance':
      return balance(rule, context);
    case 'budget':
      return budget(context);
    case 'load':
      return load(rule, context);
    case 'care':
      return care(rule, context);
    case 'course':
      return course(rule, context);
  }
}

function placedSteps(routine: Pick<Routine, 'items'>, catalogue: Catalogue): Placed[] {
  return stepsOf(routine).map((step, index) => {
    const technique = catalogue.techniques.get(step.technique);
    if (!technique) throw new InputError(`step ${index + 1}`, `"${step.technique}" is not a known technique`);
    return { step, technique, index };
  });
}

import type { Screening } from '../limits/index.ts';
import { emptyRoutine, type Catalogue, type Step } from '../routine/index.ts';
import { checkRoutine } from './check.ts';
import { RULES } from './rows.ts';

/** Rules that speak of one step by itself, whatever stands around it. */
const OF_ONE_STEP = RULES.filter((r) => r.kind === 'cap' || r.kind === 'keep-off' || r.kind === 'care');

interface StepAlone {
  /** Why it may not be done so; null when it may. */
  stop: string | null;
  /** What care is asked for; null when none. */
  care: string | null;
  /** It has to be done one side after the other. */
  eachSide: boolean;
}

/** What the rules say of one step by itself: screening, caps, keep-off places, and both sides of the neck at once. */
export function checkAlone(step: Step, catalogue: Catalogue, screening: Screening | null): StepAlone {
  const routine = { ...emptyRoutine('One step'), budgetMinutes: null, items: [step] };
  const found = checkRoutine(routine, catalogue, screening, OF_ONE_STEP);
  return {
    stop: found.find((f) => f.severity === 'stop')?.title ?? null,
    care: found.find((f) => f.severity === 'warn' && f.rule === 'screening-care')?.title ?? null,
    eachSide: found.some((f) => f.rule === 'both-sides-of-neck'),
  };
}

/** What a rule of load allows without a break, in seconds, and in one region: the same rows that findings come from. */
export function loadLimits(): { thumbsSeconds: number; regionSeconds: number } {
  const most = (asks: 'unbroken' | 'in-a-region') =>
    RULES.reduce(
      (least, r) => (r.kind === 'load' && r.asks === asks ? Math.min(least, r.mostSeconds) : least),
      Infinity,
    );
  return { thumbsSeconds: most('unbroken'), regionSeconds: most('in-a-region') };
}

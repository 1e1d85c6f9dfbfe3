import { clock } from '../../words/index.ts';
import type { RuleContext, Said } from '../types.ts';

/** How far the routine runs over its time. */
export function budget({ routine, totals, steps }: RuleContext): Said[] {
  if (routine.budgetMinutes === null || totals.totalSeconds <= routine.budgetMinutes * 60) return [];
  const over = totals.totalSeconds - routine.budgetMinutes * 60;
  return [
    {
      stepIds: steps.slice(-1).map((p) => p.step.id),
      title: `${clock(over)} over the ${routine.budgetMinutes} minutes.`,
      fix: { label: 'Shorten the longest steps', action: { do: 'shorten-to-budget' } },
    },
  ];
}

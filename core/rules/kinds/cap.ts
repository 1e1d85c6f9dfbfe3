import { hardestOf } from '../../routine/index.ts';
import { pressureRank } from '../../words/index.ts';
import type { CapRule } from '../rule.ts';
import { rankOf, selects } from '../select.ts';
import { nameOf, type RuleContext, type Said } from '../types.ts';

/** Steps that press harder than the cap; the fix is the cap itself. */
export function cap(rule: CapRule, { steps, catalogue }: RuleContext): Said[] {
  return steps.flatMap((p): Said[] => {
    const most = rule.most === 'own' ? p.technique.pressure?.most : rule.most;
    if (!most || rankOf(p) <= pressureRank(most) || !selects(rule.of, p, catalogue)) return [];
    const range = p.technique.pressure;
    const title =
      rule.most === 'own'
        ? `${nameOf(p)} is usually ${range!.least === most ? most : `${range!.least} to ${most}`}.`
        : `${nameOf(p)} is ${hardestOf(p.step)}; ${rule.where} takes ${most} at most.`;
    return [
      {
        stepIds: [p.step.id],
        title,
        fix: { label: `Make it ${most}`, action: { do: 'set-pressure', stepId: p.step.id, pressure: most } },
      },
    ];
  });
}

import { lighterOf } from '../../words/index.ts';
import type { CareRule } from '../rule.ts';
import { nameOf, type FixAction, type RuleContext, type Said } from '../types.ts';

/** What screening takes away or asks care for. */
export function care(rule: CareRule, { steps, breaches }: RuleContext): Said[] {
  return steps.flatMap((p): Said[] => {
    const stepIds = [p.step.id];
    const met = breaches[p.index]!.filter((b) => b.effect === rule.effect);
    const first = met[0];
    if (!first) return [];
    if (rule.effect === 'warn') return [{ stepIds, title: `${nameOf(p)}: ${first.reason}`, fix: null }];
    const free = met.every((b) => b.freeSide === first.freeSide) ? first.freeSide : null;
    const lower = met.every((b) => b.lowerTo) ? met.map((b) => b.lowerTo!).reduce(lighterOf) : null;
    const action: FixAction = lower
      ? { do: 'set-pressure', stepId: p.step.id, pressure: lower }
      : free
        ? { do: 'one-side', stepId: p.step.id, side: free }
        : { do: 'remove', stepId: p.step.id };
    return [
      {
        stepIds,
        title: `${nameOf(p)}: off limits. ${first.reason}`,
        fix: { label: lower ? `Make it ${lower}` : free ? `Only on the client’s ${free}` : 'Take it out', action },
      },
    ];
  });
}

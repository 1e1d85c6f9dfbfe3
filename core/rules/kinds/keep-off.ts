import type { KeepOffRule } from '../rule.ts';
import { selects } from '../select.ts';
import { nameOf, type FixAction, type RuleContext, type Said } from '../types.ts';

/** Steps that touch what is never touched. */
export function keepOff(rule: KeepOffRule, { steps, catalogue }: RuleContext): Said[] {
  return steps
    .filter((p) => selects(rule.of, p, catalogue))
    .flatMap((p): Said[] => {
      const stepIds = [p.step.id];
      if (rule.what === 'both-sides')
        return [
          {
            stepIds,
            title: `${nameOf(p)} works both sides of the neck at once.`,
            fix: { label: 'One side after the other', action: { do: 'each-side', stepId: p.step.id } },
          },
        ];
      const place = p.step.path.find((x) => x.kind === 'keep-off');
      if (!place) return [];
      const rest = p.step.path.some((x) => x.kind !== 'keep-off');
      const action: FixAction = rest ? { do: 'drop-place', stepId: p.step.id } : { do: 'remove', stepId: p.step.id };
      return [
        {
          stepIds,
          title: `${nameOf(p)} touches the ${catalogue.placeName(place) ?? place.id}.`,
          fix: { label: rest ? 'Leave that place out' : 'Take it out', action },
        },
      ];
    });
}

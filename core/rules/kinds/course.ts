import { hardestOf } from '../../routine/index.ts';
import { COMPLAINT_NAMES, pressureRank } from '../../words/index.ts';
import type { CourseRule } from '../rule.ts';
import { rankOf } from '../select.ts';
import { nameOf, type RuleContext, type Said } from '../types.ts';

/** Harder work than is free on a complaint that has become worse over the visits; the fix is lighter work. */
export function course(rule: CourseRule, { steps, screening }: RuleContext): Said[] {
  if (!screening?.worse.length) return [];
  return steps.flatMap((p): Said[] => {
    const kind = screening.worse.find((k) => p.technique.serves.includes(k));
    if (!kind || rankOf(p) <= pressureRank(rule.most)) return [];
    return [
      {
        stepIds: [p.step.id],
        title: `${nameOf(p)} is ${hardestOf(p.step)}, and ${COMPLAINT_NAMES[kind].toLowerCase()} has become worse over the visits.`,
        fix: {
          label: `Make it ${rule.most}`,
          action: { do: 'set-pressure', stepId: p.step.id, pressure: rule.most },
        },
      },
    ];
  });
}

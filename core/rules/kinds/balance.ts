import { counted } from '../../words/index.ts';
import { WORKING } from '../../routine/index.ts';
import type { OneSide } from '../../words/index.ts';
import type { BalanceRule } from '../rule.ts';
import { nameOf, type RuleContext, type Said } from '../types.ts';

/** Seconds that the sides differ, and what of that is meant. */
export function balance(rule: BalanceRule, { cues, steps }: RuleContext): Said[] {
  if (rule.asks === 'intended')
    return steps.flatMap((p): Said[] => {
      const { extra } = p.step.sides;
      if (!extra?.reason) return [];
      const sets = counted(extra.sets, 'more set');
      return [
        {
          stepIds: [p.step.id],
          title: `${nameOf(p)}: ${sets} on the client’s ${extra.side}. ${extra.reason}`,
          fix: null,
        },
      ];
    });
  const seconds = { left: 0, right: 0 };
  for (const cue of cues) {
    if (!WORKING.has(cue.kind) || (cue.side !== 'left' && cue.side !== 'right')) continue;
    const extra = steps[cue.stepIndex]!.step.sides.extra;
    const intended = extra?.side === cue.side && extra.reason && cue.set > cue.sets - extra.sets;
    if (!intended) seconds[cue.side] += (cue.endMs - cue.startMs) / 1000;
  }
  const difference = seconds.left - seconds.right;
  if (Math.abs(difference) < rule.withinSeconds) return [];
  const more: OneSide = difference > 0 ? 'left' : 'right';
  const oneSided = steps.filter((p) => p.step.sides.mode === more || p.step.sides.extra?.side === more);
  return [
    {
      stepIds: oneSided.map((p) => p.step.id),
      title: `Client’s ${more} side gets ${Math.round(Math.abs(difference))} s more.`,
      fix: oneSided.length ? { label: 'Even it out', action: { do: 'even-sides' } } : null,
    },
  ];
}

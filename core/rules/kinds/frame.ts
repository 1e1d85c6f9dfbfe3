import type { FrameRule } from '../rule.ts';
import { nameOf, type Placed, type RuleContext, type Said } from '../types.ts';

/** What is opened is closed in reverse, and the closing ends where the opening began. */
export function framed(rule: FrameRule, { steps }: RuleContext): Said[] {
  const isLast = (p: Placed | undefined): boolean => !!p && p.technique.roles.some((r) => rule.last.includes(r));
  if (rule.asks === 'end') {
    const closing = steps.filter((p) => rule.closes.includes(p.technique.phase));
    const at = closing.findIndex(isLast);
    if (at < 0 || at === closing.length - 1) return [];
    const last = closing[closing.length - 1]!;
    return [
      {
        stepIds: [closing[at]!.step.id],
        title: `${nameOf(closing[at]!)} comes before ${nameOf(last)}; the collarbone is last.`,
        fix: { label: 'Move it to the end', action: { do: 'move', stepId: closing[at]!.step.id, to: last.index } },
      },
    ];
  }
  const opened = steps.filter((p) => rule.opens.includes(p.technique.phase));
  if (!opened.length) return [];
  const lastWork = steps.findLast((p) => !rule.around.includes(p.technique.phase))?.index ?? -1;
  const after = steps.filter((p) => p.index > lastWork && rule.closes.includes(p.technique.phase));
  if (isLast(after[after.length - 1])) return [];
  // A routine that only opens, with no work after it, has nothing to close.
  const onlyOpens = lastWork < opened[0]!.index && !after.some((p) => !rule.opens.includes(p.technique.phase));
  if (onlyOpens) return [];
  return [
    {
      stepIds: opened.map((p) => p.step.id),
      title: after.length
        ? 'The closing drainage does not end at the collarbone.'
        : 'The drainage is opened but not closed.',
      fix: { label: 'Close it in reverse', action: { do: 'mirror-drainage' } },
    },
  ];
}

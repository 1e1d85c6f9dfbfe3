import { WORKING } from '../../routine/index.ts';
import { clock, type Region, CONTACT_NAMES } from '../../words/index.ts';
import type { LoadRule } from '../rule.ts';
import { selects } from '../select.ts';
import { nameOf, type Placed, type RuleContext, type Said } from '../types.ts';

/** Longer than hands or skin should bear. */
export const load = (rule: LoadRule, context: RuleContext): Said[] =>
  rule.asks === 'unbroken' ? unbroken(rule, context) : inARegion(rule, context);

/** Work of one contact without another between. */
function unbroken(rule: LoadRule, { cues, steps, catalogue }: RuleContext): Said[] {
  const held = steps.map((p) => selects(rule.of, p, catalogue));
  let seconds = 0;
  let inRun = new Set<Placed>();
  for (const cue of cues) {
    if (!held[cue.stepIndex]) {
      seconds = 0;
      inRun = new Set();
      continue;
    }
    inRun.add(steps[cue.stepIndex]!);
    if (WORKING.has(cue.kind)) seconds += (cue.endMs - cue.startMs) / 1000;
    if (seconds <= rule.mostSeconds) continue;
    const tiring = rule.of.contact ?? [];
    const run = [...inRun];
    const swap = run.find((p) => p.technique.contacts.some((c) => !tiring.includes(c)));
    const contact = swap?.technique.contacts.find((c) => !tiring.includes(c));
    return [
      {
        stepIds: run.map((p) => p.step.id),
        title: `Thumbs work ${clock(seconds)} without a break.`,
        fix:
          swap && contact
            ? {
                label: `${nameOf(swap)} with ${CONTACT_NAMES[contact]}`,
                action: { do: 'set-contact', stepId: swap.step.id, contact },
              }
            : null,
      },
    ];
  }
  return [];
}

/** Everything that works one region, added up. */
function inARegion(rule: LoadRule, { steps, totals, catalogue }: RuleContext): Said[] {
  const seconds = new Map<Region, { sum: number; steps: Placed[] }>();
  for (const p of steps) {
    if (!selects(rule.of, p, catalogue)) continue;
    const where = p.technique.regions.find((r) => rule.of.works?.includes(r));
    if (!where) continue;
    const so = seconds.get(where) ?? { sum: 0, steps: [] };
    so.sum += totals.stepSeconds[p.index] ?? 0;
    so.steps.push(p);
    seconds.set(where, so);
  }
  return [...seconds]
    .filter(([, { sum }]) => sum > rule.mostSeconds)
    .map(([where, { sum, steps: on }]) => ({
      stepIds: on.map((p) => p.step.id),
      title: `${clock(sum)} on the ${where}; ${Math.round(rule.mostSeconds / 60)} minutes a day are enough.`,
      fix: null,
    }));
}

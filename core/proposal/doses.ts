import { BOUNDS, expandRoutine, totalsOf, type DosePart, type Step } from '../routine/index.ts';
import type { OneSide } from '../words/index.ts';
import type { ProposalCase } from './case.ts';
import { DOSE_LEAST, DOSE_SHARE, SORER, STEP_MOST } from './constants.ts';
import { sorerOf } from './targets.ts';

export type DoseLevel = keyof typeof DOSE_SHARE;
export type SidesPlan = 'as-taught' | 'extra' | 'one-side';

const held = (v: number, [least, most]: readonly [number, number]): number => Math.min(most, Math.max(least, v));
const toFive = (seconds: number): number => Math.max(DOSE_LEAST.holdSeconds, Math.round(seconds / 5) * 5);

/** One part at a share of its own dose: holds in fives, whole counts, an open dose between its own least and most. */
function partAt(part: DosePart, share: number): DosePart {
  switch (part.kind) {
    case 'hold':
      return part.seconds <= DOSE_LEAST.holdSeconds
        ? part
        : { ...part, seconds: held(toFive(part.seconds * share), BOUNDS.holdSeconds) };
    case 'beats': {
      const asked = Math.round(part.count * share);
      const least = Math.min(part.count, DOSE_LEAST.count);
      const count = held(share > 1 && part.most ? Math.min(part.most, asked) : Math.max(least, asked), BOUNDS.count);
      return { ...part, count, most: part.most && part.most > count ? part.most : null };
    }
    case 'breath':
      return { ...part, cycles: held(Math.max(DOSE_LEAST.cycles, Math.round(part.cycles * share)), BOUNDS.cycles) };
    case 'open':
      return { ...part, usualSeconds: held(toFive(part.usualSeconds * share), [part.leastSeconds, part.mostSeconds]) };
    case 'check':
    case 'test':
      return part;
  }
}

/** A step at a share of its dose; at 1 it is as it stands. */
export const atShare = (step: Step, share: number): Step =>
  share === 1 ? step : { ...step, dose: { ...step.dose, parts: step.dose.parts.map((p) => partAt(p, share)) } };

/** What a step takes. */
export const totalsOfSteps = (steps: readonly Step[]) => totalsOf(steps.length, expandRoutine({ items: [...steps] }));

/** A step no longer than one may be: its dose cut until it fits, or null when too little of it would be left. */
export function shortEnough(step: Step, level: DoseLevel): Step | null {
  const most = STEP_MOST.sideSeconds * (step.sides.extra ? STEP_MOST.withExtra : 1);
  for (let tenths = Math.round(DOSE_SHARE[level] * 10); tenths >= STEP_MOST.shareLeast * 10; tenths--) {
    const at = atShare(step, tenths / 10);
    const { totalSeconds, workSeconds } = totalsOfSteps([at]);
    if (totalSeconds <= STEP_MOST.seconds && Math.max(workSeconds.left, workSeconds.right, workSeconds.midline) <= most)
      return at;
  }
  return null;
}

/** The side plans that make sense for a step and this client; the first is as taught, the sorer side begins. */
export function sidesPlans(step: Step, muscles: readonly string[], c: ProposalCase): { plan: SidesPlan; step: Step }[] {
  const { mode, sets } = step.sides;
  if (mode !== 'each' && mode !== 'together') return [{ plan: 'as-taught', step }];
  const sorer = sorerOf(c, muscles, SORER);
  const complaint = c.complaints.find((x) => x.side !== null)?.side ?? null;
  const first: OneSide = sorer?.side ?? complaint ?? step.sides.first;
  const base: Step = { ...step, sides: { ...step.sides, first } };
  if (c.ask.sides === 'sore-side-only' && sorer)
    return [{ plan: 'one-side', step: { ...base, sides: { ...base.sides, mode: sorer.side, extra: null } } }];
  const out: { plan: SidesPlan; step: Step }[] = [{ plan: 'as-taught', step: base }];
  if (c.ask.sides === 'extra-on-sorer' && sorer && sets < 3)
    out.push({
      plan: 'extra',
      step: {
        ...base,
        sides: { ...base.sides, mode: 'each', extra: { side: sorer.side, sets: 1, reason: sorer.words } },
      },
    });
  return out;
}

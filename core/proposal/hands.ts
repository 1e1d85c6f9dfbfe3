import { expandRoutine, type Step, WORKING } from '../routine/index.ts';
import { PRESSURE_KPA } from '../words/index.ts';
import { HAND_CLASS, type HandClass } from './trade.ts';

/**
 * Pad area and usual strength of each part of the hand, and of what it holds. Thumb area 1.5–2.5 cm² and tip pinch
 * 49–76 N published (Mathiowetz et al. 1985), from memory; the others our choice.
 */
export const HAND: Record<HandClass | 'pinch' | 'tool', { cm2: number; strengthN: number }> = {
  thumb: { cm2: 2, strengthN: 60 },
  index: { cm2: 2, strengthN: 60 },
  knuckle: { cm2: 3, strengthN: 120 },
  palm: { cm2: 6, strengthN: 200 },
  pinch: { cm2: 2, strengthN: 60 },
  tool: { cm2: 4, strengthN: 120 },
};
/** Mean share of the own strength that a part of the hand may carry over a routine. Byström & Fransson-Hall 1994, intermittent work, from memory. */
export const MEAN_SHARE_MOST = 0.17;
/** One hold may use this share of its endurance. Half is our choice. */
const HOLD_SHARE = 0.5;
/** Below this share of the strength a hold is not limited (Rohmert 1960). */
const ENDLESS_SHARE = 0.15;
/** Worth that a minute at full strength costs. Thumbs tire first (common practice); sizes our choice. */
export const HAND_COST: Record<HandClass, number> = { thumb: 0.8, index: 0.5, knuckle: 0.25, palm: 0.15 };

/** Share of the own strength that a step's pressure takes, 0–1 and above; 0 where nothing presses. */
export function shareOfStrength(step: Pick<Step, 'contact' | 'pressure'>): number {
  const part = HAND_CLASS[step.contact];
  if (!part || !step.pressure) return 0;
  // kPa × cm² ÷ 10 = N.
  return (PRESSURE_KPA[step.pressure.there].nominal * HAND[part].cm2) / 10 / HAND[part].strengthN;
}

/** Seconds that a hold of this share can be kept up (Rohmert 1960); endless below 15 %. */
export const enduranceSeconds = (share: number): number =>
  share < ENDLESS_SHARE ? Infinity : 60 * (-1.5 + 2.1 / share - 0.6 / share ** 2 + 0.1 / share ** 3);

/** Whether one hold of a step lasts longer than half of what the hand could. */
export function holdsTooLong(step: Step): boolean {
  const most = HOLD_SHARE * enduranceSeconds(shareOfStrength(step));
  return step.dose.parts.some(
    (p) =>
      (p.kind === 'hold' && p.seconds > most) || (p.kind === 'open' && step.motion === 'hold' && p.usualSeconds > most),
  );
}

/** Minutes at full strength that a step asks of its part of the hand. */
export function handMinutes(step: Step): { part: HandClass; minutes: number } | null {
  const part = HAND_CLASS[step.contact];
  const share = shareOfStrength(step);
  if (!part || !share) return null;
  let ms = 0;
  for (const cue of expandRoutine({ items: [step] })) if (WORKING.has(cue.kind)) ms += cue.endMs - cue.startMs;
  return { part, minutes: (share * ms) / 60_000 };
}

import { expandRoutine, stepsOf, WORKING, type Routine } from '../routine/index.ts';
import { PRESSURE_KPA, type Contact, type Motion, type Pressure } from '../words/index.ts';
import { enduranceSeconds, HAND } from './hands.ts';
import { HAND_CLASS } from './trade.ts';

/** What of the hand a contact tires. A pinch tires the thumb as well. */
export const HAND_PARTS = ['thumb', 'index', 'knuckle', 'palm', 'pinch', 'tool'] as const;
export type HandPart = (typeof HAND_PARTS)[number];
export const HAND_PART_NAMES: Record<HandPart, string> = {
  thumb: 'thumb',
  index: 'fingers',
  knuckle: 'knuckles',
  palm: 'palm',
  pinch: 'pinch',
  tool: 'tool',
};

/** What a part can press with at most, in N: one's own, where it was measured. */
export type HandStrength = Readonly<Partial<Record<HandPart, number>>>;
export const usualStrengthN = (part: HandPart): number => HAND[part].strengthN;

/** Contacts that are held in the hand; gloves are the hand itself. */
const HELD: ReadonlySet<Contact> = new Set<Contact>(['single-ball', 'ball-pair', 'probe']);
export function handPartsOf(contact: Contact): HandPart[] {
  if (contact === 'pinch') return ['pinch', 'thumb'];
  if (HELD.has(contact)) return ['tool'];
  if (contact === 'conductive-gloves') return ['palm'];
  const part = HAND_CLASS[contact];
  return part ? [part] : [];
}

/** Motions that press for about half of their time. Our choice. */
const HALF_THE_TIME: ReadonlySet<Motion> = new Set<Motion>(['press-pulse', 'tap', 'pump']);

/** Share of its strength that a pressure takes of a part, 0 to 1: kPa × cm² ÷ 10 = N. */
const shareOf = (part: HandPart, pressure: Pressure, strength: HandStrength): number =>
  Math.min(1, (PRESSURE_KPA[pressure].nominal * HAND[part].cm2) / 10 / (strength[part] ?? HAND[part].strengthN));

/** What one step asks of one part of the hand. */
export interface HandWork {
  stepId: string;
  part: HandPart;
  /** From the beginning of the routine. */
  startMs: number;
  endMs: number;
  /** For which it presses. */
  pressSeconds: number;
  /** Of its strength while it presses. */
  share: number;
  /**
   * Of what the part can hold at this share, without any rest: pressing seconds over the endurance (Rohmert 1960). Below
   * 15 % of the strength nothing is used up.
   */
  used: number;
}

/** What a routine asks of the hands, step by step in its order. */
export function handWorkOf(routine: Pick<Routine, 'items'>, strength: HandStrength): HandWork[] {
  const steps = stepsOf(routine);
  const found = new Map<string, HandWork>();
  for (const cue of expandRoutine(routine)) {
    const step = steps[cue.stepIndex];
    if (!step || !cue.hands || !WORKING.has(cue.kind)) continue;
    const pressure = hardest(cue.pressure, cue.pressureBack);
    if (!pressure) continue;
    const seconds = ((cue.endMs - cue.startMs) / 1000) * (HALF_THE_TIME.has(step.motion) ? 0.5 : 1);
    for (const part of handPartsOf(step.contact)) {
      const share = shareOf(part, pressure, strength);
      const used = seconds / enduranceSeconds(share);
      const key = `${cue.stepIndex} ${part}`;
      const known = found.get(key);
      if (!known)
        found.set(key, {
          stepId: step.id,
          part,
          startMs: cue.startMs,
          endMs: cue.endMs,
          pressSeconds: seconds,
          share,
          used,
        });
      else {
        known.endMs = Math.max(known.endMs, cue.endMs);
        known.share = Math.max(known.share, share);
        known.pressSeconds += seconds;
        known.used += used;
      }
    }
  }
  return [...found.values()].sort((a, b) => a.startMs - b.startMs);
}
const hardest = (a: Pressure | null, b: Pressure | null): Pressure | null =>
  a && b ? (PRESSURE_KPA[a].nominal >= PRESSURE_KPA[b].nominal ? a : b) : (a ?? b);

/** What each part has used up by the end. */
export function usedBy(work: readonly HandWork[]): Record<HandPart, number> {
  const used = Object.fromEntries(HAND_PARTS.map((part) => [part, 0])) as Record<HandPart, number>;
  for (const w of work) used[w.part] += w.used;
  return used;
}

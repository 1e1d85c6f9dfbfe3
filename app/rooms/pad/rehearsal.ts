import type { Technique } from '../../../core/routine';
import { newStep } from '../../../core/routine';
import {
  PAD_AREA_CM2,
  padContactOf,
  padKindOf,
  paceOf,
  type Pace,
  type PadContact,
  type PadKind,
} from '../../../core/touch';
import type { Motion, Pressure } from '../../../core/words';
import type { ThresholdTaken } from './thresholds';

/** A technique as it is rehearsed on a pad. */
export interface Rehearsal {
  technique: string;
  name: string;
  motion: Motion;
  direction: string;
  kind: PadKind;
  contact: PadContact;
  pressure: Pressure;
  pace: Pace & { perMinute: number };
  /** What the client it is rehearsed for may have there at most, and their threshold; null where none is known. */
  cap?: (ThresholdTaken & { capKpa: number }) | null;
}

/** How a technique is rehearsed; null where nothing presses that a pad could feel, or a tool does. */
export function rehearsalOf(technique: Technique): Rehearsal | null {
  const step = newStep(technique, 'pad');
  const kind = padKindOf(step.motion);
  if (!kind || !step.pressure || technique.tool || technique.isTest) return null;
  const counted = step.dose.parts.find((p) => p.kind === 'beats');
  const held = step.dose.parts.find((p) => p.kind === 'hold');
  return {
    technique: technique.id,
    name: technique.name,
    motion: step.motion,
    direction: technique.direction,
    kind,
    contact: padContactOf(step.contact),
    pressure: step.pressure.there,
    pace: paceOf(
      kind,
      counted?.kind === 'beats' ? counted.perMinute : null,
      held?.kind === 'hold' ? held.seconds : null,
    ),
  };
}

/** What is offered first of each kind: work on the face that is neither the lightest nor the hardest. */
export const offered = (rehearsals: readonly Rehearsal[], kind: PadKind): Rehearsal | undefined => {
  const own = rehearsals.filter((r) => r.kind === kind);
  return own.find((r) => r.pressure === 'medium') ?? own.find((r) => r.pressure === 'light') ?? own[0];
};

/** What a press is told to be: "straight in, two fingers, hold 4 s, let go 2 s". */
export const paceWords = ({ pressMs, restMs }: Pace): string =>
  `press ${(pressMs / 1000).toFixed(pressMs < 2000 ? 1 : 0)} s, let go ${(restMs / 1000).toFixed(restMs < 2000 ? 1 : 0)} s`;

/** Area of a contact until the pad tells it, cm². */
export const usualAreaCm2 = (contact: PadContact): number => PAD_AREA_CM2[contact];

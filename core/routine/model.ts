import { pressureRank, type Contact, type Motion, type OneSide, type PlaceRef, type Pressure } from '../words/index.ts';

/**
 * The routine document: what is stored, exchanged and checked. It is made for the whole trade: holds that turn into
 * pulses, several spots, circles both ways, sides one after the other with unequal sets, hands that swap, a still
 * hand beside a moving one, a still contact under a moving head or jaw, repetitions that end in a hold, breath
 * patterns, open doses with an estimate, and steps that re-test and compare. Lengths of time are in seconds.
 */
export const ROUTINE_FORMAT = 'velvet-compass/routine';
export const ROUTINE_VERSION = 1;

export interface Routine {
  format: typeof ROUTINE_FORMAT;
  schemaVersion: typeof ROUTINE_VERSION;
  name: string;
  /** Minutes available, 1–120; null when time does not matter. */
  budgetMinutes: number | null;
  order: OrderProfile;
  steps: Step[];
}

/** What comes first: a setting where schools differ. */
export interface OrderProfile {
  /** Neck before face, or any order. */
  begin: 'neck' | 'any';
  /** Release before exercise, or exercise first. */
  exercise: 'after-release' | 'any';
  /** Drainage opened and closed in mirror order, closed only, or not framed. */
  drainage: 'open-and-close' | 'close-only' | 'none';
}
export const DEFAULT_ORDER: OrderProfile = { begin: 'neck', exercise: 'after-release', drainage: 'open-and-close' };

export const SIDE_MODES = ['together', 'midline', 'each', 'left', 'right'] as const;
export interface SidePlan {
  /** together = both at once; each = one after the other; left, right = that side only. */
  mode: (typeof SIDE_MODES)[number];
  /** Which side begins when the mode is `each`. */
  first: OneSide;
  /** Rounds per side. */
  sets: number;
  /** More rounds on one side, with the reason that makes the difference intended. */
  extra: { side: OneSide; sets: number; reason: string } | null;
  /** One side complete and then the other, or sides alternating set by set. */
  sequence: 'side-complete' | 'alternate';
}

export interface BreathPattern {
  inSeconds: number;
  holdInSeconds: number;
  outSeconds: number;
  holdOutSeconds: number;
}

/** One thing done at a spot. The parts of a dose follow each other. */
export type DosePart =
  | { kind: 'hold'; seconds: number }
  | {
      kind: 'beats';
      count: number;
      /** "5, up to 30": the most it may become; null when the count is fixed. */
      countMost: number | null;
      perMinute: number;
      /** What is counted: "circles", "strokes", "openings". */
      unit: string;
      /** 2 = done one way, then the other. */
      directions: 1 | 2;
      /** Counted at every spot, or once over all spots in a pass. */
      per: 'spot' | 'pass';
    }
  | { kind: 'breath'; cycles: number; pattern: BreathPattern }
  | {
      kind: 'open';
      /** "until it softens" */
      until: string;
      estimateSeconds: number;
      leastSeconds: number;
      mostSeconds: number;
    }
  | { kind: 'check'; what: string; seconds: number };

interface Dose {
  parts: DosePart[];
  /** How many places are worked one after the other on a side. */
  spots: number;
  /** Seconds that nobody counts by hand. */
  pauses: Pauses;
}

interface Pauses {
  /** Finding the place before the work begins. */
  leadInSeconds: number;
  /** Between sets on the same side. */
  restSeconds: number;
  sideChangeSeconds: number;
  directionChangeSeconds: number;
  nextSpotSeconds: number;
}

export interface Step {
  /** Unique in the routine. */
  id: string;
  /** Id of the technique; one the reader does not know is refused. */
  technique: string;
  /** Own name of the step; null = the technique's. */
  label: string | null;
  places: PlaceRef[];
  contact: Contact;
  /** A second contact that stays put while the first one moves. */
  stillContact: Contact | null;
  motion: Motion;
  /** null where nothing presses (breath, exercise, scan). */
  pressure: Pressure | null;
  /** Pressure on the way back where it differs. */
  returnPressure: Pressure | null;
  sides: SidePlan;
  dose: Dose;
  /** Hands or supporting hand swap after every set. */
  swapHands: boolean;
  /** Breathing that goes on during the work. */
  breath: BreathPattern | null;
  head: 'still' | 'turns' | 'tilts' | 'sinks';
  jaw: 'loose' | 'closed' | 'open' | 'moving';
  eyes: 'any' | 'shut' | 'open';
  glide: 'dry' | 'product' | 'either';
  note: string;
}

/** The harder of a step's two pressures; null where nothing presses. */
export function hardestOf(step: Pick<Step, 'pressure' | 'returnPressure'>): Pressure | null {
  if (!step.pressure || !step.returnPressure) return step.pressure;
  return pressureRank(step.returnPressure) > pressureRank(step.pressure) ? step.returnPressure : step.pressure;
}

/** Most characters of every text and most entries of every list in a routine. Our choice. */
export const LENGTHS = {
  name: 120,
  label: 80,
  note: 500,
  unit: 24,
  until: 120,
  check: 60,
  reason: 200,
  places: 20,
  parts: 6,
} as const;

/** Bounds of every number in a routine, inclusive. Holds, counts, tempo and length are the trade's; the rest our choice. */
export const BOUNDS = {
  holdSeconds: [1, 600],
  count: [1, 200],
  perMinute: [6, 180],
  cycles: [1, 100],
  breathSeconds: [0, 30],
  sets: [1, 20],
  spots: [1, 12],
  pauseSeconds: [0, 120],
  budgetMinutes: [1, 120],
  steps: [0, 120],
  routineMinutes: 120,
} as const;

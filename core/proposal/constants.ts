import type { ComplaintKind, Motion, Phase, Pressure, Region } from '../words/index.ts';

/**
 * Every number of the proposal. Marks: (custom) common practice of the trade, no published source; (published) with its
 * source; (choice) ours, to be learned from real runs. What is proven best is proven for these numbers, not for a client.
 */

// ── What is needed
/** Worth of the first minute on a muscle by tenderness 0–3. The scale: Langemark & Olesen 1987 (published); sizes (choice). */
export const TENDERNESS_WORTH = [0, 0.8, 2.2, 3.6] as const;
/** Pressed pain that the client knows counts more: familiar pain is the finding. Idea DC/TMD 2014 (published), factor (choice). */
export const THEIR_PAIN = 1.5;
/** A press felt where the complaint is. Idea of referral (published), factor (choice). */
export const FELT_AT_COMPLAINT = 1.3;
/** A muscle that usually goes with a complaint, at 10 of 10. Which muscles (custom), size (choice). */
export const USUAL_MUSCLE_WORTH = 0.8;
/** The same on the side that a one-sided complaint is not on. (choice) */
export const OTHER_SIDE_SHARE = 0.6;
/** Worth of the first minute for a complaint at 10 of 10. (choice) */
export const COMPLAINT_WORTH = 5;
/** Tense region, tight spot by grade, region wished for. (choice) */
export const TENSE_WORTH = 1.2;
export const SPOT_WORTH = [0.4, 0.8, 1.6, 2.4] as const;
export const WISH_WORTH = 2;
/** Warmth before firmer work of an area, and where something is clearly sore. The rule (custom), sizes (choice). */
export const WARM_WORTH = 1.4;
export const WARM_ON_SORE = 2.8;

// ── Diminishing returns: [minutes, worth per minute], each block worth less than the one before
/** About a minute per technique (custom), the rest (choice). */
export const MUSCLE_RETURNS: Returns = [
  [1, 1],
  [1.5, 0.45],
  [2.5, 0.15],
  [5, 0.04],
];
export const COMPLAINT_RETURNS: Returns = [
  [3, 0.6],
  [5, 0.3],
  [8, 0.14],
  [20, 0.05],
];
export const REGION_RETURNS: Returns = [
  [1, 1],
  [1.5, 0.35],
  [2.5, 0.1],
];
export const WISH_RETURNS: Returns = [
  [2, 1],
  [3, 0.5],
  [5, 0.2],
];
export type Returns = readonly (readonly [minutes: number, share: number])[];

// ── How well a minute works
/** Reach of the pressure into a muscle; where nothing presses. (choice) */
export const REACH: Record<Pressure, number> = { feather: 0.3, light: 0.7, medium: 1, firm: 1.1, deep: 1.1 };
export const REACH_NONE = 0.6;
/** A minute of this phase for a sore muscle. Release before exercise for relief (custom), sizes (choice). */
export const PHASE_FOR_MUSCLE: Record<Phase, number> = {
  prepare: 0,
  breathe: 0,
  'open-drainage': 0.1,
  neck: 1,
  'warm-up': 0.65,
  release: 1,
  press: 0.9,
  stretch: 0.7,
  exercise: 0.15,
  'close-drainage': 0.1,
  settle: 0.1,
  compare: 0,
};
/** On a sore muscle the hand stays until it softens, then spreads; sliding does less. The rule (custom), sizes (choice). */
export const ON_SORE: Partial<Record<Motion, number>> = {
  hold: 1.35,
  'press-pulse': 1.35,
  circle: 1.05,
  glide: 0.7,
  sweep: 0.6,
  tap: 0.5,
  rub: 0.8,
};
const RELIEF: Record<Phase, number> = {
  prepare: 0.1,
  breathe: 0.35,
  'open-drainage': 0.3,
  neck: 0.9,
  'warm-up': 0.7,
  release: 1,
  press: 1,
  stretch: 0.6,
  exercise: 0.2,
  'close-drainage': 0.35,
  settle: 0.35,
  compare: 0,
};
/** A minute of this phase for a complaint. What is done for each (custom), sizes (choice). */
export const PHASE_FOR_COMPLAINT: Record<ComplaintKind, Record<Phase, number>> = {
  jaw: RELIEF,
  headache: RELIEF,
  'neck-tension': { ...RELIEF, stretch: 0.9 },
  sinus: RELIEF,
  other: { ...RELIEF, exercise: 0.8 },
  'eye-strain': { ...RELIEF, exercise: 0.45, settle: 0.5 },
  stress: { ...RELIEF, prepare: 0.3, breathe: 1, settle: 0.8, 'warm-up': 0.9 },
  puffiness: {
    ...RELIEF,
    'open-drainage': 1,
    'close-drainage': 1,
    release: 0.6,
    press: 0.5,
    neck: 0.5,
    'warm-up': 0.6,
  },
};
/** A minute of exercise, for muscle and complaint alike, when exercises are wished for; then there is at least one. (choice) */
export const WISHED_EXERCISE = 0.7;
/** First complaint a technique serves, a later one, one it only touches by its muscle, one served elsewhere. (choice) */
export const SERVES = { first: 1, later: 0.85, muscleOnly: 0.35, elsewhere: 0.5 } as const;
/** A neighbour under the same contact; a muscle reached only through what lies over it. (choice) */
export const NEIGHBOUR = 0.6;
export const THROUGH_REGION = 0.5;
/** Craft the school prefers; an open dose, harder to guide and to compare; plain work where the trade has a way. (choice) */
export const PREFERRED_CRAFT = 1.08;
export const OPEN_DOSE = 0.96;
export const PLAIN_WORK = 0.9;
/** Heat on a sore muscle. That warmth helps first (custom), size (choice). */
export const HEAT_ON_SORE = 1.3;
/** Opening with overlap below this is limited: slow opening helps, and it is taken again. 40 mm: DC/TMD 2014 (published); factor and least minutes (choice). */
export const LIMITED_OPENING = { mm: 40, factor: 1.3, fromMinutes: 8 } as const;
/** Own response: spread between techniques, factor per point of 0–10, largest change. (choice) */
export const RESPONSE = { tau: 0.7, perPoint: 0.2, most: 0.3 } as const;
/** Minutes of one technique on one place: the first counts whole, the rest this much. (choice) */
export const SAME_TECHNIQUE = { minutes: 1, after: 0.45 } as const;

// ── What it costs, in the same worth
/** Finding the place and saying what comes; an area gone to at all; a tool taken up; a product. That changes cost (custom), sizes (choice). */
export const STEP_COST = 0.22;
export const AREA_COST = 0.18;
export const TOOL_COST = 1;
export const PRODUCT_COST = 0.3;
/** Fewer changes wished: all of these times this. (choice) */
export const FEWER_CHANGES = 3;
/** A step on which screening asks for care: taken only when nothing else reaches a sore place. (choice) */
export const CARE_COST = 4;
/** A sore place left out: more than any routine is worth for it; in short sessions only for the worst. (choice) */
export const LEFT_OUT_COST = 12;
export const SHORT = { minutes: 7, leftOutCost: 1.5 } as const;
/** A booked minute that is worked rather than left over. (choice) */
export const FILL_WORTH = 0.05;
/** Equally good choices have one order. (choice) */
export const TIE_BREAK = 1e-4;

// ── Limits
/** Tenderness from which a muscle must be reached on its side; reached after this many effective minutes. (choice) */
export const MUST_REACH = 2;
export const REACHED_MINUTES = 1 / 3;
/** Techniques in one area by minutes. (choice) */
export const PER_AREA: readonly (readonly [upToMinutes: number, most: number])[] = [
  [7, 2],
  [20, 3],
  [40, 4],
  [60, 5],
];
/** Steps by minutes: 5 in 4, 13 in 11, 23 in 21, 30 in 16 minutes seen (custom); the limit (choice). */
export const STEPS_MOST = { first: 4, perMinute: 1 } as const;
/** Exercises in a routine for relief, and when wished for; settling; breathing, and over 40 minutes; extra sets. (choice) */
export const EXERCISES_MOST = { relief: 1, wished: 4 } as const;
export const SETTLE_MOST = 2;
export const BREATHE_MOST = { usual: 1, long: 2, longFromMinutes: 40 } as const;
export const EXTRAS_MOST = 3;
/** Plain work of a point or muscle by itself, and where the school holds points. (choice) */
export const PLAIN_MOST = { usual: 2, pointSchool: 6 } as const;
/** "One or two techniques": how many, for how long at most. (custom) */
export const ONE_OR_TWO = { techniques: 2, seconds: 180 } as const;
/** Most pressure where it hurts, and where nothing is clearly sore; a strong headache; share of the own threshold. Light first when it hurts (custom), levels (choice). */
export const SORE_CAP: Pressure = 'medium';
export const NOT_SORE_CAP: Pressure = 'medium';
export const STRONG_HEADACHE: { score: number; cap: Pressure } = { score: 8, cap: 'light' };
export const THRESHOLD_SHARE = 0.5;
/** How much sorer one side is before it may get more. (choice) */
export const SORER = 1.4;
/** Two proposals differ by at least so many techniques, or this share. (choice) */
export const DIFFER = { techniques: 3, share: 0.35 } as const;
/** A choice is shown while its proof goes on once it is so near to the bound, and again when it is so much better. (choice) */
export const NEAR_ENOUGH = 0.1;
export const CLEARLY_BETTER = 0.003;
/** Rounds in which the checker may send a choice back; nearly always one is enough. (choice) */
export const ROUNDS_MOST = 6;

// ── Doses
/** Least, usual, more as a share of the technique's own dose. (choice) */
export const DOSE_SHARE = { least: 0.6, usual: 1, more: 1.5 } as const;
/** Holds are said in fives, counts stay whole, and neither goes below this. 10 s holds, 5 strokes (custom). */
export const DOSE_LEAST = { holdSeconds: 5, count: 3, cycles: 3 } as const;
/** One step at most. About a minute a technique (custom); 97 + 66 s and 83 + 57 s were watched (custom); sizes (choice). */
export const STEP_MOST = { sideSeconds: 90, seconds: 200, shareLeast: 0.3, withExtra: 1.5 } as const;
/** Breath and drainage keep their taught dose from this many minutes on. (choice) */
export const FRAME_WHOLE_FROM = 12;

// ── Order, in seconds of change
/** (choice) */
export const CHANGE_SECONDS = {
  contact: 2,
  tool: 15,
  areaBack: 12,
  dryAfterProduct: 20,
  thumbAgain: 8,
  thumbOverrun: 300,
  perMm: 0.02,
  lightAfterFirm: 4,
  againstWalk: 3,
} as const;
/** Orders of a block are searched exactly up to so many steps; a beam this wide beyond. (choice) */
export const ORDER_EXACT = 16;
/** Steps of one block at most: no hour is longer, and the search holds them in the bits of one number. */
export const BLOCK_MOST = 30;
export const ORDER_BEAM = 400;
/** [forward, up] in mm on a head seen from the side; only for the way of the hand. Near adult means, from memory (choice). */
export const REGION_AT: Record<Region, readonly [forwardMm: number, upMm: number]> = {
  forehead: [90, 60],
  glabella: [95, 32],
  brow: [88, 30],
  'upper-lid': [85, 20],
  'under-eye': [85, 5],
  temple: [50, 28],
  nose: [100, 0],
  cheek: [75, -10],
  'upper-lip': [95, -25],
  lips: [95, -35],
  chin: [92, -55],
  jaw: [45, -40],
  ear: [5, 0],
  'under-chin': [70, -65],
  'neck-front': [55, -100],
  'neck-side': [10, -95],
  'neck-back': [-60, -55],
  shoulder: [-10, -160],
  chest: [55, -190],
  scalp: [0, 110],
  'whole-face': [82, -5],
  hand: [160, -300],
  arm: [100, -280],
  body: [30, -220],
};

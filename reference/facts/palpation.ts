/**
 * Force and time of pressing a muscle of the jaw with one fingertip, after the examiner protocol of Schiffman et al.,
 * J Oral Facial Pain Headache 2014;28:6–27 (force and 2 s sure, 5 s from memory). Forces are to be rehearsed on a scale
 * beforehand. For every other muscle no figure is published that we know of: pressed alike (common practice, no source).
 */
export interface Palpation {
  forceKgf: number;
  published: boolean;
}
const FULL = [
  'masseter-superficial',
  'masseter-deep',
  'temporalis-anterior',
  'temporalis-middle',
  'temporalis-posterior',
];
const HALF = ['medial-pterygoid', 'lateral-pterygoid', 'digastric-anterior', 'digastric-posterior', 'mylohyoid'];

/** Muscles that are pressed at every visit; others are entered on the chart and then listed too. */
export const USUAL_SITES = [
  'masseter-superficial',
  'temporalis-anterior',
  'temporalis-middle',
  'temporalis-posterior',
] as const;

export const PRESS_SECONDS = 2;
/** Long enough for pain to show that is felt somewhere else. */
export const REFERRAL_PRESS_SECONDS = 5;

export function palpationOf(muscleId: string): Palpation {
  if (HALF.includes(muscleId)) return { forceKgf: 0.5, published: true };
  return { forceKgf: 1, published: FULL.includes(muscleId) };
}

/** Phases of a routine in their usual order. */
export const PHASES = [
  'prepare',
  'breathe',
  'open-drainage',
  'neck',
  'warm-up',
  'release',
  'press',
  'stretch',
  'exercise',
  'close-drainage',
  'settle',
  'compare',
] as const;
export type Phase = (typeof PHASES)[number];
export const PHASE_NAMES: Record<Phase, string> = {
  prepare: 'Prepare',
  breathe: 'Breathe',
  'open-drainage': 'Open',
  neck: 'Neck',
  'warm-up': 'Warm up',
  release: 'Release',
  press: 'Press',
  stretch: 'Stretch',
  exercise: 'Exercise',
  'close-drainage': 'Close',
  settle: 'Settle',
  compare: 'Compare',
};

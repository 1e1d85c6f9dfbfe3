import type { Region } from '../words/regions.ts';
import type { Pressure } from '../words/units.ts';
import type { Contact, Motion, PlaceRef, Step } from './model.ts';

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

export const COMPLAINT_KINDS = [
  'jaw',
  'headache',
  'eye-strain',
  'stress',
  'neck-tension',
  'sinus',
  'puffiness',
  'other',
] as const;
export type ComplaintKind = (typeof COMPLAINT_KINDS)[number];

/** Words by which cautions speak of kinds of work. */
export type WorkWord =
  | 'strong-stimulation'
  | 'microcurrent'
  | 'essential-oil'
  | 'gua-sha'
  | 'cupping'
  | 'lymph-stroke'
  | 'light-stroke'
  | 'circular-friction'
  | 'press-hold'
  | 'heat'
  | 'cold'
  | 'oil'
  | 'vibration'
  | 'intraoral'
  | 'jaw-mobilisation'
  | 'neck-rotation'
  | 'neck-traction'
  | 'stretch'
  | 'pincer';

/** Ways of teaching and working; where they differ is a setting, not a truth. */
export type School =
  | 'hand-massage'
  | 'breathwork'
  | 'lymph-drainage'
  | 'point-holding'
  | 'shiatsu-press'
  | 'fascia-release'
  | 'neck-stretch'
  | 'tapping-qigong'
  | 'resisted-exercise'
  | 'ball-release'
  | 'reflex-probe'
  | 'microcurrent-glide';

/** A way of working. Its default step is what "add" puts into a routine. */
export interface Technique {
  id: string;
  name: string;
  phase: Phase;
  school: School;
  regions: readonly Region[];
  muscles: readonly string[];
  points: readonly string[];
  /** Where the contact is drawn. Several places are its spots in order. */
  places: readonly PlaceRef[];
  /** Contacts that may be used, the lighter one first. */
  contacts: readonly Contact[];
  motion: Motion;
  /** The way the contact goes, in words: "up and out", "straight in". */
  direction: string;
  /** Least and most pressure; null where nothing presses. */
  pressure: { least: Pressure; most: Pressure } | null;
  words: readonly WorkWord[];
  tool: 'roller' | 'ball' | 'probe' | 'microcurrent-device' | null;
  glide: Step['glide'];
  serves: readonly ComplaintKind[];
  /** What the practitioner hears or reads while working. */
  cue: string;
  /** What the client is told; empty when nothing. */
  clientCue: string;
  perDayMost: number | null;
  /** Cautions to think of with this technique, beside those its places bring. */
  heed: readonly string[];
  /** Everything of a new step but its id. */
  defaults: Omit<Step, 'id' | 'technique'>;
}

/** All that the core needs to know about techniques and places, handed in by the caller. */
export interface Catalogue {
  techniques: ReadonlyMap<string, Technique>;
  /** Region of a place, null when it is unknown. */
  regionOf: (place: PlaceRef) => Region | null;
  placeName: (place: PlaceRef) => string | null;
}

/** A new step of a technique. */
export function newStep(technique: Technique, id: string): Step {
  return structuredClone({ ...technique.defaults, id, technique: technique.id }) as Step;
}

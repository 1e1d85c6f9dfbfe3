import type {
  ComplaintKind,
  Contact,
  Motion,
  Phase,
  PlaceRef,
  Pressure,
  Region,
  School,
  WorkWord,
} from '../words/index.ts';
import type { Step } from './model.ts';

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

import type {
  ComplaintKind,
  ClientPosition,
  Contact,
  Craft,
  Doer,
  Glide,
  Ground,
  Motion,
  Need,
  Phase,
  PlaceRef,
  Pressure,
  Region,
  Role,
  SoughtFor,
  TechniqueTool,
  WorkWord,
} from '../words/index.ts';
import { stepsOf, type Routine, type Step } from './model.ts';
import type { School } from './school.ts';

/** A way of working. Its default step is what "add" puts into a routine. */
export interface Technique {
  /** Kept for good; stored routines name it. */
  id: string;
  /** As it is shown. */
  name: string;
  /** Where it usually stands in a routine. */
  phase: Phase;
  /** The way of working that most teaches it. */
  craft: Craft;
  /** What it does for a routine, whatever its name. */
  roles: readonly Role[];
  /** Regions it passes. */
  regions: readonly Region[];
  /** Ids of the muscles it works, the first one most. */
  muscles: readonly string[];
  /** Ids of the points it presses. */
  points: readonly string[];
  /** Contacts that may be used, the technique's own first. */
  contacts: readonly Contact[];
  /** What the contact does. */
  motion: Motion;
  /** The way the contact goes, in words: "up and out", "straight in"; empty where it stays. */
  direction: string;
  /** Least and most pressure; null where nothing presses. */
  pressure: { least: Pressure; most: Pressure } | null;
  /** Kinds of work that cautions speak of, beside those that follow from the step itself. */
  words: readonly WorkWord[];
  /** Tool it is done with; null for the bare hand. */
  tool: TechniqueTool | null;
  /** What has to be at hand, in words; empty for the bare hand. */
  equipment: string;
  /** What goes on the skin. */
  glide: Glide;
  /** Who can do it. */
  by: Doer;
  /** What has to be there before. */
  needs: readonly Need[];
  /** It finds something out and treats nothing. */
  isTest: boolean;
  /** How the client lies or sits. */
  position: ClientPosition;
  /** The rest of the posture, in words; empty where the cue says all. */
  posture: string;
  /** Complaints it is used for. */
  serves: readonly ComplaintKind[];
  /** What people also come for. */
  soughtFor: readonly SoughtFor[];
  /** What the practitioner hears or reads while working. */
  cue: string;
  /** What the client is told; empty when nothing. */
  clientCue: string;
  /** What the hands wait for or look for. */
  feelFor: string;
  /** What goes wrong most easily. */
  avoid: string;
  /** How often a day at most; null when nobody says. */
  perDayMost: number | null;
  /** Cautions that this work raises, beside those its places bring. */
  heed: readonly string[];
  /** Where the figures of its dose come from. */
  grounds: Ground;
  /** Hands-on seconds when it was timed at work, rounded to 5; null when it was not. */
  observedSeconds: number | null;
  /** Work of one point or muscle by itself, without a way of its own. */
  plain: boolean;
  /** Made by the practice itself. */
  own: boolean;
  /** No longer offered; routines that hold it keep it. */
  retired: boolean;
  /** Everything of a new step but its id. */
  defaults: Omit<Step, 'id' | 'technique'>;
}

/** All that the core needs to know about techniques, places and schools, handed in by the caller. */
export interface Catalogue {
  /** By id, in the order of the library. */
  techniques: ReadonlyMap<string, Technique>;
  /** By id. */
  schools: ReadonlyMap<string, School>;
  /** Region of a place, null when it is unknown. */
  regionOf: (place: PlaceRef) => Region | null;
  /** Name of a place, null when it is unknown. */
  placeName: (place: PlaceRef) => string | null;
  /** Points that lie at a place: itself, or those of its landmark or node. */
  pointsAt: (place: PlaceRef) => readonly string[];
  /** Whether a place lies on each side of the body; false on the midline, and where it is not known. */
  isPaired: (place: PlaceRef) => boolean;
}

/** A catalogue with a practice's own techniques after the library's. */
export function catalogueWith(catalogue: Catalogue, own: readonly Technique[]): Catalogue {
  return own.length
    ? { ...catalogue, techniques: new Map([...catalogue.techniques, ...own.map((t) => [t.id, t] as const)]) }
    : catalogue;
}

/** A new step of a technique. */
export function newStep(technique: Technique, id: string): Step {
  return structuredClone({ ...technique.defaults, id, technique: technique.id }) as Step;
}

/** The technique of a role, the first of the catalogue; null when it has none. */
export function techniqueFor(role: Role, catalogue: Catalogue): Technique | null {
  for (const technique of catalogue.techniques.values()) if (technique.roles.includes(role)) return technique;
  return null;
}

/** The name each step goes by, its own or its technique's, by id. */
export const stepNames = (routine: Pick<Routine, 'items'>, catalogue: Catalogue): Map<string, string> =>
  new Map(stepsOf(routine).map((s) => [s.id, s.label ?? catalogue.techniques.get(s.technique)?.name ?? s.technique]));

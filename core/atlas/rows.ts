import type { Anchor, MuscleFan } from '../drawing/index.ts';
import type { ComplaintKind, Region } from '../words/index.ts';
import type { ClientMeasureId } from './client-measure.ts';

/**
 * How well a fact is founded. Every row of the reference tables carries one of these.
 * - sure: confident of the figure and its source
 * - from-memory: remembered, to be verified against the named source
 * - common-practice: a custom of the trade, no published source
 * - our-choice: a decision of this product
 */
export type Mark = 'sure' | 'from-memory' | 'common-practice' | 'our-choice';

/** A place that can be felt or seen, from which others are measured. */
export interface LandmarkRow {
  /** Kept for good. */
  id: string;
  /** The field's standard term. */
  name: string;
  /** Usual short code of anthropometry; empty when there is none. */
  code: string;
  /** Where it is, in words. */
  what: string;
  /** How the hand finds it. */
  find: string;
  /** One on either side. */
  paired: boolean;
  /** On the drawn head or hand; null for leg and foot, which are not drawn. */
  anchor: Anchor | null;
}

/** The plane in which a point is laid off from its landmark. */
type PointView = 'front' | 'profile' | 'back' | 'top' | 'chest' | 'hand' | 'forearm' | 'leg';

export interface PointPlace {
  /** Landmark it is laid off from. */
  from: PointView;
  /** Landmark it lies at. */
  landmark: string;
  /**
   * Body-inches from the landmark: [lateral, up], lateral backward in profile; up = away from the front hairline seen
   * from above, toward the elbow on the forearm. null: the point lies on its landmark.
   */
  cun: readonly [number, number] | null;
}

/** What tradition uses a point for. */
export type Tradition = ComplaintKind | 'migraine' | 'sleep';

export interface PointRow {
  /** Channel and number; kept for good. */
  id: string;
  /** In transliteration. */
  name: string;
  /** What the name means. */
  gloss: string;
  /** One on either side. */
  paired: boolean;
  /** Region it lies in. */
  region: Region;
  /** How it is laid off. */
  place: PointPlace;
  /** Where it lies, in words. */
  where: string;
  /** How the hand finds it. */
  find: string;
  /** How it is pressed. */
  press: string;
  /** Ids of muscles under it. */
  muscles: readonly string[];
  /** Muscles of the limbs under it, by name. */
  limbMuscles: readonly string[];
  /** Nerves and vessels below. */
  under: readonly string[];
  /** Traditions that name it. */
  tradition: readonly Tradition[];
  /** Keys of cautions that speak of it. */
  cautions: readonly string[];
  /** How well it is founded. */
  mark: Mark;
}

/** The view in which a muscle's fibres are measured. */
type FibreView = 'front' | 'profile' | 'back' | 'top' | 'chest';

export interface MuscleRow {
  /** Kept for good. */
  id: string;
  /** In plain words. */
  name: string;
  /** Region its belly lies in. */
  region: Region;
  /** How deep it lies. */
  layer: 'superficial' | 'deep';
  /** One on either side. */
  paired: boolean;
  /** Where it begins. */
  origin: string;
  /** Where it ends. */
  insertion: string;
  /** What it does. */
  action: string;
  /** What moves it. */
  nerve: string;
  /** Undirected, 0–180°, as FibreView says; null: a ring, a sheet or the tongue. */
  fibreDegrees: number | null;
  /** View that shows it best. */
  view: FibreView;
  /** How to feel it. */
  find: string;
  /** Where pain from it is commonly felt, in words and as fields on the drawing; empty when not charted. */
  referral: { words: string; fields: readonly Region[]; mark: Mark };
  /** How it is worked. */
  work: string;
  /** Complaints it is worked for. */
  serves: readonly Tradition[];
  /** Keys of cautions that speak of it. */
  cautions: readonly string[];
  /** Fibres on the drawing; null: not on the surface. */
  fan: MuscleFan | null;
  /** Where the belly is felt, when it is not the middle of the fibres. */
  belly?: Anchor;
}

/** A lymph node group: stations of drainage. */
export interface NodeRow {
  /** Kept for good. */
  id: string;
  /** In plain words. */
  name: string;
  /** Region it lies in. */
  region: Region;
  /** Groups it drains to, the usual one first; empty at the end of the graph. */
  next: readonly string[];
  /** Where it lies, in words. */
  where: string;
  /** What to heed. */
  note: string;
  /** Keys of cautions that speak of it. */
  cautions: readonly string[];
  /** Where it is drawn. */
  anchor: Anchor;
}

/** The start of a drainage stroke and the first node group it runs to. */
export interface DrainagePath {
  /** Kept for good. */
  id: string;
  /** Region it drains. */
  region: Region;
  /** What it drains, in words. */
  area: string;
  /** Id of the node group it goes to. */
  to: string;
  /** The way in words. */
  way: string;
  /** What to heed. */
  note: string;
  /** Keys of cautions that speak of it. */
  cautions: readonly string[];
  /** How well it is founded. */
  mark: Mark;
  /** Where it is drawn from. */
  start: Anchor;
}

export type BodyInchId =
  | 'face'
  | 'forehead'
  | 'scalp'
  | 'mastoids'
  | 'nape'
  | 'chest'
  | 'forearm'
  | 'shin'
  | 'middle-finger'
  | 'thumb'
  | 'four-fingers';

/** A distance on the body that counts so many body-inches (cun). */
export interface BodyInchRow {
  /** Kept for good. */
  id: BodyInchId;
  /** In plain words. */
  name: string;
  /** Between which landmarks. */
  between: string;
  /** Body-inches between them. */
  inches: number;
  /** The client's measure that gives it; null when it cannot be taken here. */
  measure: ClientMeasureId | null;
  /** What it is laid off for. */
  use: string;
  /** Where the share comes from. */
  source: string;
  /** Of the share of inches, not of the millimetres. */
  mark: Mark;
  /** Millimetres of one inch on the reference head that is drawn, and the SD of adults: from memory, to be verified. */
  adult: { mm: number; sdMm: number };
}

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
  id: string;
  /** The field's standard term. */
  name: string;
  /** Usual short code of anthropometry; empty when there is none. */
  code: string;
  what: string;
  find: string;
  paired: boolean;
  /** On the drawn head or hand; null for leg and foot, which are not drawn. */
  anchor: Anchor | null;
}

/** The plane in which a point is laid off from its landmark. */
type PointView = 'front' | 'profile' | 'back' | 'top' | 'chest' | 'hand' | 'forearm' | 'leg';

export interface PointPlace {
  from: PointView;
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
  id: string;
  name: string;
  gloss: string;
  paired: boolean;
  region: Region;
  place: PointPlace;
  where: string;
  find: string;
  press: string;
  muscles: readonly string[];
  limbMuscles: readonly string[];
  /** Nerves and vessels below. */
  under: readonly string[];
  tradition: readonly Tradition[];
  cautions: readonly string[];
  mark: Mark;
}

/** The view in which a muscle's fibres are measured. */
type FibreView = 'front' | 'profile' | 'back' | 'top' | 'chest';

export interface MuscleRow {
  id: string;
  name: string;
  region: Region;
  layer: 'superficial' | 'deep';
  paired: boolean;
  origin: string;
  insertion: string;
  action: string;
  nerve: string;
  /** Undirected, 0–180°, as FibreView says; null: a ring, a sheet or the tongue. */
  fibreDegrees: number | null;
  view: FibreView;
  /** How to feel it. */
  find: string;
  /** Where pain from it is commonly felt, in words and as fields on the drawing; empty when not charted. */
  referral: { words: string; fields: readonly Region[]; mark: Mark };
  work: string;
  serves: readonly Tradition[];
  cautions: readonly string[];
  /** Fibres on the drawing; null: not on the surface. */
  fan: MuscleFan | null;
  /** Where the belly is felt, when it is not the middle of the fibres. */
  belly?: Anchor;
}

/** A lymph node group: stations of drainage. */
export interface NodeRow {
  id: string;
  name: string;
  region: Region;
  /** Groups it drains to, the usual one first; empty at the end of the graph. */
  next: readonly string[];
  where: string;
  note: string;
  cautions: readonly string[];
  anchor: Anchor;
}

/** The start of a drainage stroke and the first node group it runs to. */
export interface DrainagePath {
  id: string;
  region: Region;
  area: string;
  to: string;
  /** The way in words. */
  way: string;
  note: string;
  cautions: readonly string[];
  mark: Mark;
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
  id: BodyInchId;
  name: string;
  between: string;
  inches: number;
  /** The client's measure that gives it; null when it cannot be taken here. */
  measure: ClientMeasureId | null;
  use: string;
  source: string;
  /** Of the share of inches, not of the millimetres. */
  mark: Mark;
  /** Millimetres of one inch on the average adult and their SD: from memory, to be verified. */
  adult: { mm: number; sdMm: number };
}

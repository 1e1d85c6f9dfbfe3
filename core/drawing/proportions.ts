import { monotoneTable, type Vec3 } from './vector.ts';

/**
 * Lengths of the reference head in mm, as they are measured on it: means of adults, both sexes together (Farkas 1994,
 * ANSUR 1988; from memory, to be verified; `tests/published` holds the drawn head against them).
 */
export const REFERENCE_MM = {
  headHeight: 128, // vertex above the tragion line
  headBreadth: 148, // euryon to euryon
  upperThird: 54.8, // trichion to glabella
  middleThird: 67, // glabella to subnasale
  lowerThird: 67.1, // subnasale to menton
  bizygomatic: 134.8, // zygion to zygion
  bigonial: 100.1, // gonion to gonion
  interpupillary: 63, // pupil to pupil
  noseBreadth: 33.7, // alare to alare
  mouthWidth: 52, // cheilion to cheilion
  neckBreadth: 97.4, // neck at y -100, muscles included
  chestBreadth: 180, // between the mid-clavicular lines
} as const;

/** What brings the head that the shapes are written for to those lengths. */
const FROM_MODEL: Readonly<Record<ProportionName, number>> = {
  headHeight: 1,
  headBreadth: 0.957,
  upperThird: 1.132,
  middleThird: 1,
  lowerThird: 1.08,
  bizygomatic: 0.936,
  bigonial: 0.975,
  interpupillary: 1.01,
  noseBreadth: 0.99,
  mouthWidth: 1.04,
  neckBreadth: 1,
  chestBreadth: 1,
};
/** The eye and the ear follow no proportion: their own length against the modelled one, and how high the lips sit. */
const EYE_LENGTH = 0.955;
export const EAR_LENGTH = 0.957;
const LIPS_HIGHER_MM = 1.2;

export type ProportionName = keyof typeof REFERENCE_MM;
export type Proportions = Record<ProportionName, number>;

export type ZoneName = 'trunk' | 'mid' | 'face' | 'skull' | 'eye' | 'brow' | 'nose' | 'bridge' | 'mouth' | 'neck';

/** How control points, written in mm of the modelled head, move for a head of some proportions. */
export interface Frame {
  proportions: Proportions;
  /** Height on the modelled head to height on this one. */
  height: (y: number) => number;
  /** Half-width factor of the face at a height of the modelled head. */
  faceWidth: (y: number) => number;
  neckWidth: (y: number) => number;
  zone: Record<ZoneName, (x: number, y: number) => readonly [number, number]>;
  /** Sideways shift of the ear in mm. */
  earShift: number;
}

/** @throws RangeError naming an unknown factor or one outside 0.75–1.3. */
export function frame(input: Partial<Proportions> = {}): Frame {
  const P: Proportions = { ...FROM_MODEL };
  for (const [name, factor] of Object.entries(input) as [ProportionName, number][]) {
    if (!(name in P)) throw new RangeError(`unknown proportion "${name}"; known: ${Object.keys(P).join(', ')}`);
    if (!(factor >= 0.75 && factor <= 1.3))
      throw new RangeError(`proportion ${name} must be between 0.75 and 1.3, got ${factor}`);
    P[name] *= factor;
  }
  // The tragion line (0) and the root of the neck (-150) stay; the thirds hang off the tragion line.
  const glabella = 32 * P.middleThird;
  const subnasale = -34.5 * P.middleThird;
  const menton = subnasale - 63.5 * P.lowerThird;
  const vertex = 128 * P.headHeight;
  const trichion = Math.min(glabella + 46 * P.upperThird, glabella + (vertex - glabella) * 0.62);
  const height = monotoneTable(
    [-260, -150, menton, subnasale, 0, glabella, trichion, vertex, vertex + 32],
    [-260, -150, -98, -34.5, 0, 32, 78, 128, 160],
  );
  const faceWidth = monotoneTable(
    [
      1 + (P.bigonial - 1) * 0.75,
      1 + (P.bigonial - 1) * 0.85,
      P.bigonial,
      P.bigonial * 0.45 + P.bizygomatic * 0.55,
      P.bizygomatic,
      P.bizygomatic,
      0.5 * P.bizygomatic + 0.5 * P.headBreadth,
      P.headBreadth,
    ],
    [-110, -98, -62, -32, -3, 12, 40, 70],
  );
  const neckWidth = monotoneTable(
    [1, 1 + (P.neckBreadth - 1) * 0.5, P.neckBreadth, P.neckBreadth, 1 + (P.neckBreadth - 1) * 0.4, 1],
    [-200, -165, -140, -55, -20, 0],
  );
  const pupil = 31.2 * P.interpupillary;
  const eyeShift = pupil - 31.2;
  const eyeLift = height(11) - 11;
  const browLift = height(31) - 31;
  const mouthLift = height(-55.6) + 55.6 + LIPS_HIGHER_MM;
  const tip = 1 + (P.noseBreadth - 1) * 0.5;
  return {
    proportions: P,
    height,
    faceWidth,
    neckWidth,
    earShift: 66 * (0.7 * P.bizygomatic + 0.3 * P.headBreadth - 1),
    zone: {
      trunk: (x, y) => [x * P.chestBreadth, y],
      mid: (x, y) => [x, height(y)],
      face: (x, y) => [x * faceWidth(y), height(y)],
      skull: (x, y) => [x * P.headBreadth, height(y)],
      eye: (x, y) => [Math.sign(x) * (pupil + (Math.abs(x) - 31.2) * EYE_LENGTH), y + eyeLift], // eyes move, they do not stretch
      brow: (x, y) => [x * (1 + eyeShift / 36), y + browLift],
      nose: (x, y) => [x * P.noseBreadth, height(y)],
      bridge: (x, y) => [x * tip, height(y)],
      mouth: (x, y) => [x * P.mouthWidth, y + mouthLift], // lip fullness stays
      neck: (x, y) => [x * neckWidth(y), height(y)],
    },
  };
}

/** Move one reference point (with any further coordinates, such as a radius) by a zone. */
export const inZone = (fr: Frame, name: ZoneName, p: readonly number[]): number[] => [
  ...fr.zone[name](p[0]!, p[1]!),
  ...p.slice(2),
];
export const placeInZone = (fr: Frame, name: ZoneName, p: Vec3): Vec3 => inZone(fr, name, p) as unknown as Vec3;

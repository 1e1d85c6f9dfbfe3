import {
  apart,
  buildBodies,
  locateAnchor,
  type ProportionName,
  type Proportions,
  type Vec3,
} from '../drawing/index.ts';
import { midlineArc } from './body-inch.ts';
import type { ClientMeasureId, ClientMeasures } from './client-measure.ts';
import type { LandmarkRow } from './rows.ts';

/** Which measure decides which factor of the head. */
const DRIVES: readonly (readonly [ProportionName, ClientMeasureId])[] = [
  ['upperThird', 'hairlineBrow'],
  ['middleThird', 'browNose'],
  ['lowerThird', 'noseChin'],
  ['bizygomatic', 'cheekbones'],
  ['bigonial', 'jawAngles'],
  ['headBreadth', 'headBreadth'],
  ['interpupillary', 'pupils'],
  ['noseBreadth', 'noseBreadth'],
  ['mouthWidth', 'mouthWidth'],
  ['headHeight', 'scalpArc'],
  ['chestBreadth', 'chest'],
];
/** What can be drawn, as a factor of the reference head. */
const [LEAST, MOST] = [0.75, 1.3];
/** The factors act on one another (cheek arches and jaw, height and arc): each round divides what is left by about five. */
const ROUNDS = 5;

/** What tape, caliper and ruler would read on the head of these factors, in mm. */
export function readDrawn(
  proportions: Partial<Proportions>,
  landmarks: readonly LandmarkRow[],
): Readonly<Record<(typeof DRIVES)[number][1], number>> {
  const bodies = buildBodies(proportions);
  const at = (id: string): Vec3 => {
    const anchor = landmarks.find((l) => l.id === id)?.anchor;
    const place = anchor ? locateAnchor(bodies, anchor) : null;
    if (!place) throw new Error(`the landmark ${id} is missing`);
    return place;
  };
  const across = (id: string) => 2 * at(id)[0];
  return {
    hairlineBrow: apart(at('trichion'), at('glabella')),
    browNose: apart(at('glabella'), at('subnasale')),
    noseChin: apart(at('subnasale'), at('gnathion')),
    cheekbones: across('zygion'),
    jawAngles: across('gonion'),
    headBreadth: across('eurion'),
    pupils: across('pupil'),
    noseBreadth: across('alare'),
    mouthWidth: across('cheilion'),
    scalpArc: midlineArc(bodies, at).lengthMm,
    chest: across('nipple'),
  } as Record<ClientMeasureId, number>;
}

/**
 * Factors of the head that reads as this client was measured, kept within what can be drawn (0.75–1.3 of the
 * reference head); what was not measured stays as the reference head has it.
 */
export function proportionsOf(measures: ClientMeasures, landmarks: readonly LandmarkRow[]): Partial<Proportions> {
  const factors: Partial<Proportions> = {};
  const asked = DRIVES.filter(([, id]) => measures[id] !== undefined);
  for (let round = 0; asked.length && round < ROUNDS; round++) {
    const drawn = readDrawn(factors, landmarks);
    for (const [name, id] of asked)
      factors[name] = Math.min(MOST, Math.max(LEAST, ((factors[name] ?? 1) * measures[id]!) / drawn[id]));
  }
  for (const [name] of asked) factors[name] = Math.round(factors[name]! * 1000) / 1000;
  return factors;
}

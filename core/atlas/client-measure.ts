import type { View } from '../drawing/index.ts';

/**
 * Tape and caliper measures of one client, all in mm, in the order in which they are taken: head from the front, from
 * behind, chest and arm, hand. Ranges refuse what no adult measures (our choice, wide around the remembered means of
 * Farkas 1994 and ANSUR 1988). `view` is where the measure is shown. `errorMm` is what two readings of one person differ by (one SD, our choice).
 */
export const CLIENT_MEASURES = {
  hairlineBrow: {
    name: 'Hairline to between the brows',
    how: 'Tape, straight down the midline; client frowns upward once if hair has receded.',
    from: 'trichion',
    to: 'glabella',
    view: 'front',
    tool: 'tape',
    leastMm: 25,
    mostMm: 95,
    errorMm: 2,
  },
  browNose: {
    name: 'Between the brows to base of the nose',
    how: 'Caliper beside the nose, midline to midline.',
    from: 'glabella',
    to: 'subnasale',
    view: 'front',
    tool: 'caliper',
    leastMm: 45,
    mostMm: 95,
    errorMm: 1.5,
  },
  noseChin: {
    name: 'Base of the nose to chin',
    how: 'Caliper, teeth lightly together.',
    from: 'subnasale',
    to: 'gnathion',
    view: 'front',
    tool: 'caliper',
    leastMm: 42,
    mostMm: 100,
    errorMm: 1.5,
  },
  hairlineChin: {
    name: 'Hairline to chin',
    how: 'Caliper, straight; a check on the three above.',
    from: 'trichion',
    to: 'gnathion',
    view: 'left',
    tool: 'caliper',
    leastMm: 125,
    mostMm: 250,
    errorMm: 2,
  },
  browChin: {
    name: 'Between the brows to chin',
    how: 'Caliper, straight.',
    from: 'glabella',
    to: 'gnathion',
    view: 'left',
    tool: 'caliper',
    leastMm: 90,
    mostMm: 185,
    errorMm: 2,
  },
  hairlineCorners: {
    name: 'Corner to corner of the hairline',
    how: 'Tape along the skin of the forehead.',
    from: 'forehead-corner',
    to: 'forehead-corner',
    view: 'front',
    tool: 'tape',
    leastMm: 90,
    mostMm: 230,
    errorMm: 3,
  },
  pupils: {
    name: 'Pupil to pupil',
    how: 'Ruler held to the forehead, client looks far.',
    from: 'pupil',
    to: 'pupil',
    view: 'front',
    tool: 'ruler',
    leastMm: 48,
    mostMm: 80,
    errorMm: 1,
  },
  noseBreadth: {
    name: 'Breadth of the nose',
    how: 'Caliper, touching, not pressing.',
    from: 'alare',
    to: 'alare',
    view: 'front',
    tool: 'caliper',
    leastMm: 24,
    mostMm: 50,
    errorMm: 1,
  },
  mouthWidth: {
    name: 'Corner to corner of the mouth',
    how: 'Ruler, mouth relaxed.',
    from: 'cheilion',
    to: 'cheilion',
    view: 'front',
    tool: 'ruler',
    leastMm: 34,
    mostMm: 75,
    errorMm: 1.5,
  },
  cheekbones: {
    name: 'Across the cheek arches',
    how: 'Caliper at the widest bone.',
    from: 'zygion',
    to: 'zygion',
    view: 'front',
    tool: 'caliper',
    leastMm: 105,
    mostMm: 170,
    errorMm: 1.5,
  },
  jawAngles: {
    name: 'Across the jaw angles',
    how: 'Caliper on the corners of the jaw.',
    from: 'gonion',
    to: 'gonion',
    view: 'front',
    tool: 'caliper',
    leastMm: 72,
    mostMm: 145,
    errorMm: 2,
  },
  headBreadth: {
    name: 'Breadth of the head',
    how: 'Caliper at the widest place above the ears.',
    from: 'eurion',
    to: 'eurion',
    view: 'back',
    tool: 'caliper',
    leastMm: 120,
    mostMm: 185,
    errorMm: 2,
  },
  scalpArc: {
    name: 'Front to rear hairline over the crown',
    how: 'Tape on the midline, hair pressed flat.',
    from: 'trichion',
    to: 'posterior-hairline',
    view: 'left',
    tool: 'tape',
    leastMm: 250,
    mostMm: 440,
    errorMm: 5,
  },
  mastoids: {
    name: 'Behind the ears, tip to tip',
    how: 'Caliper from one bone behind the ear to the other.',
    from: 'mastoid-tip',
    to: 'mastoid-tip',
    view: 'back',
    tool: 'caliper',
    leastMm: 90,
    mostMm: 170,
    errorMm: 2,
  },
  nape: {
    name: 'Rear hairline to the seventh neck spine',
    how: 'Tape down the midline, head level.',
    from: 'posterior-hairline',
    to: 'c7-spinous',
    view: 'back',
    tool: 'tape',
    leastMm: 20,
    mostMm: 100,
    errorMm: 4,
  },
  chest: {
    name: 'Between the mid-clavicular lines',
    how: 'Tape across the chest, line to line.',
    from: 'nipple',
    to: 'nipple',
    view: 'chest',
    tool: 'tape',
    leastMm: 130,
    mostMm: 280,
    errorMm: 5,
  },
  forearm: {
    name: 'Elbow crease to wrist crease',
    how: 'Tape on the palm side, arm straight.',
    from: 'cubital-crease',
    to: 'wrist-crease',
    view: 'palms',
    tool: 'tape',
    leastMm: 170,
    mostMm: 350,
    errorMm: 4,
  },
  middleFinger: {
    name: 'Middle finger, crease to crease',
    how: 'Thumb and middle finger form a ring; between the crease ends on the thumb side.',
    from: 'middle-finger-creases',
    to: 'middle-finger-creases',
    view: 'palms',
    tool: 'ruler',
    leastMm: 14,
    mostMm: 34,
    errorMm: 1,
  },
  thumb: {
    name: 'Width of the thumb’s end joint',
    how: 'Caliper across the joint.',
    from: 'thumb-ip',
    to: 'thumb-ip',
    view: 'palms',
    tool: 'caliper',
    leastMm: 14,
    mostMm: 32,
    errorMm: 1,
  },
  fourFingers: {
    name: 'Four fingers together',
    how: 'Across the middle joint of the middle finger.',
    from: 'four-finger-band',
    to: 'four-finger-band',
    view: 'palms',
    tool: 'ruler',
    leastMm: 48,
    mostMm: 105,
    errorMm: 2,
  },
} as const satisfies Record<
  string,
  {
    name: string;
    how: string;
    from: string;
    to: string;
    view: View;
    tool: 'tape' | 'caliper' | 'ruler';
    leastMm: number;
    mostMm: number;
    errorMm: number;
  }
>;

export type ClientMeasureId = keyof typeof CLIENT_MEASURES;
export const CLIENT_MEASURE_IDS = Object.keys(CLIENT_MEASURES) as ClientMeasureId[];
/** What was measured, in mm; what is missing was not measured. */
export type ClientMeasures = Readonly<Partial<Record<ClientMeasureId, number>>>;

export interface RefusedMeasure {
  /** Which measure. */
  field: ClientMeasureId;
  /** What is accepted. */
  message: string;
}

/** Everything that cannot be: outside its range, or against another measure. Empty when all is well. */
export function refusedMeasures(measures: ClientMeasures): RefusedMeasure[] {
  const out: RefusedMeasure[] = [];
  for (const id of CLIENT_MEASURE_IDS) {
    const value = measures[id];
    if (value === undefined) continue;
    const { leastMm, mostMm, name } = CLIENT_MEASURES[id];
    if (!Number.isFinite(value) || value < leastMm || value > mostMm)
      out.push({ field: id, message: `${name}: ${leastMm} to ${mostMm} mm is accepted` });
  }
  if (out.length) return out;
  const against = (field: ClientMeasureId, broken: boolean, message: string) => broken && out.push({ field, message });
  const {
    hairlineBrow: top,
    browNose: middle,
    noseChin: bottom,
    hairlineChin: whole,
    browChin: lower,
    jawAngles,
    cheekbones,
    pupils,
    headBreadth,
    fourFingers,
    middleFinger,
  } = measures;
  if (whole !== undefined && lower !== undefined)
    against(
      'browChin',
      lower >= whole,
      `The brow would lie above the hairline: ${lower} mm from brow to chin, ${whole} mm from hairline to chin`,
    );
  // Straight pieces along a curved face add up to more than the whole, never to less, and never to a fifth more.
  if (top !== undefined && middle !== undefined && bottom !== undefined && whole !== undefined) {
    const sum = top + middle + bottom;
    against(
      'hairlineChin',
      whole > sum * 1.02 || whole < sum * 0.82,
      `The three thirds make ${sum} mm, hairline to chin says ${whole} mm; ${Math.round(sum * 0.82)} to ${Math.round(sum * 1.02)} mm is accepted`,
    );
  }
  if (lower !== undefined && middle !== undefined && bottom !== undefined)
    against(
      'browChin',
      lower > (middle + bottom) * 1.02 || lower < (middle + bottom) * 0.82,
      `Brow to nose and nose to chin make ${middle + bottom} mm, brow to chin says ${lower} mm`,
    );
  if (jawAngles !== undefined && cheekbones !== undefined)
    against(
      'jawAngles',
      jawAngles > cheekbones * 1.05,
      `The jaw (${jawAngles} mm) would be broader than the cheek arches (${cheekbones} mm)`,
    );
  if (pupils !== undefined && cheekbones !== undefined)
    against('pupils', pupils > cheekbones * 0.6, `Pupils ${pupils} mm apart do not fit a face ${cheekbones} mm broad`);
  if (headBreadth !== undefined && cheekbones !== undefined)
    against(
      'headBreadth',
      headBreadth < cheekbones * 0.9,
      `The head (${headBreadth} mm) would be narrower than the face (${cheekbones} mm)`,
    );
  if (fourFingers !== undefined && middleFinger !== undefined)
    against(
      'fourFingers',
      fourFingers < middleFinger * 2 || fourFingers > middleFinger * 5,
      `Four fingers of ${fourFingers} mm do not fit a finger-inch of ${middleFinger} mm`,
    );
  return out;
}

export interface MeasureChange {
  /** Which measure. */
  id: ClientMeasureId;
  /** In mm; null when it was not taken. */
  before: number;
  /** In mm; null when it was not taken. */
  after: number;
  /** True when the difference is more than two readings of the same person differ by (1.96 · √2 · errorMm). */
  beyondError: boolean;
}

/** What was measured both times. */
export const compareMeasures = (before: ClientMeasures, after: ClientMeasures): MeasureChange[] =>
  CLIENT_MEASURE_IDS.flatMap((id) => {
    const [a, b] = [before[id], after[id]];
    return a === undefined || b === undefined
      ? []
      : [{ id, before: a, after: b, beyondError: Math.abs(b - a) > 1.96 * Math.SQRT2 * CLIENT_MEASURES[id].errorMm }];
  });

import type { Technique } from '../../../core/routine/index.ts';
import {
  COMPLAINT_KINDS,
  type ComplaintKind,
  type Contact,
  type Pressure,
  SOUGHT_FOR,
} from '../../../core/words/index.ts';
import type { PointRow } from '../../../core/atlas/index.ts';
import { POINTS } from '../points/index.ts';
import { beats, hold, techniqueOf, type Row } from './define.ts';

/**
 * How each point is worked by itself: with what, least, usual and most pressure, seconds of a press, pulses, circles
 * each way. Pressure follows what the point's own row says of pressing it; figures are our choice, within the caps that
 * hold for everyone: feather over vessels and throat, light at the eye and at the upper neck. A point over the carotid
 * pulse has no work at all; where only a resting finger is right there are no pulses and no circles.
 */
type PointWork = readonly [
  contact: Contact,
  least: Pressure,
  usual: Pressure,
  most: Pressure,
  holdSeconds: number,
  pulses: number,
  circles: number,
];
const POINT_WORK: Readonly<Record<string, PointWork | null>> = {
  BL1: ['ring-finger', 'feather', 'feather', 'light', 8, 5, 5],
  BL2: ['thumb', 'light', 'light', 'medium', 10, 8, 5],
  BL3: ['fingertips', 'light', 'light', 'medium', 12, 10, 8],
  BL4: ['fingertips', 'light', 'light', 'medium', 12, 10, 8],
  GB1: ['ring-finger', 'feather', 'light', 'light', 8, 6, 5],
  GB14: ['middle-finger', 'light', 'light', 'medium', 10, 10, 6],
  GB15: ['fingertips', 'light', 'medium', 'medium', 12, 10, 8],
  ST1: ['ring-finger', 'feather', 'feather', 'light', 6, 5, 4],
  ST2: ['middle-finger', 'feather', 'light', 'light', 6, 5, 4],
  ST3: ['middle-finger', 'light', 'light', 'medium', 10, 8, 6],
  ST4: ['index-finger', 'feather', 'light', 'light', 8, 8, 6],
  ST8: ['fingertips', 'light', 'light', 'medium', 12, 8, 8],
  ST9: null,
  LI18: ['pinch', 'feather', 'feather', 'feather', 6, 0, 0],
  LI19: ['index-finger', 'feather', 'light', 'light', 6, 6, 4],
  LI20: ['index-finger', 'light', 'light', 'medium', 10, 10, 6],
  SI18: ['middle-finger', 'light', 'light', 'medium', 10, 8, 6],
  TE23: ['middle-finger', 'feather', 'light', 'light', 8, 6, 5],
  GV23: ['middle-finger', 'light', 'light', 'medium', 12, 10, 8],
  GV24: ['middle-finger', 'light', 'medium', 'medium', 20, 10, 8],
  GV25: ['ring-finger', 'feather', 'feather', 'light', 6, 5, 4],
  GV26: ['index-finger', 'feather', 'light', 'light', 8, 6, 4],
  GV27: ['ring-finger', 'feather', 'feather', 'light', 6, 5, 4],
  CV23: ['middle-finger', 'feather', 'feather', 'light', 6, 5, 4],
  CV24: ['index-finger', 'light', 'light', 'medium', 10, 8, 6],
  'EX-HN3': ['middle-finger', 'light', 'light', 'medium', 15, 10, 6],
  'EX-HN4': ['middle-finger', 'light', 'light', 'medium', 8, 8, 5],
  'EX-HN8': ['index-finger', 'light', 'light', 'medium', 8, 8, 5],
  BL9: ['fingertips', 'light', 'medium', 'medium', 12, 8, 10],
  BL10: ['fingertips', 'feather', 'light', 'light', 20, 8, 6],
  GB2: ['middle-finger', 'feather', 'light', 'light', 8, 6, 5],
  GB3: ['fingertips', 'light', 'light', 'medium', 10, 8, 6],
  GB4: ['fingertips', 'light', 'light', 'medium', 10, 8, 8],
  GB5: ['fingertips', 'light', 'light', 'medium', 10, 8, 9],
  GB6: ['fingertips', 'light', 'light', 'medium', 10, 8, 10],
  GB7: ['fingertips', 'light', 'light', 'medium', 10, 6, 8],
  GB8: ['fingertips', 'light', 'medium', 'medium', 12, 10, 10],
  GB12: ['middle-finger', 'light', 'light', 'medium', 12, 8, 6],
  GB20: ['thumb', 'feather', 'light', 'light', 20, 10, 6],
  GB21: ['pinch', 'light', 'light', 'medium', 15, 8, 6],
  ST5: ['middle-finger', 'feather', 'light', 'light', 6, 6, 5],
  ST6: ['thumb', 'light', 'medium', 'firm', 15, 10, 8],
  ST7: ['middle-finger', 'light', 'light', 'medium', 10, 8, 6],
  SI17: ['middle-finger', 'feather', 'feather', 'feather', 6, 0, 0],
  SI19: ['middle-finger', 'feather', 'light', 'light', 8, 6, 5],
  TE16: ['fingertips', 'feather', 'light', 'light', 10, 6, 5],
  TE17: ['ring-finger', 'feather', 'light', 'light', 8, 6, 6],
  TE20: ['fingertips', 'light', 'light', 'medium', 12, 8, 10],
  TE21: ['middle-finger', 'feather', 'light', 'light', 8, 6, 5],
  TE22: ['ring-finger', 'feather', 'light', 'light', 8, 6, 6],
  GV15: ['middle-finger', 'feather', 'feather', 'light', 10, 5, 4],
  GV16: ['middle-finger', 'feather', 'light', 'light', 15, 6, 5],
  'EX-HN5': ['middle-finger', 'feather', 'light', 'light', 10, 10, 8],
  'EX-HN14': ['middle-finger', 'light', 'light', 'medium', 12, 8, 6],
  'EX-HN-Anmian': ['fingertips', 'feather', 'light', 'light', 20, 8, 6],
  BL7: ['fingertips', 'light', 'medium', 'medium', 12, 10, 9],
  ST12: ['fingertips', 'feather', 'feather', 'feather', 10, 0, 0],
  ST13: ['fingertips', 'light', 'light', 'medium', 10, 8, 6],
  GV20: ['middle-finger', 'light', 'medium', 'medium', 30, 12, 10],
  CV22: ['ring-finger', 'feather', 'feather', 'feather', 6, 0, 0],
  'EX-HN1.front': ['fingertips', 'light', 'light', 'medium', 20, 10, 8],
  'EX-HN1.back': ['fingertips', 'light', 'light', 'medium', 20, 10, 8],
  'EX-HN1.side': ['fingertips', 'light', 'light', 'medium', 20, 10, 8],
  LI4: ['thumb', 'light', 'medium', 'firm', 30, 15, 10],
  PC6: ['thumb', 'light', 'medium', 'medium', 30, 12, 10],
  PC8: ['thumb', 'light', 'medium', 'firm', 20, 12, 12],
  HT7: ['thumb', 'light', 'light', 'medium', 20, 10, 8],
  LU7: ['index-finger', 'feather', 'light', 'light', 15, 8, 8],
  SI3: ['thumb', 'light', 'medium', 'medium', 20, 12, 8],
  'EX-UE9.1': ['pinch', 'feather', 'light', 'light', 10, 8, 6],
  'EX-UE9.2': ['pinch', 'feather', 'light', 'light', 10, 8, 7],
  'EX-UE9.3': ['pinch', 'feather', 'light', 'light', 10, 8, 8],
  'EX-UE9.4': ['pinch', 'feather', 'light', 'light', 10, 8, 9],
  LR3: ['thumb', 'light', 'medium', 'medium', 30, 12, 10],
  ST36: ['thumb', 'light', 'medium', 'firm', 30, 15, 12],
};

/** Worked one side after the other: neck, shoulder and limbs. */
const ONE_SIDE = ['neck-side', 'neck-back', 'neck-front', 'shoulder', 'chest', 'hand', 'arm', 'body'];
const MOUTH_OPEN = ['GB2', 'SI19', 'TE21'];

function rowFor(p: PointRow, work: PointWork): Omit<Row, 'name' | 'motion' | 'stroke' | 'dose' | 'direction'> {
  const [contact, least, usual, most] = work;
  const neck = p.region.startsWith('neck') || p.region === 'shoulder';
  return {
    phase: neck ? 'neck' : 'press',
    regions: [p.region],
    muscles: p.muscles,
    points: [p.id],
    contact,
    press: [least, usual, most],
    path: [`point:${p.id}`],
    ...(!p.paired ? { sides: 'midline' as const } : ONE_SIDE.includes(p.region) ? { sides: 'each' as const } : {}),
    ...(MOUTH_OPEN.includes(p.id) ? { body: { jaw: 'slightly-open' as const } } : {}),
    serves: COMPLAINT_KINDS.filter((k): k is ComplaintKind => (p.tradition as readonly string[]).includes(k)),
    soughtFor: SOUGHT_FOR.filter((s) => (p.tradition as readonly string[]).includes(s)),
    cue: p.press,
    feel: p.find,
    avoid: p.under.length ? `Bearing down on the ${p.under[0]!}` : 'Sliding over the skin instead of staying',
    heed: p.cautions,
    grounds: 'choice',
  };
}

/** A plain press, a press with pulses and small circles of every point that may be worked. */
export const OF_POINTS: readonly Technique[] = POINTS.flatMap((p) => {
  const work = POINT_WORK[p.id];
  if (!work) return [];
  const row = rowFor(p, work);
  const [contact, , , , seconds, pulses, circles] = work;
  const title = `${p.id} ${p.name}`;
  const near = p.region === 'upper-lid' || p.region === 'under-eye';
  const press = techniqueOf(`press-${p.id}`, 'point-holding', {
    plain: true,
    ...row,
    name:
      contact === 'pinch' ? `Hold ${title} between finger and thumb` : pulses ? `Press ${title}` : `Rest on ${title}`,
    motion: 'hold',
    stroke: 'still',
    dose: [hold(seconds)],
  });
  if (!pulses) return [press];
  return [
    press,
    techniqueOf(`pulse-${p.id}`, 'point-holding', {
      plain: true,
      ...row,
      name: `Press and pulse ${title}`,
      motion: 'press-pulse',
      stroke: 'in-place',
      direction: 'in, then small pulses without leaving the skin',
      dose: [hold(Math.round(seconds / 2)), beats(pulses, near ? 30 : 40, 'pulses')],
    }),
    techniqueOf(`circle-${p.id}`, 'point-holding', {
      plain: true,
      ...row,
      name: `Small circles on ${title}`,
      motion: 'circle',
      stroke: 'circles-both-ways',
      direction: 'one way, then the other, the skin going along',
      dose: [beats(circles, near ? 30 : 40, 'circles')],
    }),
  ];
});

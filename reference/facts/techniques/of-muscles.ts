import type { Technique } from '../../../core/routine/index.ts';
import {
  COMPLAINT_KINDS,
  type ComplaintKind,
  type Contact,
  type Pressure,
  SOUGHT_FOR,
} from '../../../core/words/index.ts';
import { MUSCLES } from '../muscles/index.ts';
import { beats, open, techniqueOf, type Row } from './define.ts';

/**
 * How each muscle is worked by itself: with what one stays and with what one strokes, least, usual and most pressure,
 * usual seconds of the stay, strokes along and across, and their tempo. Pressure follows what the muscle's own row says;
 * figures are our choice, within the caps that hold for everyone. Left out are muscles that are reached through the
 * mouth or guided by movement only, and those over which nothing but a resting hand is right.
 */
type MuscleWork = readonly [
  stay: Contact,
  stroke: Contact,
  least: Pressure,
  usual: Pressure,
  most: Pressure,
  staySeconds: number,
  along: number,
  across: number,
  perMinute: number,
];
const MUSCLE_WORK: Readonly<Record<string, MuscleWork | null>> = {
  'masseter-superficial': ['two-fingers', 'knuckles', 'light', 'medium', 'firm', 40, 8, 10, 12],
  'masseter-deep': ['index-finger', 'index-finger', 'light', 'light', 'medium', 25, 5, 6, 12],
  'temporalis-anterior': ['fingertips', 'fingertips', 'light', 'light', 'medium', 30, 8, 8, 12],
  'temporalis-middle': ['fingertips', 'fingertips', 'light', 'medium', 'medium', 30, 8, 10, 12],
  'temporalis-posterior': ['fingertips', 'fingertips', 'light', 'medium', 'medium', 30, 6, 8, 12],
  'medial-pterygoid': null,
  'lateral-pterygoid': null,
  'digastric-anterior': ['fingertips', 'index-finger', 'feather', 'light', 'light', 15, 6, 5, 15],
  'digastric-posterior': null,
  mylohyoid: ['fingertips', 'fingertips', 'feather', 'light', 'light', 15, 5, 6, 12],
  tongue: null,
  buccinator: ['fingertips', 'index-finger', 'light', 'light', 'medium', 25, 8, 6, 15],
  frontalis: ['fingertips', 'fingertips', 'light', 'medium', 'medium', 30, 8, 6, 12],
  occipitalis: ['fingertips', 'fingertips', 'light', 'medium', 'medium', 30, 6, 8, 15],
  'epicranial-aponeurosis': ['whole-hand', 'fingertips', 'light', 'medium', 'medium', 35, 6, 6, 8],
  procerus: ['middle-finger', 'middle-finger', 'light', 'light', 'medium', 20, 8, 10, 20],
  'corrugator-supercilii': ['pinch', 'index-finger', 'light', 'light', 'medium', 20, 6, 8, 20],
  'depressor-supercilii': ['ring-finger', 'ring-finger', 'feather', 'light', 'light', 12, 6, 5, 20],
  'orbicularis-oculi-orbital': ['ring-finger', 'ring-finger', 'feather', 'feather', 'light', 15, 6, 4, 10],
  'orbicularis-oculi-palpebral': null,
  nasalis: ['index-finger', 'index-finger', 'feather', 'light', 'light', 15, 6, 5, 20],
  llsan: ['index-finger', 'index-finger', 'light', 'light', 'medium', 15, 6, 6, 20],
  'levator-labii-superioris': ['middle-finger', 'middle-finger', 'feather', 'light', 'light', 15, 5, 5, 15],
  'levator-anguli-oris': ['index-finger', 'index-finger', 'light', 'light', 'medium', 15, 5, 4, 15],
  'zygomaticus-major': ['two-fingers', 'knuckles', 'light', 'light', 'medium', 25, 8, 8, 12],
  'zygomaticus-minor': ['index-finger', 'index-finger', 'feather', 'light', 'light', 15, 6, 5, 12],
  risorius: ['two-fingers', 'two-fingers', 'light', 'light', 'medium', 20, 8, 6, 15],
  'orbicularis-oris': ['index-finger', 'index-finger', 'feather', 'light', 'light', 15, 6, 8, 20],
  'depressor-anguli-oris': ['index-finger', 'two-fingers', 'light', 'light', 'medium', 20, 6, 8, 15],
  'depressor-labii-inferioris': ['index-finger', 'index-finger', 'feather', 'light', 'light', 15, 5, 6, 15],
  mentalis: ['index-knuckle', 'index-finger', 'light', 'medium', 'medium', 20, 6, 10, 20],
  platysma: ['whole-hand', 'palm', 'feather', 'feather', 'feather', 15, 5, 4, 10],
  'scm-sternal': ['pinch', 'two-fingers', 'feather', 'light', 'light', 25, 5, 5, 10],
  'scm-clavicular': ['pinch', 'two-fingers', 'feather', 'light', 'light', 20, 5, 4, 10],
  scalenes: ['fingertips', 'fingertips', 'feather', 'light', 'light', 20, 4, 4, 10],
  'trapezius-upper': ['pinch', 'palm-heel', 'light', 'medium', 'firm', 40, 8, 8, 10],
  'splenius-capitis': ['fingertips', 'fingertips', 'feather', 'light', 'light', 30, 5, 6, 10],
  'semispinalis-capitis': ['fingertips', 'fingertips', 'light', 'light', 'medium', 35, 5, 5, 10],
  suboccipitals: ['fingertips', 'fingertips', 'feather', 'light', 'light', 60, 4, 5, 8],
  'levator-scapulae': ['thumb', 'thumb', 'light', 'medium', 'medium', 35, 5, 6, 10],
  'pectoralis-major': ['palm', 'palm', 'light', 'light', 'medium', 30, 6, 5, 10],
  infrahyoids: null,
};

/** Worked one side after the other. */
const ONE_SIDE = ['neck-side', 'neck-front', 'shoulder', 'chest'];
const round = (seconds: number): number => Math.max(5, Math.round(seconds / 5) * 5);

/** A stay, a stroke along and a stroke across the fibres of every muscle that may be worked. */
export const OF_MUSCLES: readonly Technique[] = MUSCLES.flatMap((m) => {
  const work = MUSCLE_WORK[m.id];
  if (!work) return [];
  const [stay, stroke, least, usual, most, staySeconds, along, across, perMinute] = work;
  const phase = m.region.startsWith('neck') || m.region === 'shoulder' ? 'neck' : 'release';
  const sides = !m.paired ? ('midline' as const) : ONE_SIDE.includes(m.region) ? ('each' as const) : null;
  const row: Omit<Row, 'name' | 'contact' | 'motion' | 'stroke' | 'dose' | 'direction' | 'avoid'> = {
    phase,
    regions: [m.region],
    muscles: [m.id],
    press: [least, usual, most],
    path: [`muscle:${m.id}`],
    ...(sides ? { sides } : {}),
    serves: COMPLAINT_KINDS.filter((k): k is ComplaintKind => m.serves.includes(k)),
    soughtFor: SOUGHT_FOR.filter((s) => (m.serves as readonly string[]).includes(s)),
    cue: m.work,
    feel: m.find,
    heed: m.cautions,
    grounds: 'choice',
  };
  return [
    techniqueOf(`stay-${m.id}`, 'hand-massage', {
      plain: true,
      ...row,
      name: `${m.name}: stay until it softens`,
      contact: stay,
      motion: 'hold',
      stroke: 'still',
      direction: 'sink in, wait',
      dose: [
        open(staySeconds, round(staySeconds / 2), round(staySeconds * 2), 'the fibres below the contact give way'),
      ],
      avoid: 'Sliding off the tender fibres',
    }),
    techniqueOf(`along-${m.id}`, 'hand-massage', {
      plain: true,
      ...row,
      name: `${m.name}: strokes along the fibres`,
      contact: stroke,
      motion: 'glide',
      stroke: 'one-way',
      direction: 'along its fibres',
      dose: [beats(along, perMinute, 'strokes')],
      needs: ['glide'],
      avoid: 'Dragging dry skin',
    }),
    techniqueOf(`across-${m.id}`, 'hand-massage', {
      plain: true,
      ...row,
      name: `${m.name}: small shears across the fibres`,
      contact: stroke,
      motion: 'shear',
      stroke: 'to-and-fro',
      direction: 'across its fibres, the skin going along',
      dose: [beats(across, perMinute * 2, 'shears')],
      avoid: 'Wide strokes that lose the muscle',
    }),
  ];
});

import type { ComplaintKind, Contact, Motion, Region } from '../words/index.ts';

/** What goes together, as practitioners work. Common practice, no source, unless marked. */

/** Regions in which a complaint is felt and worked. */
export const COMPLAINT_REGIONS: Record<ComplaintKind, readonly Region[]> = {
  jaw: ['jaw', 'cheek', 'temple', 'ear', 'neck-side'],
  headache: ['forehead', 'temple', 'scalp', 'neck-back', 'glabella', 'brow'],
  'eye-strain': ['brow', 'temple', 'under-eye', 'upper-lid', 'neck-back', 'glabella', 'nose'],
  stress: ['body', 'glabella', 'forehead', 'brow', 'temple', 'jaw', 'neck-back', 'ear', 'whole-face', 'chest', 'scalp'],
  'neck-tension': ['neck-back', 'neck-side', 'shoulder', 'chest'],
  sinus: ['nose', 'cheek', 'brow', 'upper-lip'],
  puffiness: ['under-eye', 'cheek', 'jaw', 'neck-side', 'ear', 'chest', 'whole-face', 'temple', 'nose'],
  other: [],
};

/** Muscles that usually go with it. */
export const COMPLAINT_MUSCLES: Record<ComplaintKind, readonly string[]> = {
  jaw: ['masseter-superficial', 'masseter-deep', 'temporalis-anterior', 'temporalis-middle', 'scm-sternal'],
  headache: ['frontalis', 'temporalis-anterior', 'suboccipitals', 'trapezius-upper', 'epicranial-aponeurosis'],
  'eye-strain': ['corrugator-supercilii', 'orbicularis-oculi-orbital', 'suboccipitals', 'temporalis-anterior'],
  stress: ['masseter-superficial', 'corrugator-supercilii', 'procerus', 'frontalis', 'suboccipitals'],
  'neck-tension': ['trapezius-upper', 'suboccipitals', 'scm-sternal'],
  sinus: ['nasalis', 'levator-labii-superioris'],
  puffiness: [],
  other: [],
};

/** Muscles that one contact reaches together. */
const AREAS: Record<string, readonly string[]> = {
  masseter: ['masseter-superficial', 'masseter-deep', 'medial-pterygoid', 'lateral-pterygoid'],
  temporalis: ['temporalis-anterior', 'temporalis-middle', 'temporalis-posterior'],
  'side of the neck': ['scm-sternal', 'scm-clavicular', 'scalenes', 'digastric-posterior'],
  nape: ['suboccipitals', 'splenius-capitis', 'semispinalis-capitis'],
  shoulder: ['trapezius-upper', 'levator-scapulae'],
  scalp: ['epicranial-aponeurosis', 'occipitalis'],
  forehead: ['frontalis'],
  brow: ['corrugator-supercilii', 'depressor-supercilii', 'procerus'],
  'ring of the eye': ['orbicularis-oculi-orbital', 'orbicularis-oculi-palpebral'],
  nose: ['nasalis', 'llsan'],
  cheek: [
    'buccinator',
    'zygomaticus-major',
    'zygomaticus-minor',
    'levator-labii-superioris',
    'levator-anguli-oris',
    'risorius',
  ],
  mouth: ['orbicularis-oris'],
  chin: ['mentalis', 'depressor-anguli-oris', 'depressor-labii-inferioris'],
  throat: ['platysma', 'infrahyoids'],
  'floor of the mouth': ['digastric-anterior', 'mylohyoid', 'tongue'],
  chest: ['pectoralis-major'],
};
const AREA_OF = new Map(Object.entries(AREAS).flatMap(([area, muscles]) => muscles.map((m) => [m, area] as const)));
/** Area of a muscle; one that stands alone is its own. */
export const areaOfMuscle = (muscle: string): string => AREA_OF.get(muscle) ?? muscle;
export const musclesOfArea = (area: string): readonly string[] => AREAS[area] ?? [];

/** Motions that feel alike: two of one family in one area are near-duplicates. Our choice. */
export const FAMILY: Record<Motion, string> = {
  hold: 'hold',
  'press-pulse': 'pulse',
  circle: 'circle',
  rub: 'circle',
  glide: 'stroke',
  sweep: 'stroke',
  shear: 'shear',
  pinch: 'pinch',
  roll: 'pinch',
  tap: 'tap',
  pump: 'pump',
  stretch: 'stretch',
  traction: 'stretch',
  contract: 'exercise',
  resist: 'exercise',
  rock: 'rock',
  breathe: 'breathe',
  test: 'test',
};

/** What of the hand bears the load. */
export type HandClass = 'thumb' | 'index' | 'knuckle' | 'palm';
export const HAND_CLASS: Partial<Record<Contact, HandClass>> = {
  thumb: 'thumb',
  pinch: 'thumb',
  'thumb-knuckle': 'knuckle',
  'ring-finger': 'index',
  'middle-finger': 'index',
  'index-finger': 'index',
  'two-fingers': 'index',
  fingertips: 'index',
  'v-fingers': 'index',
  'l-fingers': 'index',
  'index-knuckle': 'knuckle',
  knuckles: 'knuckle',
  fist: 'knuckle',
  palm: 'palm',
  'palm-heel': 'palm',
  'whole-hand': 'palm',
};
export const HAND_CLASS_NAMES: Record<HandClass, string> = {
  thumb: 'thumb',
  index: 'finger',
  knuckle: 'knuckle',
  palm: 'palm',
};

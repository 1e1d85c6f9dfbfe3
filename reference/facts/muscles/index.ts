import type { MuscleRow } from '../../../core/atlas/index.ts';
import { FACE_MUSCLES } from './face.ts';
import { JAW_MUSCLES } from './jaw.ts';
import { NECK_MUSCLES } from './neck.ts';

/**
 * Muscles: names, attachments, nerves and fibre angles are standard anatomy (sure); places on the drawing are from
 * memory. Referral follows the classical charts of Travell and Simons as remembered; each row carries its mark.
 */
export const MUSCLES: readonly MuscleRow[] = [...JAW_MUSCLES, ...FACE_MUSCLES, ...NECK_MUSCLES];

/** Muscles that are pressed with a fingertip in an assessment; the others are too thin, too deep or inside. Our choice. */
const PRESSED = [
  'masseter-superficial',
  'masseter-deep',
  'temporalis-anterior',
  'temporalis-middle',
  'temporalis-posterior',
  'digastric-anterior',
  'buccinator',
  'zygomaticus-major',
  'mentalis',
  'frontalis',
  'corrugator-supercilii',
  'procerus',
  'orbicularis-oculi-orbital',
  'occipitalis',
  'scm-sternal',
  'scm-clavicular',
  'trapezius-upper',
  'levator-scapulae',
  'splenius-capitis',
  'semispinalis-capitis',
  'suboccipitals',
  'pectoralis-major',
];
export const PRESSED_MUSCLES: readonly MuscleRow[] = MUSCLES.filter((m) => PRESSED.includes(m.id));

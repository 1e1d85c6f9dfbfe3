import type { MuscleRow } from '../../core/atlas/rows.ts';
import { FACE_MUSCLES } from './face.ts';
import { JAW_MUSCLES } from './jaw.ts';
import { NECK_MUSCLES } from './neck.ts';

/**
 * Muscles: names, attachments, nerves and fibre angles are standard anatomy (sure); places on the drawing are from
 * memory. Referral follows the classical charts of Travell and Simons as remembered; each row carries its mark.
 */
export const MUSCLES: readonly MuscleRow[] = [...JAW_MUSCLES, ...FACE_MUSCLES, ...NECK_MUSCLES];

import { type Anchor, back, backOfHand, front, palm, side } from '../../core/drawing/index.ts';
import { type Region, REGION_NAMES } from '../../core/words/index.ts';

/** Places that are never worked: they exist so that the chart can lock them and rules can name them. */
export interface KeepOff {
  id: string;
  name: string;
  region: Region;
  anchor: Anchor;
  paired: boolean;
  radiusMm: number;
  why: string;
}

export const KEEP_OFF: readonly KeepOff[] = [
  {
    id: 'jaw-joint',
    name: 'jaw joint',
    region: 'ear',
    anchor: side('trunk', -2, 13),
    paired: true,
    radiusMm: 7,
    why: 'Work the muscle in front of the joint, not the joint.',
  },
  {
    id: 'throat',
    name: 'windpipe and thyroid',
    region: 'neck-front',
    anchor: front('mid', 0, -134),
    paired: false,
    radiusMm: 17,
    why: 'The middle of the front of the neck is never pressed.',
  },
  {
    id: 'carotid',
    name: 'carotid pulse',
    region: 'neck-front',
    anchor: front('neck', 31, -112),
    paired: true,
    radiusMm: 9,
    why: 'No pressure on the pulse in front of the side-neck muscle.',
  },
  {
    id: 'eyeball',
    name: 'eyeball',
    region: 'upper-lid',
    anchor: front('eye', 31, 11),
    paired: true,
    radiusMm: 12,
    why: 'Work on the bony rim only.',
  },
];

/** Where a whole region is drawn or labelled, and how far it reaches, in mm. Our choice, for drawing only. */
export interface RegionPatch {
  id: Region;
  name: string;
  anchor: Anchor;
  paired: boolean;
  radiusMm: number;
}

const patch = (id: Region, anchor: Anchor, paired: boolean, radiusMm: number): RegionPatch => ({
  id,
  name: REGION_NAMES[id],
  anchor,
  paired,
  radiusMm,
});

export const REGION_PATCHES: readonly RegionPatch[] = [
  patch('forehead', front('mid', 0, 58), false, 24),
  patch('glabella', front('mid', 0, 30), false, 9),
  patch('brow', front('brow', 34, 33), true, 13),
  patch('upper-lid', front('eye', 31, 17), true, 10),
  patch('under-eye', front('eye', 32, -3), true, 11),
  patch('temple', side('mid', 26, 44), true, 16),
  patch('nose', front('bridge', 0, -14), false, 14),
  patch('cheek', front('face', 44, -28), true, 18),
  patch('upper-lip', front('mid', 0, -42), false, 10),
  patch('lips', front('mouth', 0, -55.6), false, 16),
  patch('chin', front('mid', 0, -82), false, 14),
  patch('jaw', side('mid', -50, 30), true, 22),
  patch('ear', side('mid', 0, -14), true, 26),
  patch('under-chin', front('mid', 0, -97), false, 14),
  patch('neck-front', front('mid', 0, -136), false, 20),
  patch('neck-side', side('neck', -100, -8), true, 20),
  patch('neck-back', back('mid', 0, -70), false, 26),
  patch('shoulder', back('trunk', 84, -156), true, 24),
  patch('chest', front('trunk', 70, -205), true, 24),
  patch('scalp', side('mid', 74, -14), true, 28),
  patch('hand', backOfHand(-4, 60), true, 30),
  patch('arm', palm(0, -90), true, 26),
];

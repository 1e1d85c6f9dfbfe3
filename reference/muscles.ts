import { back, front, side, type Anchor, type MuscleFan } from '../core/terrain/anchors.ts';
import type { Region } from '../core/atlas/regions.ts';

/**
 * Muscles of this slice: standard anatomy for names and fibre courses (sure), places on the drawing from memory.
 * `fan` gives origin and insertion curves in the plane they are dropped from; fibres run between them.
 */
export interface Muscle {
  id: string;
  name: string;
  region: Region;
  /** Where the belly is felt; tenderness is noted there. */
  belly: Anchor;
  find: string;
  fan?: MuscleFan;
}

export const MUSCLES: readonly Muscle[] = [
  {
    id: 'masseter-superficial', name: 'Masseter', region: 'jaw', belly: side('mid', -46, 28), find: 'Bulge in front of the jaw angle on biting.',
    fan: { from: 'side', origin: [[-11, 50], [-7, 36], [-4, 21]], insertion: [[-76, 34], [-69, 19], [-55, 8]], fibres: 11 },
  },
  { id: 'masseter-deep', name: 'Masseter, deep part', region: 'jaw', belly: side('mid', -22, 22), find: 'Under the arch in front of the joint, mouth slightly open.' },
  {
    id: 'temporalis-anterior', name: 'Temporalis, front', region: 'temple', belly: side('mid', 34, 42), find: 'Temple, swells on biting.',
    fan: { from: 'side', origin: [[30, 55], [52, 50], [70, 26], [75, -6], [68, -38], [50, -56], [34, -58]], insertion: [[-1, 42], [0, 36], [1, 26]], fibres: 20, bend: 'over-ear' },
  },
  { id: 'temporalis-middle', name: 'Temporalis, middle', region: 'temple', belly: side('mid', 47, 12), find: 'Above the front of the ear.' },
  { id: 'temporalis-posterior', name: 'Temporalis, rear', region: 'scalp', belly: side('mid', 49, -32), find: 'Above and behind the ear.' },
  {
    id: 'scm-sternal', name: 'Sternomastoid', region: 'neck-side', belly: side('neck', -84, -8), find: 'Stands out from behind the ear to the breastbone when the head turns away.',
    fan: { from: 'side', origin: [[-24, -20], [-30, -30]], insertion: [[-184, 13], [-178, 1]], fibres: 7 },
  },
  {
    id: 'trapezius-upper', name: 'Upper trapezius', region: 'neck-back', belly: back('neck', 46, -134), find: 'Crest from neck to shoulder.',
    fan: { from: 'back', origin: [[2, -40], [2, -80], [2, -116]], insertion: [[62, -150], [84, -160], [104, -170]], fibres: 12 },
  },
  {
    id: 'suboccipitals', name: 'Suboccipitals', region: 'neck-back', belly: back('mid', 18, -38), find: 'Small deep muscles under the edge of the skull.',
    fan: { from: 'back', origin: [[4, -28], [16, -27], [28, -28]], insertion: [[3, -58], [10, -60], [20, -58]], fibres: 8 },
  },
  {
    id: 'frontalis', name: 'Frontalis', region: 'forehead', belly: front('face', 28, 58), find: 'Lifts the brow.',
    fan: { from: 'front', origin: [[8, 76], [26, 76], [44, 66]], insertion: [[8, 36], [26, 39], [46, 37]], fibres: 11 },
  },
  { id: 'corrugator-supercilii', name: 'Corrugator', region: 'brow', belly: front('brow', 19, 33), find: 'Above the inner brow; draws the brows together.', fan: { from: 'front', origin: [[8, 27], [10, 31]], insertion: [[28, 34], [27, 38]], fibres: 4 } },
  { id: 'procerus', name: 'Procerus', region: 'glabella', belly: front('mid', 0, 24), find: 'Root of the nose; wrinkles across it.' },
  { id: 'orbicularis-oculi-orbital', name: 'Orbicularis oculi', region: 'under-eye', belly: front('eye', 47, 1), find: 'Ring of muscle round the eye socket.' },
  { id: 'zygomaticus-major', name: 'Zygomaticus major', region: 'cheek', belly: front('face', 39, -32), find: 'Cheekbone to mouth corner; lifts a smile.', fan: { from: 'front', origin: [[48, -10], [53, -13]], insertion: [[26, -51], [29, -55]], fibres: 5 } },
  { id: 'mentalis', name: 'Mentalis', region: 'chin', belly: front('mid', 8, -80), find: 'Pads of the chin.' },
  { id: 'digastric-anterior', name: 'Floor of the mouth', region: 'under-chin', belly: front('face', 14, -98), find: 'Under the chin; tightens on swallowing.' },
];

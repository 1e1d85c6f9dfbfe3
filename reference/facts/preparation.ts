import type { PreparationItem } from '../../core/limits/index.ts';

/** What is made ready before hands touch the face. Common practice, no source. */
export const PREPARATION = [
  { key: 'hands', label: 'Hands washed and warm, nails short, rings off', neededFor: null },
  { key: 'skin', label: 'Skin clean, make-up off', neededFor: null },
  { key: 'hair', label: 'Hair back, earrings and necklace off', neededFor: null },
  { key: 'lenses', label: 'Contact lenses out where the eyes are worked', neededFor: null },
  { key: 'glide', label: 'Glide product chosen and patch-tested', neededFor: null },
  { key: 'posture', label: 'Head and neck supported, shoulders low', neededFor: null },
  { key: 'water', label: 'Water at hand', neededFor: null },
  { key: 'mirror', label: 'Mirror and the same light for looking before and after', neededFor: null },
  { key: 'ball', label: 'Balls washed and dry, the right size at hand', neededFor: [{ tool: ['ball'] }] },
  { key: 'probe', label: 'Probe cleaned, its tip smooth', neededFor: [{ tool: ['probe'] }] },
  {
    key: 'current',
    label: 'Device checked, gloves damp with inner gloves on, gel without oil',
    neededFor: [{ tool: ['microcurrent-device'] }],
  },
  {
    key: 'eyes',
    label: 'Hands washed again just before the eyes',
    neededFor: [{ region: ['upper-lid', 'under-eye'] }],
  },
  { key: 'warmth', label: 'Warm cloth tested on the own wrist', neededFor: [{ work: ['heat'] }] },
] as const satisfies readonly PreparationItem[];

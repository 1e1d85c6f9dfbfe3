/** What is made ready before hands touch the face. Common practice, no source. */
export const PREPARATION = [
  { key: 'hands', label: 'Hands washed and warm, nails short, rings off' },
  { key: 'skin', label: 'Skin clean, make-up off' },
  { key: 'hair', label: 'Hair back, earrings and necklace off' },
  { key: 'lenses', label: 'Contact lenses out where the eyes are worked' },
  { key: 'glide', label: 'Glide product chosen and patch-tested' },
  { key: 'posture', label: 'Head and neck supported, shoulders low' },
  { key: 'water', label: 'Water at hand, tools clean' },
] as const;
export type PreparationKey = (typeof PREPARATION)[number]['key'];

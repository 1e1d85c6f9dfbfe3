/** Regions of the body that techniques, cautions and points speak of. */
export const REGIONS = [
  'forehead', 'glabella', 'brow', 'upper-lid', 'under-eye', 'temple', 'nose', 'cheek', 'upper-lip', 'lips', 'chin', 'jaw',
  'ear', 'under-chin', 'neck-front', 'neck-side', 'neck-back', 'shoulder', 'chest', 'scalp', 'whole-face', 'hand', 'arm', 'body',
] as const;
export type Region = (typeof REGIONS)[number];

/** Regions that hang on the head above the jaw line, for the rules that tell face from neck. */
export const FACE_REGIONS: readonly Region[] = [
  'forehead', 'glabella', 'brow', 'upper-lid', 'under-eye', 'temple', 'nose', 'cheek', 'upper-lip', 'lips', 'chin', 'jaw', 'whole-face',
];
export const NECK_REGIONS: readonly Region[] = ['neck-front', 'neck-side', 'neck-back'];

export const REGION_NAMES: Record<Region, string> = {
  forehead: 'forehead', glabella: 'between the brows', brow: 'brow', 'upper-lid': 'upper lid', 'under-eye': 'under the eye', temple: 'temple',
  nose: 'nose', cheek: 'cheek', 'upper-lip': 'upper lip', lips: 'lips', chin: 'chin', jaw: 'jaw', ear: 'around the ear', 'under-chin': 'under the chin',
  'neck-front': 'front of the neck', 'neck-side': 'side of the neck', 'neck-back': 'back of the neck', shoulder: 'shoulder', chest: 'chest',
  scalp: 'scalp', 'whole-face': 'whole face', hand: 'hand', arm: 'arm', body: 'body',
};

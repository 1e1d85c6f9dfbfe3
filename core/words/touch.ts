export const PLACE_KINDS = ['point', 'muscle', 'region', 'node', 'landmark', 'keep-off'] as const;
export interface PlaceRef {
  /** Which table it stands in. */
  kind: (typeof PLACE_KINDS)[number];
  /** Of its row. */
  id: string;
}

export const CONTACTS = [
  'none',
  'ring-finger',
  'middle-finger',
  'index-finger',
  'two-fingers',
  'fingertips',
  'v-fingers',
  'l-fingers',
  'thumb',
  'pinch',
  'index-knuckle',
  'thumb-knuckle',
  'knuckles',
  'fist',
  'palm',
  'palm-heel',
  'whole-hand',
  'tongue',
  'single-ball',
  'ball-pair',
  'probe',
  'conductive-gloves',
] as const;
export type Contact = (typeof CONTACTS)[number];

export const MOTIONS = [
  'hold',
  'press-pulse',
  'circle',
  'glide',
  'sweep',
  'shear',
  'pinch',
  'roll',
  'tap',
  'pump',
  'stretch',
  'traction',
  'contract',
  'resist',
  'rock',
  'breathe',
  'rub',
  'test',
] as const;
export type Motion = (typeof MOTIONS)[number];

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
/** What touches, as it is said. */
export const CONTACT_NAMES: Readonly<Record<Contact, string>> = {
  none: 'no contact',
  'ring-finger': 'ring finger',
  'middle-finger': 'middle finger',
  'index-finger': 'index finger',
  'two-fingers': 'two fingers',
  fingertips: 'fingertips',
  'v-fingers': 'two fingers in a V',
  'l-fingers': 'thumb and index finger in an L',
  thumb: 'thumb',
  pinch: 'thumb and index finger',
  'index-knuckle': 'index knuckle',
  'thumb-knuckle': 'thumb knuckle',
  knuckles: 'knuckles',
  fist: 'fist',
  palm: 'palm',
  'palm-heel': 'heel of the palm',
  'whole-hand': 'whole hand',
  tongue: 'tongue',
  'single-ball': 'single ball',
  'ball-pair': 'pair of balls',
  probe: 'probe',
  'conductive-gloves': 'conductive gloves',
};

/** Contacts of the bare hand that may stand in for each other. Our choice. */
const ALIKE: readonly (readonly Contact[])[] = [
  [
    'ring-finger',
    'middle-finger',
    'index-finger',
    'two-fingers',
    'fingertips',
    'thumb',
    'index-knuckle',
    'thumb-knuckle',
    'knuckles',
    'fist',
  ],
  ['palm', 'palm-heel', 'whole-hand'],
];
/** A contact and those that may be used in its place, itself first; a tool stands alone. */
export const contactsLike = (contact: Contact): Contact[] => [
  contact,
  ...(ALIKE.find((all) => all.includes(contact)) ?? []).filter((c) => c !== contact),
];

/** Contacts that are a tool: cautions that speak of the tool speak of them. */
export const TOOL_OF_CONTACT: Partial<Record<Contact, 'ball' | 'probe' | 'microcurrent-device'>> = {
  'single-ball': 'ball',
  'ball-pair': 'ball',
  probe: 'probe',
  'conductive-gloves': 'microcurrent-device',
};

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

import { routineFrom, type StartingRoutine } from './define.ts';

/** Routines with a tool in the hand. Doses stated by practitioners; common practice, no published source. */
export const GLOVES_AND_PROBE: readonly StartingRoutine[] = [
  {
    id: 'gloves-neck-to-forehead',
    serves: ['neck-tension', 'jaw', 'puffiness'],
    statedMinutes: 17,
    statedFor: 'one side',
    because: '',
    routine: routineFrom({
      name: 'Gloves from shoulder to forehead',
      school: 'back-chest-upward',
      budgetMinutes: 32,
      notes:
        'Lengthens tight muscles of neck and face, then drains. Microcurrent unit on a relaxing program at 400 microampere, conductive gloves over nitrile gloves, water or gel; skin cleansed, free of oil and well hydrated; gloves wetted and wrung out. One side wholly, then the other. Afterwards facial oil; gloves are washed with soap and water, and disinfected between clients.',
      steps: [
        ['glove-setup', { note: 'Watch that the contact sign stays on.' }],
        {
          label: 'One side, then the other',
          sides: 'left-then-right',
          steps: [
            ['glove-trapezius-glide', { note: 'Light at the upper neck, firmer over the shoulder.' }],
            ['glove-chest-to-armpit-drain', { note: 'Very slow.' }],
            'glove-pectoral-spread',
            [
              'glove-scm-split',
              { byHand: true, note: 'By hand: no current over the vessels of the neck. Stop beside the thyroid.' },
            ],
            [
              'glove-platysma-split',
              { byHand: true, note: 'By hand: no current over the front of the neck. Three lanes, a few passes.' },
            ],
            ['glove-jaw-to-cheek-glide', { note: 'Shorter strokes.' }],
            ['glove-masseter-split', { note: 'Really slow, medium.' }],
            ['glove-chin-down-glide', { note: 'Chin, then mouth corner.' }],
            ['glove-lip-ring-glide', { note: 'Up and over, then down.' }],
            'glove-smile-line-open',
            'glove-cheek-lift-hold',
            ['glove-brow-nose-split', { note: 'Not firm.' }],
            'glove-nose-side-glide',
            'glove-brow-out-glide',
            'glove-under-eye-sweep',
            'glove-eye-corner-stretch',
            ['glove-forehead-split', { note: 'Lane by lane; may run back over the scalp.' }],
            ['glove-node-to-collarbone-drain', { note: 'Very gentle; several passes down.' }],
            ['glove-jaw-node-pump', { note: 'Contact never broken.' }],
            ['glove-ear-v-pump', { note: 'Then down the neck.' }],
            ['glove-upper-face-drain', { note: 'From the eye, then across the forehead.' }],
          ],
        },
      ],
    }),
  },
  {
    id: 'six-lines',
    serves: ['puffiness'],
    statedMinutes: 4,
    statedFor: 'whole',
    because: '',
    routine: routineFrom({
      name: 'Probe along six lines of the face',
      school: 'reflex-zones',
      budgetMinutes: 5,
      notes:
        'Strokes by reflex lines, away from the swollen place. Probe with a side edge and a tip; even pressure both ways throughout. At most four rounds a day; suits long sitting, travel and swollen mornings.',
      steps: [
        ['probe-nose-side-to-brow', { note: 'Side edge.' }],
        'probe-nose-length',
        ['probe-nostril-rim', { note: 'Tip; hard or tender places longer.' }],
        ['probe-smile-line', { note: 'Down to the mouth corner.' }],
        'probe-chin-top',
        ['probe-ear-surround', { note: 'Top, front, round, back.' }],
      ],
    }),
  },
];

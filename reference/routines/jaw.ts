import { routineFrom, type StartingRoutine } from './define.ts';

/** Routines for the jaw. Doses stated by practitioners; common practice, no published source. */
export const JAW: readonly StartingRoutine[] = [
  {
    id: 'night-cream',
    serves: ['jaw', 'headache', 'sinus'],
    statedMinutes: 3,
    statedFor: 'whole',
    because: '',
    routine: routineFrom({
      name: 'Night cream with jaw, sinus and brow',
      school: 'bottom-up',
      order: {
        begin: 'any',
        exercise: 'any',
        drainage: 'none',
        reason: 'A short piece of work while the cream soaks in.',
      },
      budgetMinutes: 4,
      notes:
        'For a jaw that pulls into head and neck, and for pressure beside the nose, while a leave-on cream soaks in. Skin cleansed first. Suits every evening.',
      steps: [
        ['glide-apply', { note: 'Leave-on cream that can stay overnight.' }],
        ['face-warm-circles', { note: 'To warm the muscles.' }],
        ['masseter-pin-open', { note: 'On a tight spot; an ache up into the head is usual.' }],
        'masseter-spot-massage',
        ['jaw-line-pinch', { note: 'Along the chin and, if liked, below it.' }],
        ['eye-rim-circles', { note: 'Fingertips.' }],
        ['nose-out-cheek-circles', { note: 'Nose outward; may be firmer.' }],
        ['temporalis-fingertip-circles', { note: 'Into the temples and well back over the side of the head.' }],
        ['brow-pinch-walk', { note: 'Small pinches.' }],
      ],
    }),
  },
  {
    id: 'two-balls',
    serves: ['jaw', 'headache'],
    statedMinutes: 5,
    statedFor: 'whole',
    because: '',
    routine: routineFrom({
      name: 'Two balls for jaw, nose and brow',
      school: 'bottom-up',
      order: {
        begin: 'any',
        exercise: 'any',
        drainage: 'none',
        reason: 'Only the face rests on the balls; nothing is drained.',
      },
      budgetMinutes: 6,
      notes:
        'Eases the jaw and the muscles of expression by the weight of the head. Two therapy balls with some give. No pain at any moment; each step as long as is pleasant.',
      steps: [
        ['ball-masseter-roll', { note: 'Up and down, then circles; jaw may open and close.' }],
        ['ball-masseter-traction', { note: 'Jaw still, tongue on the palate, nose breathing.' }],
        ['ball-nose-side-traction', { note: 'The face sinks into the balls.' }],
        ['ball-nose-side-rock', { note: 'Turning, or back and forth.' }],
        ['ball-brow-twist', { note: 'One ball.' }],
        ['ball-temporalis-circles', { note: 'Just above the temples, onto the side of the skull.' }],
        ['ball-temple-twist', { note: 'On the temples, then higher at the hairline.' }],
        ['ball-temporalis-circles', { note: 'Again, a little more weight.' }],
        ['ear-fold-circles', { note: 'Balls laid down; circles or half circles.' }],
        'earlobe-pull',
        'ear-whole-massage',
        ['five-closing-breaths', { note: 'Hands in the lap.' }],
      ],
    }),
  },
  {
    id: 'warm-palms',
    serves: ['jaw'],
    statedMinutes: 4,
    statedFor: 'whole',
    because: '',
    routine: routineFrom({
      name: 'Warm palms for the jaw',
      school: 'target-only',
      budgetMinutes: 4,
      notes: 'Gauges and eases tension in the chewing muscles. Hands only; wash them before fingers go to the teeth.',
      steps: [
        ['masseter-clench-find', { note: 'Lips closed, hands on the cheeks, teeth meet and part.' }],
        ['jaw-opening-finger-count', { note: 'Comfortable wide opening; try two, then three, then four fingers.' }],
        ['palms-rub-warm', { note: 'Until really hot.' }],
        ['masseter-warm-hold', { note: 'Mouth comfortably open.' }],
        ['masseter-palm-heel-lift', { note: 'Very slow, firm, thumb side of the palm, up to the cheekbone.' }],
      ],
    }),
  },
];

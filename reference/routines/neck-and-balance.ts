import { routineFrom, type StartingRoutine } from './define.ts';

/** Routines that begin with head and neck. Doses stated by practitioners; common practice, no published source. */
export const NECK_AND_BALANCE: readonly StartingRoutine[] = [
  {
    id: 'even-out',
    serves: ['jaw', 'neck-tension'],
    statedMinutes: 7,
    statedFor: 'whole',
    because: '',
    routine: routineFrom({
      name: 'Even out: head, face and neck, then stretch',
      school: 'top-down',
      budgetMinutes: 9,
      notes:
        'For a face that feels more held on one side: release first, move afterwards. Hands only; wash them and keep nails short. Little and every day rather than much at once.',
      steps: [
        ['body-shake', { note: 'Body, then face.' }],
        ['scalp-fingertip-circles', { note: 'Front, middle, sides, back.' }],
        ['eye-rim-circles', { note: 'Two fingers, around and then over the eye muscle.' }],
        'forehead-two-finger-massage',
        ['temporalis-fingertip-circles', { note: 'Two fingers, beside the eye.' }],
        'under-eye-nose-massage',
        ['masseter-spot-massage', { note: 'Slow, every part; tight spots longer.' }],
        ['chin-side-massage', { note: 'Sides, then below.' }],
        'lip-ring-massage',
        ['scm-soft-massage', { note: 'Lower part, then the upper end; soft.' }],
        'vowel-thumbs-cheeks',
        'vowel-head-side-pull',
        ['vowel-chest-head-back', { note: 'Gentlest on the last vowel.' }],
        ['three-way-neck-stretch', { note: 'Side, side and back, side and forward.' }],
      ],
    }),
  },
  {
    id: 'neck-before-face',
    serves: ['neck-tension', 'headache'],
    statedMinutes: 11,
    statedFor: 'whole',
    because: '',
    routine: routineFrom({
      name: 'Neck before the face',
      school: 'neck-first',
      order: {
        begin: 'neck',
        exercise: 'after-release',
        drainage: 'none',
        reason: 'It prepares neck and scalp and ends there.',
      },
      budgetMinutes: 11,
      notes:
        'Prepares neck and scalp before any work on the face. Drink water; oil where the work starts, on the neck.',
      steps: [
        ['glide-apply', { note: 'Neck only.' }],
        ['front-neck-stretch', { note: 'Lower jaw pushed forward.' }],
        ['chin-to-chest-stretch', { note: 'Hands as weight only.' }],
        ['sit-tall-grounded', { note: 'Both sit bones, long neck.' }],
        ['ear-to-shoulder-stretch', { note: 'If wanted: arm behind the back, shoulder up and down.' }],
        {
          label: 'Side of the neck',
          sides: 'left-then-right',
          steps: ['scm-pinch-walk', 'scm-between-fingers-glide'],
        },
        ['neck-back-turn-glide', { note: 'Counted on one side.' }],
        ['ear-v-rub', { note: 'Thirty seconds.' }],
        ['ear-circles-to-crown', { note: 'Slow.' }],
        'brow-nape-circles-to-crown',
        ['hair-grip-pull', { note: 'Gentle twists all over the skull.' }],
        'hair-finger-comb',
      ],
    }),
  },
];

import { routineFrom, type StartingRoutine } from './define.ts';

/** Routines for forehead and nose. Doses stated by practitioners; common practice, no published source. */
export const HEAD_AND_FOREHEAD: readonly StartingRoutine[] = [
  {
    id: 'tense-forehead',
    serves: ['headache', 'stress'],
    statedMinutes: 14,
    statedFor: 'whole',
    because: '',
    routine: routineFrom({
      name: 'Scalp and brow for a tense forehead',
      school: 'neck-first',
      order: {
        begin: 'any',
        exercise: 'any',
        drainage: 'none',
        reason: 'The brow is worked against resistance between two rounds of massage.',
      },
      budgetMinutes: 14,
      notes:
        'For a tense forehead: scalp, brows and temples are freed first. A mirror and a table edge for the elbow; any time of day; never force.',
      steps: [
        ['shoulder-anchored-neckline-stretch', { note: 'Then the head slowly up.' }],
        ['collarbone-point-massage-head-up', { note: 'Deep breaths.' }],
        'scalp-knuckle-massage',
        ['scalp-shake', { note: 'Gentle.' }],
        'scalp-gather',
        'crown-massage',
        'hair-grip-pull',
        ['hairline-pinch', { note: 'Gentle; more scalp massage may follow.' }],
        ['brow-raise-against-fingers', { sets: 1, note: 'No forehead lines.' }],
        ['brow-center-pinch', { note: 'Pinch and gently shake.' }],
        'forehead-knuckle-massage',
        'temple-firm-massage',
        ['brow-knuckle-trace', { note: 'Bent finger joints, deep breaths.' }],
        ['orbit-knuckle-fixed-head-turn', { note: 'Elbow on the table, the head moves; less if it is very sore.' }],
        ['brow-raise-against-fingers', { sets: 1, note: 'Second round; massage and begin again when tired.' }],
        ['lips-tucked-corner-lift', { note: 'No fingers; lower eye area tightened, brows apart.' }],
        'post-exercise-massage',
      ],
    }),
  },
  {
    id: 'nose-holds',
    serves: ['sinus'],
    statedMinutes: 5,
    statedFor: 'whole',
    because: 'Its stated minutes hold much explaining and looking; the holds themselves are ten seconds each.',
    routine: routineFrom({
      name: 'Nose: knuckle holds and an O',
      school: 'target-only',
      budgetMinutes: 5,
      notes:
        'Rests and frees the muscles beside the nose. Shoulders, neck and forehead loose first. It eases; it does not change a shape.',
      steps: [
        ['nostril-knuckle-hold', { note: 'Firm, angle may change.' }],
        ['nose-bone-edge-knuckle-hold', { note: 'Firm, cheeks not pushed up.' }],
        ['inner-eye-knuckle-hold', { note: 'Index knuckles.' }],
        ['nose-line-check', { note: 'Straight or to one side.' }],
        'sit-tall-grounded',
        ['nose-side-push-o-mouth', { note: 'An extra set where it is off may be added.' }],
        ['nose-lift-o-mouth', { note: 'Head not tilted.' }],
      ],
    }),
  },
];

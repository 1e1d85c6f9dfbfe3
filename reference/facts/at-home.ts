/** What whoever works on themselves at home is told, in plain words. Common practice, no source. */
export const STOP_AND_ASK: readonly string[] = [
  'it hurts more than a dull ache, or is sorer the next day',
  'you feel dizzy or sick',
  'a place turns numb or tingles',
  'the skin turns red and stays so for an hour',
  'anything comes up that was not there before',
];
/** Licensed care comes before any more of it. Common practice, no source. */
export const DOCTOR_FIRST: readonly string[] = [
  'the jaw locks, open or shut',
  'you have fever, swelling, numbness or a tooth that hurts',
  'a headache is new, sudden or one-sided',
];
export const EMERGENCY =
  'If it is the worst headache ever, or speech, sight, face or an arm is affected: emergency services at once.';

/** Asked before the first run of a day at most; a yes ends it for then. Plain words for the red flags. Common practice, no source. */
export const RED_FLAG_QUESTIONS = [
  { key: 'head', words: 'Is there a new, sudden or one-sided headache, or the worst you ever had?' },
  { key: 'ill', words: 'Do you have fever, swelling, numbness, or a tooth that hurts?' },
  { key: 'jaw', words: 'Does your jaw lock, or has anything come up that was not there before?' },
] as const;
export type RedFlagKey = (typeof RED_FLAG_QUESTIONS)[number]['key'];

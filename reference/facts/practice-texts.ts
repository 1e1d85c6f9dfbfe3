import type { TextKind } from '../../core/record/index.ts';

/** Wordings until a practice writes its own. To be read by somebody who knows the local law before they are used. */
export const FIRST_TEXTS: Record<TextKind, string> = {
  scope:
    'We offer wellness work with the hands on face, head and neck. We do not diagnose, treat illness, or change medicines. When something needs licensed care we say so and stop. Local codes and licensed practice come first.',
  'consent-work':
    'I was told what will be done and where I will be touched. I can stop at any moment with a word or a raised hand. I agree that my answers, ratings and what was done are kept by this practice to plan the work; these are facts about my health. I can see them, have them corrected or erased, and take this consent back at any time.',
  'consent-photo':
    'I agree that front photos of my face are taken to measure levelness before and after. They stay in this practice, are not used to recognise anybody, and are erased when I ask, apart from everything else.',
  'consent-reminders':
    'I agree that reminders of my visits and of my home plan are sent to the e-mail address I gave. E-mail is not sealed: whoever reads mine can see that I come here, and when. Nothing of my complaint, my answers or my ratings stands in it. I can take this back at any time, and then nothing more is sent.',
};

/** What a hand does on a force pad: pressure, beat and way, against what a technique asks for. */
export {
  aimOf,
  forceOn,
  middleKpa,
  PAD_AREA_CM2,
  PAD_CONTACTS,
  padContactOf,
  type Aim,
  type PadContact,
} from './aim.ts';
export { keptScore, padWeeks, TOLD_OF_TRIES, triesOn, type KeptScore, type KeptTry } from './kept.ts';
export { contactsOf, touchOf, type Touch } from './touch.ts';
export { atTempo, PAD_KINDS, PAD_TEMPO, paceOf, padKindOf, tryMs, wantedAt, type Pace, type PadKind } from './pace.ts';
export { pressesOf } from './presses.ts';
export { hardnessOf, scoreTry, handVerdict, wordNow, type TryPlan, type TryScore, type Wanted } from './score.ts';
export { roundsOf, strokesOf } from './way.ts';

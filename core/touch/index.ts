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
export { contactsOf, touchOf, type Touch } from './touch.ts';
export { pressesOf, type Press } from './presses.ts';
export {
  hardnessOf,
  scoreTry,
  TELLS_APART,
  verdictOf,
  wordNow,
  type Hardness,
  type TryPlan,
  type TryScore,
  type Verdict,
  type Wanted,
} from './score.ts';
export { leftShareOf, roundsOf, strokesOf, type Rounds, type Stroke } from './way.ts';

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
export { beatOf } from './beat.ts';
export {
  blindPress,
  latestOf,
  scaleFor,
  WORD_PRESSES,
  wordApart,
  wordCards,
  wordFit,
  wordKnown,
  wordLevel,
  wordsToAsk,
  type KeptWord,
  type PadScale,
  type WordPress,
} from './blind.ts';
export {
  CHECK_WEIGHTS_G,
  driftBetween,
  offShare,
  padStanding,
  readWeights,
  standingN,
  weightN,
  type PadCheck,
  type WeightRead,
} from './check.ts';
export { evennessOf, handsVerdict, harderBy } from './hands.ts';
export type { Estimated } from './interval.ts';
export { keptScore, padWeeks, pressRatios, TOLD_OF_TRIES, triesOn, type KeptScore, type KeptTry } from './kept.ts';
export { breathRound, TEMPO_ROUND, tapRound, type TapRound } from './led.ts';
export { breathScore, tapScore, type BreathScore } from './taps.ts';
export { contactsOf, touchOf, type Touch } from './touch.ts';
export { atTempo, PAD_KINDS, PAD_TEMPO, paceOf, padKindOf, tryMs, wantedAt, type Pace, type PadKind } from './pace.ts';
export { pressesOf } from './presses.ts';
export { hardnessOf, scoreTry, handVerdict, wordNow, type TryPlan, type TryScore, type Wanted } from './score.ts';
export { trendVerdict, weeklyTrend } from './trend.ts';
export { roundsOf, strokesOf } from './way.ts';

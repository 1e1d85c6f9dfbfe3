/** What a client may have today: cautions, what they close, and what follows. */
// Holding answers against cautions.
export {
  askedWith,
  carriedOver,
  isAsked,
  isYes,
  screen,
  screenVisit,
  toMind,
  SEVERITIES,
  ANSWER_WORDS,
  type Answer,
  type Answers,
  type Caution,
  type Screening,
  type Severity,
} from './screen.ts';
export { breachesOf, isBannedOutright, type Breach } from './breaches.ts';
export { type Clause } from './clause.ts';
export { factsOf } from './facts.ts';
export { leftAlone } from './left-alone.ts';
export { onOneSide, sideOf } from './sides.ts';
// What may be added, and at which pressure.
export { admit, admitRoutine, newlyBanned } from './admit.ts';
// What a caution touches on the chart and in the library.
export { reachOfPlace, reachOfTechnique, type Reach } from './reach.ts';
export { keepOffPlaces } from './keep-off.ts';
// What the practice decides for itself.
export { mayBeOverridden, REASON_LETTERS, type Override } from './override.ts';
export { cautionOf, isLocalKey, type LocalRule } from './local-rules.ts';
// Products and preparation.
export {
  checkProduct,
  ESSENTIAL_ON_FACE_PERCENT,
  PRODUCT_KINDS,
  type AllergenFamily,
  type PatchTest,
  type Product,
} from './products.ts';
export { preparationFor, type PreparationItem } from './preparation.ts';
export { takesAway } from './words.ts';
export { acceptedFor, readAnswers } from './answers.ts';

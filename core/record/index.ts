/** What is kept: a visit, its stages, findings, consents, habits. */
// The visit and its stages.
export {
  EMPTY_RECORD,
  EMPTY_SCREEN,
  hasEnded,
  REACTION_NAMES,
  REACTIONS,
  STAGE_NAMES,
  stageIndex,
  STAGES,
  type Reaction,
  type Referral,
  type Screen,
  type Stage,
  type VisitRecord,
  type VisitStage,
} from './model.ts';
// What Assess finds that is no single number.
export {
  checkedFindings,
  EMPTY_FINDINGS,
  MOST_SPOTS,
  offsetWords,
  pinAt,
  spotPx,
  withFindings,
  type FeltElsewhere,
  type Findings,
  type TightSpot,
} from './findings.ts';
// Consents and texts of the practice.
export {
  consentState,
  TEXT_KINDS,
  TEXT_NAMES,
  type Consent,
  type ConsentKind,
  type PracticeText,
  type TextKind,
} from './consent.ts';
export { HABIT_LABELS, HABITS, habitWords, type Habit, type HabitSides } from './habit-sides.ts';

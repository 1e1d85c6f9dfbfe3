/** What is kept: clients, visits and their stages, findings, scores, consents; and what a change may do to a visit. */
// The visit and its stages.
export {
  EMPTY_RECORD,
  readRecord,
  EMPTY_SCREEN,
  hasEnded,
  REACTION_NAMES,
  REACTIONS,
  STAGE_NAMES,
  stageIndex,
  STAGES,
  VISIT_STAGES,
  type OpenReferral,
  type Reaction,
  type Referral,
  type ReviewDue,
  type Screen,
  type Stage,
  type Visit,
  type VisitRecord,
  type VisitStage,
  type RoutineOrigin,
} from './visit.ts';
// What is worked on, and each change to it.
export { withPatch, workingOf, type Working } from './working.ts';
export { referralOf, refusalOf } from './allow.ts';
export {
  checkedWords,
  correctionsOf,
  isCorrectable,
  whereWords,
  type Amendment,
  type Correction,
  type CorrectionNames,
} from './amend.ts';
export {
  BOOKING_STEP_MINUTES,
  bookingAsksOf,
  bookingMinutes,
  bookingSpan,
  isStillBooked,
  keptMinutes,
  takesTime,
  USUAL_AROUND,
  USUAL_BOOKING_MINUTES,
  USUAL_CHANGE_MINUTES,
  wasBegun,
  type Around,
  type Booking,
  type BookingAsks,
  type Keeps,
  type Room,
  type WantedBooking,
} from './booking.ts';
export { PARTS_OF_DAY, PART_OF_DAY_NAMES, type PartOfDay, type WaitingClient } from './waiting.ts';
export { inverseOf } from './inverse.ts';
export {
  becauseOf,
  joined,
  leftOf,
  readPatch,
  type ReadingEntry,
  type SaveResult,
  type StoredVisit,
  type VisitPatch,
} from './patch.ts';
// What is found, taken and agreed.
export {
  feltWords,
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
export { RATING_SOURCE_NAMES, RATING_SOURCES, type KeptRating } from './rating.ts';
export { sorerSide } from './sorer-side.ts';
export { knownAt, UNRATED_SCORE } from './known.ts';
export type { TakenScore } from './score.ts';
export type { Photo, PhotoPhase } from './photo.ts';
export {
  consentState,
  TEXT_KINDS,
  TEXT_NAMES,
  type Consent,
  CONSENT_KINDS,
  type ConsentKind,
  type PracticeText,
  type TextKind,
} from './consent.ts';
// Clients and the practice.
export {
  CLIENT_SORTS,
  firstNameOf,
  type Client,
  type ClientSort,
  type Complaint,
  type TakenMeasures,
} from './client.ts';
export type { CourseRating } from './course-ratings.ts';
export { HABIT_LABELS, HABITS, habitWords, type Habit, type HabitSides } from './habit-sides.ts';
export {
  DATE_FORMATS,
  type DateFormat,
  type StoredProduct,
  type StoredRule,
  type StoredTechnique,
  type TrailCheck,
} from './practice.ts';
export { MEMBER_ROLES, type MemberRole } from './member.ts';
// Over all clients.
export {
  RATING_DUE_DAYS,
  STANDS_FROM_CLIENTS,
  STOPPED_AFTER_DAYS,
  type RatingDue,
  type Stands,
  type StoppedComing,
} from './stands.ts';
// Between visits.
export { FELT, type Felt, type HomeFlag, type HomeLook, type HomeRunTold, type KeptHomePlan } from './home-plan.ts';

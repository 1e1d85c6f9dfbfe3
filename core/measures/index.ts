/** One registry of what can be measured, with its scoring. */
// The registry: every measure with unit, code, scale, error, importance, licence and minutes.
export { REGISTRY } from './registry.ts';
export { changeVerdict, changeWords, type ChangeVerdict, type MeasureRow } from './row.ts';
// Readings: one number at one place.
export {
  beforeAndAfter,
  checkedReading,
  FELT_WORDS,
  MEASURE_KEYS,
  MEASURES,
  notAskedAgain,
  READING_PHASES,
  READING_SOURCES,
  readingKey,
  type BeforeAfter,
  type EarlierReadings,
  type MeasureKey,
  type Reading,
  type ReadingPhase,
  type ReadingSource,
} from './reading.ts';
// Questionnaires: many answers, one score.
export {
  checkedAnswers,
  contradictionIn,
  measureOf,
  QUESTIONNAIRES,
  missingIn,
  MOST_LETTERS,
  proposedMeasures,
  scoreSoFar,
  type MeasureAnswers,
  type MeasureDef,
  type MeasureField,
} from './catalogue.ts';
export { mean, sum, type ItemAnswer } from './answers.ts';
// Ratings of 0 to 10.
export { diaryMean, nrsChange, nrsScore, sessionRelief, weekContradiction, type NrsBand } from './nrs.ts';
export { wilson } from './share.ts';
// The jaw.
export {
  betweenEdges,
  FINGER_WIDTH_MM,
  fingerReadings,
  LIMITED_BELOW_MM,
  movedByOverlap,
  OPENING_KEYS,
  OPENING_MARKS_MM,
  openingBand,
  openingChange,
  openingFromFingers,
  openingFromRuler,
  openingsContradict,
  type OpeningKey,
} from './opening.ts';
export {
  lateralMovement,
  movementBand,
  openingPath,
  type OpeningPath,
  protrusion,
  USUAL_MOVEMENT_MM,
} from './jaw-movement.ts';
export { jawLimitation20, jawLimitation8, oralBehaviours } from './jaw-function.ts';
// Head, eyes, stress, pain, own goals.
export {
  dayPattern,
  headacheDaysPer28,
  headacheDisabilityDays,
  headacheImpact,
  isHeadacheResponder,
  medicineLimits,
} from './headache.ts';
export { eyeStrainTally, ocularSurface, screenBreaks, weeklyScreenHours, type EyeSymptom } from './eye-strain.ts';
export { distress, perceivedStress10, perceivedStress4 } from './stress.ts';
export { gradedPain, type GradedPainAnswers } from './graded-pain.ts';
export { globalChange, goalAttainment, ownActivities, ownSymptomProfile, type Goal } from './own-goals.ts';
// Presses: tenderness and threshold.
export {
  pressedOnBoth,
  sideGapWords,
  tenderness,
  TENDERNESS_WORDS,
  tendernessTotal,
  TOTAL_SITES,
  type Tenderness,
} from './tenderness.ts';
export {
  GAUGE_UNITS,
  KPA_PER_NEWTON_PER_CM2,
  kpaFrom,
  kpaFromGauge,
  NEWTON_PER_KGF,
  NEWTON_PER_LBF,
  newtonFrom,
  pressureThreshold,
  RAMP_KPA_PER_SECOND,
  smallestChange,
  type GaugeUnit,
  type ThresholdTrial,
} from './pressure-threshold.ts';
export { meterOf, pressUntil, type PressSample } from './threshold-trial.ts';
// How level a face is, on a photo.
export {
  checkedMarks,
  differenceWords,
  PHOTO_LANDMARKS,
  LEVEL_NAMES,
  levelChange,
  levelness,
  MOST_TURN_DEG,
  NEEDED,
  offLine,
  scaleErrorOf,
  type Levelness,
  type PhotoLandmark,
  type PhotoMarks,
  type Px,
} from './levelness.ts';

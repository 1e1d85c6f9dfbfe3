/** The player as a pure machine: a cue list and a log of events give the state at any time. */
// What happens in a run.
export { payloadOf, readGuideEvent, type GuideEvent, type GuideMoment, type PlainKind } from './events.ts';
// State at any time, and what a run really was.
export {
  advance,
  cueLengthMs,
  EXTEND_MS,
  endsByFeel,
  initialState,
  shifted,
  stateAt,
  timeLeftMs,
  type GuideState,
} from './machine.ts';
export { readStepRecords, runRecord, type StepRecord } from './run-record.ts';
export { doneRibbon, type DoneRibbon } from './done-ribbon.ts';
// What a practitioner's own runs tell about the next.
export {
  asYours,
  learnedFrom,
  lengthsOf,
  yourSeconds,
  type FeltLengths,
  type Learned,
  type Middle,
} from './learned.ts';
export { countsBySide, unevenSteps } from './uneven.ts';
// What sounds, speaks or shows, ahead of time.
export { momentsAhead, type Moment } from './moments.ts';
export { jawShare } from './jaw-beat.ts';
export { beginsStep, speakerOf, spokenAt, USUAL_HEARING, type Hearing, type HearingAlone } from './spoken.ts';
export { bodyWords, faceOf, goOnWords, handWords, middleWords, nextWords } from './words.ts';
// Comparing the sides when one of them is done.
export {
  doneSideAt,
  SIDE_DIFFERENCE_NAMES,
  SIDE_DIFFERENCES,
  sideCompareWords,
  type SideCompare,
  type SideDifference,
} from './side-compare.ts';

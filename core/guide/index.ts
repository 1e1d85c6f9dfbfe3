/** The player as a pure machine: a cue list and a log of events give the state at any time. */
// State, events, and what a run really was.
export {
  advance,
  cueLengthMs,
  initialState,
  parseGuideEvent,
  runRecord,
  stateAt,
  type GuideEvent,
  type GuideEventKind,
  type GuideState,
  type StepRecord,
} from './machine.ts';
// What sounds, speaks or shows, ahead of time.
export { momentsAhead, type Moment } from './moments.ts';
export { faceOf, nextWords, spokenAt } from './words.ts';
// Comparing the sides when one of them is done.
export {
  doneSideAt,
  readSideCompare,
  SIDE_DIFFERENCE_NAMES,
  SIDE_DIFFERENCES,
  sideCompareText,
  sideCompareWords,
  type SideCompare,
  type SideDifference,
} from './side-compare.ts';

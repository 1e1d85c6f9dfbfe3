/** The routine: its document, what it expands to, how it is edited and told. */
// The document, and reading one from anywhere.
export {
  BODY_WAYS,
  BOUNDS,
  goesBothWays,
  hardestOf,
  LENGTHS,
  pressed,
  SIDE_MODES,
  STEP_FIELD,
  stepsOf,
  STROKES,
  USUAL_ORDER,
  USUAL_PAUSES,
  USUAL_SCHOOL,
  type Block,
  type Body,
  type DosePart,
  type Item,
  type OrderProfile,
  type Routine,
  type SidePlan,
  type Step,
  type Stroke,
} from './model.ts';
export { emptyRoutine, readRoutine, stepCount } from './document.ts';
export { ROUTINE_JSON_SCHEMA, TECHNIQUES_JSON_SCHEMA } from './json-schema.ts';
// A practice's own techniques: read, kept, made into those of the catalogue.
export {
  emptyOwn,
  fromOwn,
  ownFileOf,
  ownFrom,
  OWN_MOST,
  readOwnFile,
  readOwnTechnique,
  TECHNIQUE_LENGTHS,
  type KnownHere,
  type OwnTechnique,
} from './own.ts';
// Techniques and schools, as the reference writes them.
export { catalogueWith, newStep, stepNames, techniqueFor, type Catalogue, type Technique } from './technique.ts';
export { touchedRegions } from './touched.ts';
export { stepOpening, type JawLimits, type StepOpening } from './jaw.ts';
export type { School } from './school.ts';
// What happens from when to when, and how long it takes.
export {
  alongPath,
  beatOnsetMs,
  breathCyclesIn,
  breathPhases,
  breathsPerMinute,
  expandRoutine,
  WORKING,
  type CueKind,
  type BreathPhase,
  type Cue,
} from './cues.ts';
export { routineSeconds, stepSeconds, totalsOf, type Totals } from './timing.ts';
export { smallBands, type SmallBand } from './small-ribbon.ts';
export { ribbonOf, type RibbonBlock, type RibbonData } from './ribbon.ts';
// Edits, each giving a new routine; a step typed as one line.
export {
  evenedSides,
  freshId,
  insertStep,
  insertSteps,
  mapSteps,
  moveStep,
  removeStep,
  replaceStep,
  usualIndex,
  withSides,
} from './edit.ts';
export { NEW_PARTS } from './new-parts.ts';
export { dissolveBlock, makeBlock, setBlockSides } from './blocks.ts';
export { copySteps, mirrorSteps, moveSteps, removeSteps, shiftPressure } from './several.ts';
export { madeUp, makeableUp, type Lack } from './make-up.ts';
export { servesOf } from './serves.ts';
export { scaleTo } from './scale.ts';
export { differences } from './compare.ts';
export { laterChanges, takeOver } from './take-over.ts';
export { LINE_LETTERS, readTypedLine } from './typed-line.ts';
export { stepFromLine, techniquesForLine } from './line-step.ts';
export { writeTypedLine } from './line-written.ts';
// In words.
export { sumWords } from './sum.ts';
export { BLOCK_WORDS, doseWords, groundWords, pathWords, pressureWords } from './words.ts';

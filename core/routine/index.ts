/** The routine: its document, what it expands to, how it is edited and told. */
// The document.
export {
  BOUNDS,
  DEFAULT_ORDER,
  hardestOf,
  ROUTINE_FORMAT,
  ROUTINE_VERSION,
  SIDE_MODES,
  type BreathPattern,
  type DosePart,
  type Routine,
  type SidePlan,
  type Step,
} from './model.ts';
export { parseRoutine } from './schema.ts';
export { ROUTINE_JSON_SCHEMA } from './json-schema.ts';
// Techniques, as the reference writes them.
export { newStep, type Catalogue, type Technique } from './technique.ts';
// What happens from when to when.
export {
  beatOnsetMs,
  breathCyclesIn,
  breathPhases,
  breathsPerMinute,
  expandRoutine,
  WORKING,
  type BreathPhase,
  type Cue,
} from './cues.ts';
export { routineSeconds, stepSeconds, totalsOf, type Totals } from './timing.ts';
export { ribbonOf, type RibbonBlock, type RibbonData } from './ribbon.ts';
// Edits, each giving a new routine.
export { applyFix, freshId, insertStep, moveStep, removeStep, replaceStep, usualIndex } from './edit.ts';
export { readTypedLine, stepFromLine, techniquesForLine } from './typed-line.ts';
export { doseWords } from './words.ts';

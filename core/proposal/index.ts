/** A routine proposed: the best choice for a client in these minutes, its order, its proof and its reasons. */
// What it depends on, and what comes of it.
export {
  NOTHING_KNOWN,
  usualAsk,
  type ProposalAnswer,
  type Ask,
  type Known,
  type LeftOut,
  type Library,
  type Proposal,
  type ProposalCase,
} from './case.ts';
export { CASE_JSON_SCHEMA, checkAsk, readAsk, readCase, type CaseFile } from './case-file.ts';
// The proposal, two that differ, and what an hour could do.
export { propose } from './propose.ts';
export { alternativesTo, worthOfAnHour, type Alternative } from './alternatives.ts';
// What a client may have at most, by their own threshold.
export { thresholdCap } from './pressure.ts';
// What a routine asks of the hands, and how they are spared.
export {
  HAND_PART_NAMES,
  HAND_PARTS,
  handWorkOf,
  usedBy,
  usualStrengthN,
  type HandPart,
  type HandStrength,
  type HandWork,
} from './hand-work.ts';
export { handSwaps, type HandSwap, type HandSwaps } from './hand-swaps.ts';
// The solver, handed in.
export { solverOf } from './highs.ts';
export type { Solve } from './solver.ts';

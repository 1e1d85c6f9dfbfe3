/** What a good routine keeps to: rules as data, findings, fixes. */
// The rows, and what a row may say.
// Holding a routine against them, and mending it.
export { checkRoutine } from './check.ts';
export { applyFix } from './fix.ts';
export { checkAlone, loadLimits } from './alone.ts';
export { stopOfOwn } from './own-check.ts';
export type { RuleFinding } from './types.ts';

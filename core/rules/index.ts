/** What a good routine keeps to: rules as data, findings, fixes. */
// The rows, and what a row may say.
export { RULES } from './rows.ts';
export type { Rule } from './rule.ts';
// Holding a routine against them, and mending it.
export { checkRoutine, orderOf } from './check.ts';
export { applyFix } from './fix.ts';
export type { FixAction, RuleFinding } from './types.ts';

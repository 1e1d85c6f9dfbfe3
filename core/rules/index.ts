/** What a good routine keeps to: rules as data, findings, fixes. */
// Holding a routine against every rule.
export { checkRoutine, type Finding } from './check.ts';
export type { FixAction } from './types.ts';

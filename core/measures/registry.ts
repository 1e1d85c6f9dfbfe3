import { QUESTIONNAIRES } from './catalogue.ts';
import { MEASURES } from './reading.ts';
import type { MeasureRow } from './row.ts';

/**
 * Every measure there is, readings first: Assess offers them, Relief compares by them, the command line lists them, and
 * files name them by their codes.
 */
export const REGISTRY: readonly MeasureRow[] = [...Object.values(MEASURES), ...QUESTIONNAIRES];

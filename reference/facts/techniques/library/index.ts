import type { Technique } from '../../../../core/routine/index.ts';
import { AFTER } from './after.ts';
import { BEFORE } from './before.ts';
import { PRESS } from './press.ts';
import { RELEASE_1 } from './release-1.ts';
import { RELEASE_2 } from './release-2.ts';

/**
 * The wider library beside the everyday techniques: doses, directions and contacts are common practice of the trade
 * without a published source. A pressure or dose that the trade leaves open has a careful default, our choice.
 */
export const LIBRARY: readonly Technique[] = [...BEFORE, ...RELEASE_1, ...RELEASE_2, ...PRESS, ...AFTER];

import type { Caution } from '../../../core/limits/index.ts';
import { EVERYONE } from './everyone.ts';
import { RED_FLAGS } from './red-flags.ts';
import { STANDING_BANS, STANDING_CARE, STANDING_NOTES } from './standing.ts';
import { TODAY } from './today.ts';

/** In the order in which they are asked: red flags, then today's state, then standing facts. */
export const CAUTIONS: readonly Caution[] = [
  ...RED_FLAGS,
  ...TODAY,
  ...STANDING_BANS,
  ...STANDING_CARE,
  ...STANDING_NOTES,
  ...EVERYONE,
];

import type { Caution } from '../../../core/limits/index.ts';
import { EVERYONE } from './everyone.ts';
import { RED_FLAGS } from './red-flags.ts';
import { STANDING_BODY } from './standing-body.ts';
import { STANDING_FACE } from './standing-face.ts';
import { TODAY } from './today.ts';

/** In the order in which they are asked: red flags, then today's state, then standing facts. */
export const CAUTIONS: readonly Caution[] = [...RED_FLAGS, ...TODAY, ...STANDING_BODY, ...STANDING_FACE, ...EVERYONE];

import { CALM } from './calm.ts';
import { EYES } from './eyes.ts';
import { GLOVES_AND_PROBE } from './gloves-and-probe.ts';
import { HEAD_AND_FOREHEAD } from './head-and-forehead.ts';
import { JAW } from './jaw.ts';
import { NECK_AND_BALANCE } from './neck-and-balance.ts';
import type { StartingRoutine } from './define.ts';

export type { StartingRoutine };

/** Routines of the trade that a new practice begins with: common practice, no published source. */
export const STARTING_ROUTINES: readonly StartingRoutine[] = [
  ...JAW,
  ...NECK_AND_BALANCE,
  ...HEAD_AND_FOREHEAD,
  ...EYES,
  ...CALM,
  ...GLOVES_AND_PROBE,
];

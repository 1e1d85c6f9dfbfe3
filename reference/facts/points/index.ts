import type { PointRow } from '../../../core/atlas/index.ts';
import { CROWN_POINTS } from './crown.ts';
import { FRONT_POINTS } from './front.ts';
import { LIMB_POINTS } from './limb.ts';
import { SIDE_POINTS } from './side.ts';

export const POINTS: readonly PointRow[] = [...FRONT_POINTS, ...SIDE_POINTS, ...CROWN_POINTS, ...LIMB_POINTS];

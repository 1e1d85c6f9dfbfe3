import type { ChartTables } from '../core/atlas/index.ts';
import { LANDMARKS } from './facts/landmarks.ts';
import { DRAINAGE_PATHS, LYMPH_NODES } from './facts/lymph.ts';
import { MUSCLES } from './facts/muscles/index.ts';
import { KEEP_OFF, REGION_PATCHES } from './facts/other-places.ts';
import { POINTS } from './facts/points/index.ts';

/** Everything that has a place on the chart. */
export const CHART_TABLES: ChartTables = {
  landmarks: LANDMARKS,
  points: POINTS,
  muscles: MUSCLES,
  nodes: LYMPH_NODES,
  drainage: DRAINAGE_PATHS,
  others: { 'keep-off': KEEP_OFF, region: REGION_PATCHES },
};

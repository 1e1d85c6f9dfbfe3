import type { PhotoMarks } from '../measures/index.ts';

/** Before or after the work of its visit. */
export type PhotoPhase = 'before' | 'after';

/** All but the picture itself. */
export interface Photo {
  id: string;
  visitId: string;
  phase: PhotoPhase;
  widthPx: number;
  heightPx: number;
  landmarks: PhotoMarks;
  version: number;
  takenAt: string;
}

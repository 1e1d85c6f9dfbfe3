import type { PhotoMarks } from '../measures/index.ts';

/** Before or after the work of its visit. */
export type PhotoPhase = 'before' | 'after';

/** All but the picture itself. */
export interface Photo {
  /** Of the record. */
  id: string;
  /** Visit it was taken at. */
  visitId: string;
  /** Before or after the work. */
  phase: PhotoPhase;
  /** In px. */
  widthPx: number;
  /** In px. */
  heightPx: number;
  /** In px of the photo. */
  landmarks: PhotoMarks;
  /** Grows with every change. */
  version: number;
  /** ISO 8601. */
  takenAt: string;
}

import type { ReadingSource } from '../measures/index.ts';

/** A rating as a course needs it. */
export interface CourseRating {
  /** Of which complaint. */
  complaintId: string;
  /** Milliseconds since 1970. */
  atMs: number;
  /** 0–10. */
  value: number;
  source: ReadingSource;
  /** Right after the work of a visit. */
  after: boolean;
}

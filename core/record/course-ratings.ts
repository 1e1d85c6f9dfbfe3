/** Ratings of one complaint as a course needs them: lists that belong together by their places, oldest first. */
export interface CourseRatings {
  /** Of which complaint. */
  complaintId: string;
  /** Milliseconds since 1970. */
  atMs: number[];
  /** 0–10. */
  values: number[];
  /** One letter each: s studio, h home, i imported. */
  sources: string;
}

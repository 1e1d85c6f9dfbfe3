/** The course of a complaint between and across visits. */
// Is there a trend, and how sure is it.
export { mannKendall, normalCdf, trend } from './trend.ts';
// What a course says, and what to do.
export { courseReason, courseTitle, judgeCourse, type Verdict, WORSE_MEANS } from './judgement.ts';
export {
  COURSE_RULE_VERSION,
  coursesOf,
  courseState,
  FORGET_AFTER_DAYS,
  needsAttention,
  SILENT_AFTER_DAYS,
  type Attention,
  type CourseOf,
  type RatedAt,
} from './attention.ts';
// Before and after the work.
export { readingPairs, scorePairs, type ValuePair } from './pairs.ts';

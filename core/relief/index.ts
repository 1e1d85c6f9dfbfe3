/** The course of a complaint between and across visits. */
// Second opinions: is there a trend, and how sure is it.
export { normalCdf } from './normal.ts';
export { mannKendall, trend } from './trend.ts';
export { overlap, secondOpinions } from './second-opinions.ts';
// What a course says, and what to do.
export { judgeCourse, judgePoints, REVIEW_DAYS, type CourseFacts, type KeptJudgement } from './judgement.ts';
export { coursePoints, type CoursePoint, type RatedAt } from './ratings.ts';
export type { LevelAt } from './levels.ts';
export { marginFor, neededFor, type Verdict } from './verdict.ts';
export { adviceWords, courseReason, courseTitle, points, RELIEF_HELP, WORSE_MEANS } from './words.ts';
export {
  COURSE_RULE_VERSION,
  coursesOf,
  courseState,
  FORGET_AFTER_DAYS,
  needsAttention,
  SILENT_AFTER_DAYS,
  type Attention,
  type CourseOf,
  type DrawnOfCourse,
} from './attention.ts';
export { workedOn } from './work.ts';
// Before and after the work.
export { measureCourses, type MeasureCourse } from './measure-courses.ts';
export type { ValuePair } from './pairs.ts';

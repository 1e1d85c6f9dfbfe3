/** The course of a complaint between and across visits. */
// Second opinions: is there a trend, and how sure is it.
export { normalCdf } from './normal.ts';
export { mannKendall, trend } from './trend.ts';
export { overlap, secondOpinions } from './second-opinions.ts';
// What a course says, and what to do.
export {
  ADVICE,
  judgeCourse,
  judgePoints,
  REVIEW_DAYS,
  type Advice,
  type CourseFacts,
  type KeptJudgement,
} from './judgement.ts';
export { adviceOfAll, type Decision } from './decision.ts';
export { coursePoints, type CoursePoint, type RatedAt } from './ratings.ts';
export type { LevelAt } from './levels.ts';
export { fromColumns } from './columns.ts';
export { drawnAfter, drawnPoints, type AfterWork, type DrawnPoint, type DrawnPoints } from './drawn.ts';
export { marginFor, neededFor, type Verdict } from './verdict.ts';
export {
  adviceWords,
  ASKED_BEFORE_WORK,
  courseReason,
  courseTitle,
  points,
  RELIEF_HELP,
  WORSE_MEANS,
} from './words.ts';
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
export { techniquesWorked, workedOn } from './work.ts';
// What was done before easier days.
export {
  drawnToNought,
  helpedBy,
  type HelpedBefore,
  named,
  precededOf,
  type NamedPreceded,
  type EffectSpread,
  type Preceded,
  type RunDone,
} from './preceded.ts';
// Before and after the work.
export { together, togetherWords } from './together.ts';
export { measureCourses, type MeasureCourse } from './measure-courses.ts';
export type { ValuePair } from './pairs.ts';

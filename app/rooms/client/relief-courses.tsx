import type { Complaint } from '../../../core/record';
import {
  courseReason,
  courseTitle,
  type KeptJudgement,
  judgeCourse,
  type AfterWork,
  type DrawnOfCourse,
  type DrawnPoint,
  fromColumns,
  type LevelAt,
  type MeasureCourse,
  points as inPoints,
  RELIEF_HELP,
  together,
  togetherWords,
} from '../../../core/relief';
import { complaintName } from '../../../core/words';
import { MUSCLES } from '../../../reference/facts/muscles';
import { CourseChart } from '../../parts/course/course-chart';
import { type DoneAtVisit, DoneRow } from '../../parts/course/done-row';
import { type HomeDay, HomeRow } from '../../parts/course/home-row';
import { MeasureRow } from '../../parts/course/measure-row';
import type { Period } from '../../parts/course/period';
import { timeAxis } from '../../parts/course/time-axis';
import { useDates } from '../../parts/frame/use-dates';

/** One complaint as the server tells it. */
interface Told {
  complaintId: string;
  judgement: KeptJudgement;
  workBeganMs: number | null;
  points: readonly DrawnPoint[];
  after: readonly AfterWork[];
  levels: readonly LevelAt[];
  opinions: DrawnOfCourse['opinions'];
  middlesBeforeMs: number | null;
  binDays: number;
}

/** Courses as they came from the server, as rows. */
export const toldCourses = (
  courses: readonly (DrawnOfCourse & Pick<Told, 'complaintId' | 'judgement' | 'workBeganMs'>)[],
): Told[] =>
  courses.map((c) => ({
    ...c,
    points: fromColumns(c.points),
    after: fromColumns(c.after),
    levels: fromColumns(c.levels),
  }));
const NOTHING_RATED = judgeCourse([], { workStartMs: null });
/** What presses most is read first. */
const RANK: Partial<Record<KeptJudgement['verdict'], number>> = { worse: 0, 'leaning-worse': 1 };
const rankOf = (told: Told | undefined): number =>
  told ? Math.min(told.judgement.advice === 'refer' ? 0 : 2, RANK[told.judgement.verdict] ?? 2) : 3;

/** All moments that a page of courses draws, ms since 1970. */
const momentsOf = (
  complaints: readonly Complaint[],
  courses: readonly Told[],
  measured: readonly MeasureCourse[],
  begun: readonly string[],
): number[] => {
  const open = new Set(complaints.map((c) => c.id));
  const drawn = [
    ...courses.filter((c) => open.has(c.complaintId)).flatMap((c) => c.points.map((p) => p.atMs)),
    ...measured.flatMap((m) => m.sides.flatMap((s) => s.points.map((p) => p.atMs))),
  ];
  return drawn.length ? [...drawn, ...begun.map((at) => Date.parse(at))] : [];
};

/** The course of each complaint that is open, with what is judged of it: worse and refer first, then as they stand. */
export function ReliefCourses({
  complaints,
  courses,
  begun,
  nowIso,
  measured,
  done = [],
  home,
  period = null,
  beside = null,
  extra,
  between,
}: {
  complaints: readonly Complaint[];
  courses: readonly Told[];
  /** When the visits began, ISO 8601. */
  begun: readonly string[];
  nowIso: string;
  /** What was measured at least twice, over time. */
  measured: readonly MeasureCourse[];
  /** What was really done at guided visits. */
  done?: readonly DoneAtVisit[];
  /** What was done between visits. */
  home?: { days: readonly HomeDay[]; words: string };
  /** Days that are drawn; null = all. What is judged is always the whole course. */
  period?: Period | null;
  /** Id of the complaint that is drawn beside the others. */
  beside?: string | null;
  /** What stands under a course on the screen. */
  extra?: (complaint: Complaint) => React.ReactNode;
  /** What stands between the courses and what was measured, on the screen. */
  between?: React.ReactNode;
}) {
  const { shortDay } = useDates();
  const of = (c: Complaint) => courses.find((k) => k.complaintId === c.id);
  const shown = complaints.flatMap((c) => of(c)?.points ?? []);
  const visits = begun.map((at) => Date.parse(at));
  const axis = timeAxis(period ? [period.fromMs, period.toMs] : momentsOf(complaints, courses, measured, begun));
  const inside = <T extends { atMs: number }>(all: readonly T[]): T[] =>
    all.filter((p) => p.atMs >= axis.fromMs && p.atMs <= axis.toMs);
  const today = shortDay(nowIso);
  const posts = begun
    .map((at, i) => ({
      atMs: visits[i]!,
      label: `visit ${i + 1}`,
      day: shortDay(at),
      isToday: shortDay(at) === today,
    }))
    .filter((p) => p.atMs >= axis.fromMs && p.atMs <= axis.toMs);
  const second = complaints.find((c) => c.id === beside);
  const ordered = [...complaints].sort((a, b) => rankOf(of(a)) - rankOf(of(b)));
  return (
    <>
      {ordered.map((c, i) => {
        const told = of(c);
        const other = second && second.id !== c.id ? of(second) : undefined;
        const judgement = told?.judgement ?? NOTHING_RATED;
        const title = courseTitle(complaintName(c), judgement);
        const isWorse = judgement.verdict === 'worse';
        return (
          <section key={c.id} id={`course-${c.id}`} className="course">
            <h2 className={isWorse ? 'worse' : ''}>
              {isWorse && <span aria-hidden="true">▲ </span>}
              {title}
            </h2>
            <p className="soft mb-2">{courseReason(judgement)}</p>
            {told && told.points.length > 0 && (
              // Narrow screens move it sideways inside its frame, by keys too.
              <div className="course-frame" role="group" aria-label={`Course of ${complaintName(c)}`} tabIndex={0}>
                <CourseChart
                  title={title}
                  axis={axis}
                  points={inside(told.points)}
                  after={inside(told.after)}
                  levels={inside(told.levels)}
                  beside={other && { name: complaintName(second!), points: inside(other.points) }}
                  judgement={judgement}
                  workStartMs={told.workBeganMs}
                  posts={posts}
                  firstDay={shortDay(new Date(axis.fromMs).toISOString())}
                />
                {i === 0 && <DoneRow axis={axis} done={inside(done)} />}
                {i === 0 && home && <HomeRow axis={axis} days={inside(home.days)} words={home.words} />}
              </div>
            )}
            {other && told && (
              <p className="soft small">
                {togetherWords(
                  complaintName(c).toLowerCase(),
                  complaintName(second!).toLowerCase(),
                  together(told.points, other.points),
                )}
              </p>
            )}
            {told?.middlesBeforeMs != null && (
              <p className="soft small">
                Before {shortDay(new Date(told.middlesBeforeMs).toISOString())} each mark is the middle of{' '}
                {Math.max(1, Math.round(told.binDays))} days; choose days below to see every rating.
              </p>
            )}
            {told?.opinions && <Opinions {...told.opinions} />}
            {extra?.(c)}
          </section>
        );
      })}
      {shown.length > 0 && <Legend />}
      {between}
      {measured.length > 0 && (
        <section className="course course-frame" aria-label="Measured" tabIndex={0}>
          {measured.map((m) => (
            <MeasureRow
              key={`${m.measure} ${m.place}`}
              name={measureName(m)}
              sides={m.sides.map((s) => ({ ...s, points: inside(s.points) }))}
              axis={axis}
            />
          ))}
        </section>
      )}
    </>
  );
}

/** What simpler methods say of the same ratings; they know neither the setting nor that neighbours hang together. */
function Opinions({ overlap, slopePerWeek }: NonNullable<DrawnOfCourse['opinions']>) {
  const told = [
    slopePerWeek === null ? '' : `slope ${inPoints(slopePerWeek)} a week (Theil–Sen)`,
    overlap
      ? `${Math.round(overlap.nap * 100)} % of pairs before and since are better since (NAP), Tau-U ${inPoints(overlap.tauU)}`
      : '',
  ].filter(Boolean);
  if (!told.length) return null;
  return (
    <details className="course-legend no-print">
      <summary>Second opinions</summary>
      <p className="mb-0">{told.join('; ')}. They are told beside it and decide nothing.</p>
    </details>
  );
}

/** "Opening, comfortable (mm)", "Masseter, tenderness (of 3)". */
function measureName({ sides, place }: MeasureCourse): string {
  const { name, unit } = sides[0]!.pair;
  const muscle = MUSCLES.find((m) => m.id === place)?.name;
  return `${muscle ? `${muscle}, ${name.toLowerCase()}` : name} (${unit})`;
}

/** How the courses are read, and what they cannot know. */
function Legend() {
  return (
    <details className="course-legend">
      <summary>
        <svg viewBox="0 0 12 12" aria-hidden="true">
          <path className="mark studio" d="M1.5 1.5h9v9h-9z" />
        </svg>{' '}
        in the studio{' '}
        <svg viewBox="0 0 12 12" aria-hidden="true">
          <path className="mark home" d="M6 1l5 5l-5 5l-5 -5z" />
        </svg>{' '}
        at home{' '}
        <svg viewBox="0 0 12 12" aria-hidden="true">
          <path className="after" d="M2 6l7 -4v8z" />
        </svg>{' '}
        right after the work; shaded the level before it and what counts as the same.{' '}
        <span className="no-print">How sure is this?</span>
      </summary>
      <ul>
        {RELIEF_HELP.map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ul>
    </details>
  );
}

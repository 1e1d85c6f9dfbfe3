import type { Complaint } from '../../../core/record';
import { MEASURES, type MeasureKey } from '../../../core/measures';
import {
  courseReason,
  courseTitle,
  type KeptJudgement,
  judgeCourse,
  type DrawnOfCourse,
  type MeasureCourse,
  points as inPoints,
  RELIEF_HELP,
  type ValuePair,
} from '../../../core/relief';
import { complaintName, roundHalfAway } from '../../../core/words';
import { MUSCLES } from '../../../reference/facts/muscles';
import { type ChartPoint, CourseChart } from '../../parts/course/course-chart';
import { MeasureRow } from '../../parts/course/measure-row';
import { timeAxis } from '../../parts/course/time-axis';
import { useDates } from '../../parts/frame/use-dates';

/** One complaint as the server tells it. */
interface Told {
  complaintId: string;
  judgement: KeptJudgement;
  workBeganMs: number | null;
  points: readonly ChartPoint[];
  drawn: DrawnOfCourse;
  after: readonly { atMs: number; value: number }[];
}
const NOTHING_RATED = judgeCourse([], { workStartMs: null });
/** What presses most is read first. */
const RANK: Partial<Record<KeptJudgement['verdict'], number>> = { worse: 0, 'leaning-worse': 1 };
const rankOf = (told: Told | undefined): number =>
  told ? Math.min(told.judgement.advice === 'refer' ? 0 : 2, RANK[told.judgement.verdict] ?? 2) : 3;

/** The course of each complaint that is open, with what is judged of it: worse and refer first, then as they stand. */
export function ReliefCourses({
  complaints,
  courses,
  begun,
  nowIso,
  measured,
  extra,
}: {
  complaints: readonly Complaint[];
  courses: readonly Told[];
  /** When the visits began, ISO 8601. */
  begun: readonly string[];
  nowIso: string;
  /** What was measured at least twice, over time. */
  measured: readonly MeasureCourse[];
  /** What stands under a course on the screen. */
  extra?: (complaint: Complaint) => React.ReactNode;
}) {
  const { shortDay } = useDates();
  const of = (c: Complaint) => courses.find((k) => k.complaintId === c.id);
  const shown = complaints.flatMap((c) => of(c)?.points ?? []);
  const visits = begun.map((at) => Date.parse(at));
  const axis = timeAxis([
    ...shown.map((p) => p.atMs),
    ...measured.flatMap((m) => m.sides.flatMap((s) => s.points.map((p) => p.atMs))),
    ...(shown.length || measured.length ? visits : []),
  ]);
  const today = shortDay(nowIso);
  const posts = begun
    .map((at, i) => ({
      atMs: visits[i]!,
      label: `visit ${i + 1}`,
      day: shortDay(at),
      isToday: shortDay(at) === today,
    }))
    .filter((p) => p.atMs >= axis.fromMs);
  const ordered = [...complaints].sort((a, b) => rankOf(of(a)) - rankOf(of(b)));
  return (
    <>
      {ordered.map((c) => {
        const told = of(c);
        const judgement = told?.judgement ?? NOTHING_RATED;
        const title = courseTitle(complaintName(c), judgement);
        const isWorse = judgement.verdict === 'worse';
        return (
          <section key={c.id} className="course">
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
                  points={told.points}
                  after={told.after}
                  levels={told.drawn.levels}
                  judgement={judgement}
                  workStartMs={told.workBeganMs}
                  posts={posts}
                  firstDay={shortDay(new Date(axis.fromMs).toISOString())}
                />
              </div>
            )}
            {told?.drawn.opinions && <Opinions {...told.drawn.opinions} />}
            {extra?.(c)}
          </section>
        );
      })}
      {shown.length > 0 && <Legend />}
      {measured.length > 0 && (
        <section className="course course-frame" aria-label="Measured" tabIndex={0}>
          {measured.map((m) => (
            <MeasureRow key={`${m.measure} ${m.place}`} name={measureName(m)} sides={m.sides} axis={axis} />
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
    <details className="course-legend">
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
        right after the work; shaded the level before it and what counts as the same. How sure is this?
      </summary>
      <ul>
        {RELIEF_HELP.map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ul>
    </details>
  );
}

/** What was measured at the first visit and now. */
export function PairTable({ pairs }: { pairs: readonly ValuePair[] }) {
  if (pairs.length === 0) return null;
  return (
    <table className="table">
      <thead>
        <tr>
          <th scope="col">Measured</th>
          <th scope="col">First</th>
          <th scope="col">Now</th>
          <th scope="col">Change</th>
          <th scope="col">What it means</th>
        </tr>
      </thead>
      <tbody>
        {pairs.map((p) => (
          <PairRow key={`${p.measure}-${p.place}-${p.side}`} pair={p} />
        ))}
      </tbody>
    </table>
  );
}

function PairRow({ pair }: { pair: ValuePair }) {
  const muscle = MUSCLES.find((m) => m.id === pair.place);
  const sided = Object.hasOwn(MEASURES, pair.measure) && MEASURES[pair.measure as MeasureKey].belongs === 'side';
  const name = muscle
    ? `${muscle.name}, ${pair.side}${pair.measure === 'tenderness' ? '' : `, ${pair.name.toLowerCase()}`}`
    : sided
      ? `${pair.name}, ${pair.side}`
      : pair.name;
  const unit = pair.unit === 'mm' || pair.unit === 'kPa' ? ` ${pair.unit}` : '';
  // Inside its own error a change has no way.
  const arrow = pair.told === 'better' || pair.told === 'worse' ? (pair.change > 0 ? '▲' : '▼') : '';
  const sign = !arrow && pair.change ? (pair.change > 0 ? '+' : '−') : '';
  return (
    <tr>
      <td className="fw-bold">{name}</td>
      <td className="num">
        {roundHalfAway(pair.first, 1)}
        {unit}
      </td>
      <td className="num">
        {roundHalfAway(pair.now, 1)}
        {unit}
      </td>
      <td className={`num ${pair.told === 'better' || pair.told === 'worse' ? pair.told : ''}`}>
        {arrow} {sign}
        {roundHalfAway(Math.abs(pair.change), 1) || '–'}
        {pair.change ? unit : ''}{' '}
        <span className="visually-hidden">{pair.told === 'better' || pair.told === 'worse' ? pair.told : ''}</span>
      </td>
      <td>{pair.meaning}</td>
    </tr>
  );
}

import type { CourseRatings } from '../../../core/record';
import type { Complaint } from '../../../core/record';
import { MEASURES, type MeasureKey } from '../../../core/measures';
import {
  courseReason,
  coursesOf,
  courseTitle,
  judgeCourse,
  type RatedAt,
  type ValuePair,
  type Verdict,
} from '../../../core/relief';
import { complaintName, roundHalfAway } from '../../../core/words';
import { MUSCLES } from '../../../reference/facts/muscles';
import { CourseChart } from '../../parts/course/course-chart';

const TONES: Record<Verdict, string> = {
  better: 'var(--relief)',
  worse: 'var(--worse)',
  'no-clear-change': 'var(--ink)',
  'too-early': 'var(--ink)',
  'no-readings': 'var(--ink)',
};
const DAY_MS = 86_400_000;
const NOTHING_RATED = { points: [], judgement: judgeCourse([]) };
const SOURCES = { s: 'studio', h: 'home', i: 'imported' } as const;
const ratingsIn = (courses: readonly CourseRatings[], complaintId: string): RatedAt[] => {
  const course = courses.find((c) => c.complaintId === complaintId);
  return course
    ? course.values.map((value, i) => ({
        value,
        atMs: course.atMs[i]!,
        source: SOURCES[course.sources[i] as keyof typeof SOURCES],
      }))
    : [];
};

/** The course of each complaint that is open, with what is judged of it. */
export function ReliefCourses({
  complaints,
  ratings,
  begun,
}: {
  complaints: readonly Complaint[];
  ratings: { before: readonly CourseRatings[]; after: readonly CourseRatings[] };
  /** When the visits began, ISO 8601. */
  begun: readonly string[];
}) {
  const courses = coursesOf(
    complaints.flatMap((c) => ratingsIn(ratings.before, c.id).map((r) => ({ ...r, complaint: c.id }))),
  );
  return complaints.map((c) => {
    const rated = ratingsIn(ratings.before, c.id);
    const after = ratingsIn(ratings.after, c.id);
    const { points, judgement } = courses.get(c.id) ?? NOTHING_RATED;
    const title = courseTitle(complaintName(c), judgement);
    const start = rated[0]?.atMs ?? 0;
    const dayOfMs = (ms: number) => (ms - start) / DAY_MS;
    return (
      <section key={c.id} className="course">
        <h2 className={judgement.verdict === 'worse' ? 'worse' : ''}>
          {judgement.verdict === 'worse' && <span aria-hidden="true">▲ </span>}
          {title}
        </h2>
        <p className="soft mb-2">{courseReason(judgement)}</p>
        {points.length > 0 && (
          <CourseChart
            title={title}
            points={points}
            after={after.map((r) => ({ day: Math.max(0, dayOfMs(r.atMs)), value: r.value }))}
            band={judgement.band}
            posts={begun
              .map((at, i) => ({ day: dayOfMs(Date.parse(at)), label: `visit ${i + 1}` }))
              .filter((p) => p.day >= -0.5)
              .map((p) => ({ ...p, day: Math.max(0, p.day) }))}
            ending={{ value: rated.at(-1)!.value, tone: TONES[judgement.verdict] }}
          />
        )}
      </section>
    );
  });
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
  const arrow = pair.direction === 'same' ? '' : pair.change > 0 ? '▲' : '▼';
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
      <td className={`num ${pair.direction === 'better' ? 'better' : pair.direction === 'worse' ? 'worse' : ''}`}>
        {arrow} {roundHalfAway(Math.abs(pair.change), 1) || '–'}
        {pair.change ? unit : ''} <span className="visually-hidden">{pair.direction}</span>
      </td>
      <td>{pair.meaning}</td>
    </tr>
  );
}

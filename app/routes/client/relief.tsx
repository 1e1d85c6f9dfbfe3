import type { CourseRatings } from '../../../core/record';
import { MEASURES, REGISTRY, type MeasureKey } from '../../../core/measures';
import {
  courseReason,
  coursesOf,
  courseTitle,
  judgeCourse,
  readingPairs,
  scorePairs,
  type RatedAt,
  type ValuePair,
  type Verdict,
} from '../../../core/relief';
import { complaintName, roundHalfAway } from '../../../core/words';
import { Link, useRouteLoaderData } from 'react-router';
import { MUSCLES } from '../../../reference/facts/muscles';
import { scoresOfClient } from '../../../server/db/queries/scores.server';
import { endsOfClient, ratingsOfClient } from '../../../server/db/queries/readings.server';
import { FaceChart } from '../../parts/chart/face-chart';
import { CourseChart } from '../../parts/course/course-chart';
import { requirePractitioner } from '../../../server/access/session.server';
import type { Route } from './+types/relief';
import type { loader as frame } from './client';

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

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await requirePractitioner(request);
  const [ratings, ends, scores] = await Promise.all([
    ratingsOfClient(practiceId, params.clientId),
    endsOfClient(practiceId, params.clientId),
    scoresOfClient(practiceId, params.clientId),
  ]);
  const rank = (p: ValuePair) => REGISTRY.findIndex((m) => m.id === p.measure);
  const inOrder = (pairs: ValuePair[]) =>
    pairs.sort((a, b) => rank(a) - rank(b) || a.place.localeCompare(b.place) || a.side.localeCompare(b.side));
  return { ratings, pairs: inOrder(readingPairs(ends)), scored: inOrder(scorePairs(scores)) };
}

export default function Relief({ loaderData: { ratings: all, pairs, scored } }: Route.ComponentProps) {
  const { client, begun } = useRouteLoaderData('routes/client/client') as Awaited<ReturnType<typeof frame>>;
  const changes = pairs
    .filter((p) => p.measure === 'tenderness' && (p.side === 'left' || p.side === 'right'))
    .map((p) => ({
      place: { kind: 'muscle' as const, id: p.place, side: p.side as 'left' | 'right' },
      before: p.first,
      after: p.now,
    }));
  const open = client.complaints.filter((c) => !c.closed);
  const courses = coursesOf(open.flatMap((c) => ratingsIn(all.before, c.id).map((r) => ({ ...r, complaint: c.id }))));
  return (
    <div className="page with-aside">
      <main>
        <h1 className="visually-hidden">Relief</h1>
        {!open.length && (
          <p className="empty">
            <strong>No complaint on record</strong>
            <Link to={`/clients/${client.id}/details`}>Add what they come for</Link>, then rate it at a visit.
          </p>
        )}
        {open.map((c) => {
          const rated = ratingsIn(all.before, c.id);
          const after = ratingsIn(all.after, c.id);
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
        })}
        {(pairs.length > 0 || scored.length > 0) && (
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
              {[...scored, ...pairs].map((p) => (
                <PairRow key={`${p.measure}-${p.place}-${p.side}`} pair={p} />
              ))}
            </tbody>
          </table>
        )}
      </main>
      <aside>
        <div style={{ height: 430, margin: '-24px -24px 12px' }}>
          <FaceChart changes={changes} />
        </div>
        <h2 className="mb-2">Complaints</h2>
        {open.map((c) => (
          <div key={c.id} className="look">
            <h3>{complaintName(c)}</h3>
            {[
              ['Since', c.onset],
              ['Set off by', c.triggers],
              ['Goal', c.goal],
            ]
              .filter(([, v]) => v)
              .map(([k, v]) => (
                <p key={k}>
                  <span className="soft">{k}</span> {v}
                </p>
              ))}
          </div>
        ))}
        {client.note && <p className="mt-3">{client.note}</p>}
      </aside>
    </div>
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

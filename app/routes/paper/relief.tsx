import { findClient } from '../../../server/db/queries/clients.server';
import { clock, complaintName } from '../../../core/words';
import { standingFacts } from '../../../server/db/queries/facts.server';
import { visitsOfClient, visitTimes } from '../../../server/db/queries/visits.server';
import { reliefOf } from '../../../server/access/relief-of.server';
import { doneAtVisits } from '../../../server/db/queries/runs.server';
import { notFound, permitted } from '../../../server/access/session.server';
import { changeMarks } from '../../parts/chart/chart-marks';
import { useDates } from '../../parts/frame/use-dates';
import { PaperCharts, viewsShowing } from '../../parts/paper/paper-charts';
import { Sheet } from '../../parts/paper/sheet';
import { PairsInShort } from '../../rooms/client/pair-table';
import { ReliefCourses, toldCourses } from '../../rooms/client/relief-courses';
import { Link } from 'react-router';
import type { Route } from './+types/relief';

/** So many of the latest visits are told. */
const VISITS_TOLD = 8;

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'care');
  const isForColleague = new URL(request.url).searchParams.get('for') === 'colleague';
  const [client, begun, relief, visits, facts, done] = await Promise.all([
    findClient(practiceId, params.clientId),
    visitTimes(practiceId, params.clientId, new Date()),
    reliefOf(practiceId, params.clientId),
    visitsOfClient(practiceId, params.clientId, null, VISITS_TOLD),
    standingFacts(practiceId, params.clientId),
    doneAtVisits(practiceId, params.clientId),
  ]);
  if (!client) notFound('client');
  const minutes = Object.fromEntries(done.map((d) => [d.visitId, d.seconds]));
  return { client, begun, nowIso: new Date().toISOString(), visits, facts, minutes, isForColleague, ...relief };
}
export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Relief of ${loaderData?.client.name ?? 'a client'} · Velvet Compass` },
];

/** The relief course of a client on paper: for themselves, or for whoever treats them. */
export default function ReliefOnPaper({ loaderData }: Route.ComponentProps) {
  const { client, begun, courses, pairs, nowIso, visits, facts, minutes, isForColleague } = loaderData;
  const { shortDay } = useDates();
  const done = visits.filter((v) => v.stage === 'done' && v.routine);
  const wishes = client.complaints.filter((c) => !c.closed && c.goal);
  const open = client.complaints.filter((c) => !c.closed);
  const changes = changeMarks(pairs);
  return (
    <Sheet
      asFile={client.name}
      title="Relief"
      who={client.name}
      back={{ to: `/clients/${client.id}`, words: 'Back to the relief course' }}
    >
      <p className="no-print">
        <Link to="?" aria-current={isForColleague ? undefined : 'page'}>
          For {client.name}
        </Link>{' '}
        ·{' '}
        <Link to="?for=colleague" aria-current={isForColleague ? 'page' : undefined}>
          For a licensed colleague
        </Link>
        {isForColleague && ': hand it over with the client’s consent only.'}
      </p>
      <div className="letter">
        <h1>Relief of {client.name}</h1>
        {isForColleague && (
          <p>
            To whoever treats {client.name}: what they rated, and what was measured and done here. Ratings are 0 to 10,
            changes with the bounds that hold 95 %.
          </p>
        )}
        {open.length === 0 && <p>No complaint is on record.</p>}
        <ReliefCourses complaints={open} courses={toldCourses(courses)} begun={begun} nowIso={nowIso} measured={[]} />
        <PairsInShort pairs={pairs} />
        <div className="letter-beside">
          {changes.length > 0 && <PaperCharts views={viewsShowing(changes.map((c) => c.place))} changes={changes} />}
        </div>
        {done.length > 0 && (
          <>
            <h2>What was done</h2>
            <ul>
              {done.map((v) => (
                <li key={v.id}>
                  {shortDay(v.startsAt)}: {v.routine}
                  {minutes[v.id] ? `, ${clock(minutes[v.id]!)} minutes` : ''}
                </li>
              ))}
            </ul>
          </>
        )}
        {isForColleague && facts.length > 0 && (
          <>
            <h2>What is minded</h2>
            <p>{facts.join('; ')}.</p>
          </>
        )}
        {wishes.length > 0 && (
          <>
            <h2>What the client wishes for</h2>
            <ul>
              {wishes.map((c) => (
                <li key={c.id}>
                  {complaintName(c)}: {c.goal}
                </li>
              ))}
            </ul>
          </>
        )}
        <p>
          These are the client’s own ratings and the practitioner’s readings. They are no diagnosis, and they promise
          nothing.
        </p>
      </div>
    </Sheet>
  );
}

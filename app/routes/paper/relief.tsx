import { findClient } from '../../../server/db/queries/clients.server';
import { visitTimes } from '../../../server/db/queries/visits.server';
import { reliefOf } from '../../../server/access/relief-of.server';
import { notFound, requirePractitioner } from '../../../server/access/session.server';
import { changeMarks } from '../../parts/chart/chart-marks';
import { PaperCharts, viewsShowing } from '../../parts/paper/paper-charts';
import { Sheet } from '../../parts/paper/sheet';
import { PairTable, ReliefCourses } from '../../rooms/client/relief-courses';
import type { Route } from './+types/relief';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await requirePractitioner(request);
  const [client, begun, relief] = await Promise.all([
    findClient(practiceId, params.clientId),
    visitTimes(practiceId, params.clientId, new Date()),
    reliefOf(practiceId, params.clientId),
  ]);
  if (!client) notFound('client');
  return { client, begun, ...relief };
}
export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Relief of ${loaderData?.client.name ?? 'a client'} · Velvet Compass` },
];

/** The relief course of a client on paper: for themselves, or for whoever treats them. */
export default function ReliefOnPaper({ loaderData }: Route.ComponentProps) {
  const { client, begun, ratings, pairs, scored } = loaderData;
  const open = client.complaints.filter((c) => !c.closed);
  const changes = changeMarks(pairs);
  return (
    <Sheet title="Relief" who={client.name} back={{ to: `/clients/${client.id}`, words: 'Back to the relief course' }}>
      <h1>Relief of {client.name}</h1>
      {open.length === 0 && <p>No complaint is on record.</p>}
      <ReliefCourses complaints={open} ratings={ratings} begun={begun} />
      <PairTable pairs={[...scored, ...pairs]} />
      {changes.length > 0 && <PaperCharts views={viewsShowing(changes.map((c) => c.place))} changes={changes} />}
      <p>
        These are the client’s own ratings and the practitioner’s readings. They are no diagnosis, and they promise
        nothing.
      </p>
    </Sheet>
  );
}

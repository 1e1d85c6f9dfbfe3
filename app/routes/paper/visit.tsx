import { amendmentsOf } from '../../../server/db/queries/amendments.server';
import { findBooking, nextBooking } from '../../../server/db/queries/bookings.server';
import { findClient } from '../../../server/db/queries/clients.server';
import { readingsOfVisit } from '../../../server/db/queries/readings.server';
import { scoresOfVisit } from '../../../server/db/queries/scores.server';
import { findVisit, visitNumber } from '../../../server/db/queries/visits.server';
import { runsTold } from '../../../server/access/runs-told.server';
import { screeningOf } from '../../../server/access/screening.server';
import { notFound, permitted } from '../../../server/access/session.server';
import { Sheet } from '../../parts/paper/sheet';
import { VisitPaper } from '../../rooms/paper/visit-paper';
import type { Route } from './+types/visit';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'care');
  const visit = await findVisit(practiceId, params.visitId);
  if (!visit) notFound('visit');
  const [client, number, booking, readings, scores, runs, amendments, next, screen] = await Promise.all([
    findClient(practiceId, visit.clientId),
    visitNumber(practiceId, visit),
    findBooking(practiceId, visit.id),
    readingsOfVisit(practiceId, visit.id),
    scoresOfVisit(practiceId, visit.id),
    runsTold(practiceId, visit.id),
    amendmentsOf(practiceId, visit.id),
    nextBooking(practiceId, visit.clientId, new Date(visit.startsAt)),
    screeningOf(practiceId, visit),
  ]);
  if (!client || !booking) notFound('visit');
  return {
    visit,
    client,
    number,
    practitioner: booking.practitioner,
    readings,
    scores,
    run: runs.at(-1) ?? null,
    amendments,
    next,
    screening: screen(visit),
  };
}
export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Visit of ${loaderData?.client.name ?? 'a client'} · Velvet Compass` },
];

/** One visit on paper. */
export default function VisitOnPaper({ loaderData }: Route.ComponentProps) {
  const { visit, client } = loaderData;
  return (
    <Sheet
      asFile={client.name}
      title="Visit"
      who={client.name}
      on={visit.startsAt}
      back={{ to: `/visits/${visit.id}/record`, words: 'Back to the visit' }}
    >
      <VisitPaper {...loaderData} />
    </Sheet>
  );
}

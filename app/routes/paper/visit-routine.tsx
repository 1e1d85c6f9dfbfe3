import { checkRoutine } from '../../../core/rules';
import { useMemo } from 'react';
import { findClient } from '../../../server/db/queries/clients.server';
import { findVisit } from '../../../server/db/queries/visits.server';
import { ownTechniques } from '../../../server/db/queries/techniques.server';
import { screeningOf } from '../../../server/access/screening.server';
import { notFound, permitted } from '../../../server/access/session.server';
import { withOwn } from '../../parts/catalogue/catalogue';
import { keepOffMarks } from '../../parts/chart/chart-marks';
import { Sheet } from '../../parts/paper/sheet';
import { RoutinePaper } from '../../rooms/paper/routine-paper';
import { ToMind } from '../../rooms/paper/to-mind';
import type { Route } from './+types/visit-routine';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'care');
  const visit = await findVisit(practiceId, params.visitId);
  if (!visit?.routine) notFound('routine of the visit');
  const [client, own, screen] = await Promise.all([
    findClient(practiceId, visit.clientId),
    ownTechniques(practiceId),
    screeningOf(practiceId, visit),
  ]);
  if (!client) notFound('client');
  return { visitId: visit.id, startsAt: visit.startsAt, routine: visit.routine, client, own, screening: screen(visit) };
}
export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Routine for ${loaderData?.client.name ?? 'a visit'} · Velvet Compass` },
];

/** The routine of one visit on paper, held against the screening of that visit. */
export default function VisitRoutinePaper({ loaderData }: Route.ComponentProps) {
  const { visitId, startsAt, routine, client, own, screening } = loaderData;
  const catalogue = useMemo(() => withOwn(own), [own]);
  const keepOff = useMemo(() => keepOffMarks(screening), [screening]);
  return (
    <Sheet
      asFile={client.name}
      title="Routine"
      who={client.name}
      on={startsAt}
      back={{ to: `/visits/${visitId}/compose`, words: 'Back to Compose' }}
    >
      <RoutinePaper
        routine={routine}
        catalogue={catalogue}
        findings={checkRoutine(routine, catalogue, screening)}
        keepOff={keepOff}
      />
      <ToMind screening={screening} pressureCap={client.pressureCap} />
    </Sheet>
  );
}

import { useMemo } from 'react';
import { notFound, permitted } from '../../../server/access/session.server';
import { screeningOf } from '../../../server/access/screening.server';
import { openingOfClient } from '../../../server/db/queries/readings.server';
import { latestMeasures } from '../../../server/db/queries/measures.server';
import { runsOfVisit } from '../../../server/db/queries/runs.server';
import { ownTechniques } from '../../../server/db/queries/techniques.server';
import { findVisit } from '../../../server/db/queries/visits.server';
import { OwnTechniques } from '../../parts/catalogue/own-techniques';
import { ClientChart } from '../../parts/chart/client-chart';
import { useFitted } from '../../parts/chart/fitted';
import { RoomScreen } from '../../rooms/room-screen/room-screen';
import type { Route } from './+types/room';

export const meta = () => [{ title: 'Room screen · Velvet Compass' }];

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'care');
  const visit = await findVisit(practiceId, params.visitId);
  if (!visit) notFound('visit');
  const [runs, own, measures, screened, jaw] = await Promise.all([
    runsOfVisit(practiceId, visit.id),
    ownTechniques(practiceId),
    latestMeasures(practiceId, visit.clientId),
    screeningOf(practiceId, visit),
    openingOfClient(practiceId, visit.clientId),
  ]);
  const last = runs.find((r) => r.status === 'open') ?? runs.at(-1);
  return {
    visitId: visit.id,
    own,
    measures,
    jaw,
    screening: screened(visit),
    run: last ? { id: last.id, routine: last.routine, events: last.events } : null,
    /** Ours, at the moment of asking, and how far the clock that drives the run is ahead of it. */
    serverNowMs: Date.now(),
    aheadMs: last?.clockAheadMs ?? 0,
  };
}

/** What another device guides, large, for the room. */
export default function Room({ loaderData }: Route.ComponentProps) {
  const { own, measures, ...shown } = loaderData;
  const { head } = useFitted(measures);
  const whose = useMemo(() => ({ measures, head }), [measures, head]);
  return (
    <ClientChart value={whose}>
      <OwnTechniques value={own}>
        <RoomScreen key={shown.run?.id ?? 'none'} {...shown} />
      </OwnTechniques>
    </ClientChart>
  );
}

import { Link } from 'react-router';
import { runsOfVisit } from '../../../server/db/queries/runs.server';
import { hasCurrentUnit } from '../../../server/current.server';
import { VisitPlayer } from '../../rooms/visit/guide/visit-player';
import { permitted } from '../../../server/access/session.server';
import { useVisit } from '../../rooms/visit/session/context';
import type { Route } from './+types/guide';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'care');
  const runs = await runsOfVisit(practiceId, params.visitId);
  const open = runs.find((r) => r.status === 'open');
  const last = runs.at(-1);
  const plain = (r: (typeof runs)[number]) => ({ id: r.id, routine: r.routine, events: r.events });
  return {
    open: open ? plain(open) : null,
    stopped: !open && last?.status === 'stopped' ? plain(last) : null,
    finished: runs.filter((r) => r.status !== 'open').length,
    hasCurrentUnit: hasCurrentUnit(),
  };
}
export const shouldRevalidate = ({
  currentParams,
  nextParams,
}: {
  currentParams: Record<string, string | undefined>;
  nextParams: Record<string, string | undefined>;
}): boolean => currentParams.visitId !== nextParams.visitId;

export default function Guide({ loaderData }: Route.ComponentProps) {
  const { routine, visit, ended } = useVisit();
  const played = loaderData.open?.routine ?? routine;
  if (!played?.items.length || (ended && !loaderData.open))
    return (
      <main className="work p-4">
        <h1>Guide</h1>
        <p className="empty">
          <strong>{ended ? 'This visit has ended' : 'There is no routine to guide yet'}</strong>
          {ended ? (
            'What was done is kept under Record.'
          ) : (
            <Link to={`/visits/${visit.id}/compose`}>Compose one first</Link>
          )}
        </p>
      </main>
    );
  return (
    <VisitPlayer
      routine={played}
      open={loaderData.open}
      stopped={ended ? null : loaderData.stopped}
      again={loaderData.finished > 0}
      hasCurrentUnit={loaderData.hasCurrentUnit}
    />
  );
}

import { Outlet } from 'react-router';
import type { PaperFrame } from '../../parts/paper/sheet';
import { learnedBy } from '../../../server/db/queries/runs.server';
import { requirePractitioner } from '../../../server/access/session.server';
import type { Route } from './+types/frame';

export async function loader({ request }: Route.LoaderArgs): Promise<PaperFrame> {
  const { practiceId, practitionerId, practiceName, name, timeZone } = await requirePractitioner(request);
  const learned = await learnedBy(practiceId, practitionerId);
  return { practiceName, practitioner: name, timeZone, nowIso: new Date().toISOString(), learned };
}

/** Around everything that goes on paper: no bar, no room, only the sheet. */
export default function Paper() {
  return <Outlet />;
}

import { Outlet } from 'react-router';
import { OwnWays } from '../../parts/frame/own-ways';
import type { PaperFrame } from '../../parts/paper/sheet';
import { dateFormatOf } from '../../../server/db/queries/practice.server';
import { learnedBy } from '../../../server/db/queries/runs.server';
import { permitted } from '../../../server/access/session.server';
import type { Route } from './+types/frame';

export async function loader({ request }: Route.LoaderArgs): Promise<PaperFrame> {
  const { practiceId, practitionerId, practiceName, name, timeZone } = await permitted(request, 'see', 'self');
  const [learned, dateFormat] = await Promise.all([learnedBy(practiceId, practitionerId), dateFormatOf(practiceId)]);
  return { practiceName, practitioner: name, timeZone, dateFormat, nowIso: new Date().toISOString(), learned };
}

/** Around everything that goes on paper: no bar, no room, only the sheet. */
export default function Paper({ loaderData }: Route.ComponentProps) {
  return (
    <OwnWays {...loaderData}>
      <Outlet />
    </OwnWays>
  );
}

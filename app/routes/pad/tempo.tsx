import { data } from 'react-router';
import { permitted } from '../../../server/access/session.server';
import { tempoTriesOf } from '../../../server/db/queries/pad-checks.server';
import { catalogueOf } from '../../../server/db/queries/techniques.server';
import { breathsOf } from '../../rooms/pad/breaths';
import { TempoRoom } from '../../rooms/pad/tempo-room';
import type { Route } from './+types/tempo';

export const meta = () => [{ title: 'Tempo · Velvet Compass' }];

export async function loader({ request }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'stock');
  const [catalogue, tries] = await Promise.all([catalogueOf(who.practiceId), tempoTriesOf(who)]);
  return data({ breaths: breathsOf(catalogue), tries });
}

export default function Tempo({ loaderData }: Route.ComponentProps) {
  return <TempoRoom {...loaderData} />;
}

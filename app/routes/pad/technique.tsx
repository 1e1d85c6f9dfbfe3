import { data } from 'react-router';
import { thresholdCap } from '../../../core/proposal';
import { addDays, dayOf, weekdayOf } from '../../../core/schedule';
import { may } from '../../../server/access/may';
import { notFound, permitted } from '../../../server/access/session.server';
import { findClient } from '../../../server/db/queries/clients.server';
import { padChecksOf } from '../../../server/db/queries/pad-checks.server';
import { padTriesOf } from '../../../server/db/queries/pad.server';
import { scaleOf } from '../../../server/db/queries/pad-words.server';
import { seriesOfClient } from '../../../server/db/queries/readings.server';
import { catalogueOf } from '../../../server/db/queries/techniques.server';
import { padShape, padsHere } from '../../../server/pad.server';
import { PadRoom } from '../../rooms/pad/pad-room';
import { rehearsalOf } from '../../rooms/pad/rehearsal';
import { latestThresholds } from '../../rooms/pad/thresholds';
import type { Route } from './+types/technique';

export const meta = () => [{ title: 'Practice pad · Velvet Compass' }];

export async function loader({ request }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'stock');
  const query = new URL(request.url).searchParams;
  const [pad] = padsHere();
  const [catalogue, tries, shape, checks] = await Promise.all([
    catalogueOf(who.practiceId),
    padTriesOf(who),
    pad === undefined ? null : padShape(pad),
    pad === undefined ? [] : padChecksOf(who.practiceId, pad),
  ]);
  const clientId = query.get('client');
  const client = clientId && may(who, 'see', 'care') ? await findClient(who.practiceId, clientId) : null;
  if (clientId && !client) notFound('client');
  const thresholds = client ? latestThresholds(await seriesOfClient(who.practiceId, client.id)) : [];
  const rehearsals = [...catalogue.techniques.values()].flatMap((t) => {
    const of = rehearsalOf(t);
    return of ? [{ ...of, cap: thresholdCap(t, thresholds) }] : [];
  });
  const mondays = Object.fromEntries(
    tries.map(({ at }) => {
      const day = dayOf(at, who.timeZone);
      return [at, addDays(day, 1 - weekdayOf(day))];
    }),
  );
  return data({
    rehearsals,
    tries,
    mondays,
    checks,
    scale: await scaleOf(who.practiceId, shape?.isStandIn ?? false),
    client: client && { id: client.id, name: client.name },
    technique: query.get('technique'),
  });
}

export default function Technique({ loaderData }: Route.ComponentProps) {
  return <PadRoom {...loaderData} />;
}

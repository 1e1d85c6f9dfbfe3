import { data } from 'react-router';
import { addDays, dayOf, weekdayOf } from '../../core/schedule';
import { padTriesOf } from '../../server/db/queries/pad.server';
import { catalogueOf } from '../../server/db/queries/techniques.server';
import { permitted } from '../../server/access/session.server';
import { padsHere } from '../../server/pad.server';
import { PadRoom } from '../rooms/pad/pad-room';
import { rehearsalOf } from '../rooms/pad/rehearsal';
import type { Route } from './+types/pad';

export const meta = () => [{ title: 'Practice pad · Velvet Compass' }];

export async function loader({ request }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'stock');
  const [catalogue, tries] = await Promise.all([catalogueOf(who.practiceId), padTriesOf(who)]);
  const rehearsals = [...catalogue.techniques.values()].flatMap((t) => rehearsalOf(t) ?? []);
  const mondays = Object.fromEntries(
    tries.map(({ at }) => {
      const day = dayOf(at, who.timeZone);
      return [at, addDays(day, 1 - weekdayOf(day))];
    }),
  );
  return data({ pads: padsHere(), rehearsals, tries, mondays });
}

export default function Pad({ loaderData }: Route.ComponentProps) {
  return <PadRoom {...loaderData} />;
}

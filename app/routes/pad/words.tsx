import { data } from 'react-router';
import { may } from '../../../server/access/may';
import { permitted } from '../../../server/access/session.server';
import { scaleOf, showsWords, wordsInSight } from '../../../server/db/queries/pad-words.server';
import { padShape, padsHere } from '../../../server/pad.server';
import { WordsRoom } from '../../rooms/pad/words-room';
import type { Route } from './+types/words';

export const meta = () => [{ title: 'Words, blind · Velvet Compass' }];

export async function loader({ request }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'stock');
  const [pad] = padsHere();
  const isStandIn = (pad === undefined ? null : await padShape(pad))?.isStandIn ?? false;
  const [people, scale, shows] = await Promise.all([
    wordsInSight(who, isStandIn),
    scaleOf(who.practiceId, isStandIn),
    showsWords(who),
  ]);
  return data({
    people: {
      ownName: who.name,
      own: people.find((p) => p.practitionerId === who.practitionerId)?.presses ?? [],
      others: people.filter((p) => p.practitionerId !== who.practitionerId),
    },
    scale,
    shows,
    isOwner: may(who, 'change', 'rules'),
    now: new Date().toISOString(),
  });
}

export default function Words({ loaderData }: Route.ComponentProps) {
  return <WordsRoom {...loaderData} />;
}

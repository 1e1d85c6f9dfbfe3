import { data } from 'react-router';
import { permitted } from '../../../server/access/session.server';
import { currentStream, switchCurrentOff } from '../../../server/current.server';
import { streamAnswer } from '../../../server/stream.server';
import type { Route } from './+types/current';

/** What a microcurrent unit reads, line by line, for as long as the page listens. */
export async function loader({ request }: Route.LoaderArgs) {
  await permitted(request, 'see', 'care');
  // Somebody who opens the address would wait for ever.
  if (!request.headers.get('Accept')?.includes('text/event-stream')) return new Response(null, { status: 406 });
  const stream = currentStream(request.signal);
  return stream ? streamAnswer(stream) : data({ message: 'No unit is named.' }, { status: 404 });
}

/** Switches the current off: the one thing that is told to a unit. */
export async function action({ request }: Route.ActionArgs) {
  await permitted(request, 'change', 'care');
  const off = await switchCurrentOff();
  if (off === null) return data({ message: 'No unit is named.' }, { status: 404 });
  return off ? { off } : data({ message: 'The unit does not answer: switch it off by hand.' }, { status: 503 });
}

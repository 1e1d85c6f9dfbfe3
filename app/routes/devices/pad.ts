import { data } from 'react-router';
import { object, string } from 'yup';
import { permitted } from '../../../server/access/session.server';
import { padStream } from '../../../server/pad.server';
import { streamAnswer } from '../../../server/stream.server';
import { check } from '../../schemas/read';
import type { Route } from './+types/pad';

const padSchema = object({ pad: string().max(60).required() });

/** What a pad reads, line by line, for as long as the page listens. */
export async function loader({ request }: Route.LoaderArgs) {
  await permitted(request, 'see', 'stock');
  const input = await check(padSchema, Object.fromEntries(new URL(request.url).searchParams));
  if (!input.ok) return data({ message: Object.values(input.errors)[0] }, { status: 422 });
  // Somebody who opens the address would wait for ever.
  if (!request.headers.get('Accept')?.includes('text/event-stream')) return new Response(null, { status: 406 });
  const stream = padStream(input.value.pad, request.signal);
  return stream ? streamAnswer(stream) : data({ message: 'No pad of this name is here.' }, { status: 404 });
}

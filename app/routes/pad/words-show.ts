import { data } from 'react-router';
import { permitted } from '../../../server/access/session.server';
import { setShowsWords } from '../../../server/db/queries/pad-words.server';
import { padShowSchema } from '../../schemas/pad';
import { readJson } from '../../schemas/read';
import type { Route } from './+types/words-show';

/** Whether colleagues see how one knows the words: each says so for themselves. */
export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'self');
  const input = await readJson(request, padShowSchema);
  if (!input.ok) return data({ message: Object.values(input.errors)[0] }, { status: 422 });
  await setShowsWords(who, input.value.shows);
  return { shows: input.value.shows };
}

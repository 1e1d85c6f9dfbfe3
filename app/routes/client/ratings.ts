import { data } from 'react-router';
import { correctRating, keepRating, keptRatings, removeRating } from '../../../server/db/queries/ratings.server';
import { notFound, permitted } from '../../../server/access/session.server';
import { momentIn } from '../../../server/access/time.server';
import { type RatingAct, ratingSchemas } from '../../schemas/rating';
import { readJson } from '../../schemas/read';
import type { Route } from './+types/ratings';

const A_YEAR_MS = 366 * 86_400_000;

/** Ratings between visits, as the client told them: kept, corrected, taken away. */
export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'care');
  const act = new URL(request.url).searchParams.get('do');
  if (act !== 'keep' && act !== 'correct' && act !== 'remove') notFound('page');
  const input = await readJson(request, ratingSchemas[act satisfies RatingAct]);
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  const said = input.value as {
    id: string;
    complaintId: string;
    once?: string;
    value: number;
    day: string;
    time: string;
    source: 'home' | 'telephone' | 'studio';
  };
  if (act === 'remove')
    return (await removeRating(who, params.clientId, said.id)) ? { done: true } : notFound('rating');
  const at = momentIn(who.timeZone, said.day, said.time);
  if (at.getTime() > Date.now())
    return data({ errors: { day: 'A day and time up to now are accepted.' } }, { status: 422 });
  // A year typed wrong would stretch the course over decades; what is kept already may be older.
  if (act === 'keep' && at.getTime() < Date.now() - A_YEAR_MS)
    return data({ errors: { day: 'A day within the past year is accepted.' } }, { status: 422 });
  const rating = { value: said.value, at, source: said.source };
  const done =
    act === 'keep'
      ? await keepRating(who, params.clientId, said.complaintId, rating, said.once)
      : await correctRating(who, params.clientId, said.id, rating);
  return done ? { done } : notFound('rating');
}

/** Those of one complaint, asked for when its list is opened. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'care');
  const complaint = new URL(request.url).searchParams.get('of');
  if (!complaint) notFound('page');
  return { ratings: await keptRatings(practiceId, params.clientId, complaint) };
}

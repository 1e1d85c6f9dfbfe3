import { data } from 'react-router';
import { object, number, string } from 'yup';
import { pressStream } from '../../../server/gauge.server';
import { streamAnswer } from '../../../server/stream.server';
import { check } from '../../schemas/read';
import { permitted } from '../../../server/access/session.server';
import type { Route } from './+types/gauge';

const pressSchema = object({
  target: string()
    .matches(/^[\w.-]{1,80}$/, 'A muscle and side are accepted.')
    .required(),
  trial: number().integer().min(1).max(99).required(),
});

/** One press of the gauge, line by line, for as long as the page listens. */
export async function loader({ request }: Route.LoaderArgs) {
  await permitted(request, 'see', 'care');
  const input = await check(pressSchema, Object.fromEntries(new URL(request.url).searchParams));
  if (!input.ok) return data({ message: Object.values(input.errors)[0] }, { status: 422 });
  const stream = pressStream({ kind: 'press', ...input.value }, request.signal);
  return stream ? streamAnswer(stream) : data({ message: 'No gauge is named.' }, { status: 404 });
}

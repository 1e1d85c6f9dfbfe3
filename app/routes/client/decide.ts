import { data } from 'react-router';
import { decide } from '../../../server/db/queries/decisions.server';
import { notFound, permitted } from '../../../server/access/session.server';
import { decisionSchema } from '../../schemas/decision';
import { readJson } from '../../schemas/read';
import type { Route } from './+types/decide';

/** What is done next for a client, decided and kept. */
export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'care');
  const input = await readJson(request, decisionSchema);
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  const { once, ...said } = input.value;
  const done = await decide(who, params.clientId, { ...said, key: once });
  if (done === 'missing') notFound('client');
  if (done === 'outdated')
    return data(
      { errors: { choice: 'Something was rated meanwhile and the proposal is another: look again.' } },
      { status: 409 },
    );
  return { done: true };
}

export const loader = () => notFound('page');

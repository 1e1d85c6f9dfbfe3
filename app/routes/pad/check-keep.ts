import { data } from 'react-router';
import { readWeights } from '../../../core/touch';
import { InputError } from '../../../core/words';
import { permitted } from '../../../server/access/session.server';
import { keepPadCheck } from '../../../server/db/queries/pad-checks.server';
import { padShape } from '../../../server/pad.server';
import { padCheckSchema } from '../../schemas/pad';
import { readJson } from '../../schemas/read';
import type { Route } from './+types/check-keep';

/** Keeps what a pad read under weights. */
export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'stock');
  const input = await readJson(request, padCheckSchema);
  if (!input.ok) return data({ message: Object.values(input.errors)[0] }, { status: 422 });
  const { once, pad, weights } = input.value;
  const shape = await padShape(pad);
  if (!shape) return data({ message: 'The pad does not answer: the check is not kept yet.' }, { status: 503 });
  try {
    const read = readWeights(weights);
    return { id: await keepPadCheck(who, { sensor: pad, isStandIn: shape.isStandIn, weights: read }, once) };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return data({ message: error.message }, { status: 422 });
  }
}

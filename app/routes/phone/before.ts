import { data } from 'react-router';
import { InputError } from '../../../core/words';
import { takeBefore } from '../../../server/access/before-packet.server';
import { holderOf } from '../../../server/access/link.server';
import { takeTry } from '../../../server/db/queries/attempts.server';
import { type BeforeSending, beforeSendingSchema } from '../../schemas/before-items';
import { readJson } from '../../schemas/read';
import type { Route } from './+types/before';

/** Takes ratings and answers that a client gives before a first visit; nothing of what was told comes back out. */
export async function action({ request, params, context }: Route.ActionArgs) {
  const { holder } = await holderOf(params.secret, context);
  if (!holder.visitId) throw data('', { status: 404 });
  const wait = await takeTry('sendings', holder.id);
  if (wait) throw data({ message: 'Too many sendings; later ones are taken again.' }, { status: 429 });
  const input = await readJson(request, beforeSendingSchema);
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  const { items, sentAt } = input.value as unknown as BeforeSending;
  try {
    const kept = await takeBefore(holder, items, new Date(sentAt), new Date());
    return data({ kept }, { headers: { 'Cache-Control': 'no-store' } });
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return data({ errors: { [error.field]: error.message } }, { status: 422 });
  }
}
export const loader = () => {
  throw data('', { status: 404 });
};

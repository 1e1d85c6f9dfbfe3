import { redirect } from 'react-router';
import { readForm } from '../schemas/read';
import { roomCookie, safeReturn } from '../../server/access/session.server';
import type { Route } from './+types/room';

/** The dim-room switch. */
export async function action({ request }: Route.ActionArgs) {
  const form = await readForm(request);
  return redirect(safeReturn(form.get('to')), {
    headers: { 'Set-Cookie': await roomCookie(request, form.get('room') === 'dim' ? 'dim' : 'day') },
  });
}
export const loader = () => redirect('/today');

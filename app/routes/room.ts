import { redirect } from 'react-router';
import { roomCookie, safeReturn } from '../session.server';
import type { Route } from './+types/room';

/** The dim-room switch. */
export async function action({ request }: Route.ActionArgs) {
  const form = await request.formData();
  return redirect(safeReturn(form.get('to')), { headers: { 'Set-Cookie': await roomCookie(form.get('room') === 'dim' ? 'dim' : 'day') } });
}
export const loader = () => redirect('/today');

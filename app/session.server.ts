import { createCookie, data, redirect } from 'react-router';
import { closeSession, findSession, openSession, type SignedIn } from '../server/db/queries/accounts.server';

const session = createCookie('velvet-session', { httpOnly: true, sameSite: 'lax', path: '/' });
const room = createCookie('velvet-room', { httpOnly: true, sameSite: 'lax', path: '/', maxAge: 400 * 86_400 });
export type Room = 'day' | 'dim';

/** Signs in and sends on to Today, or to where the visitor wanted to go. */
export async function signIn(who: { practitionerId: string; practiceId: string }, to: string): Promise<Response> {
  const { token, expiresAt } = await openSession(who);
  return redirect(to, { headers: { 'Set-Cookie': await session.serialize(token, { expires: expiresAt }) } });
}

export async function signOut(request: Request): Promise<Response> {
  const token: unknown = await session.parse(request.headers.get('Cookie'));
  if (typeof token === 'string') await closeSession(token);
  return redirect('/sign-in', { headers: { 'Set-Cookie': await session.serialize('', { maxAge: 0 }) } });
}

export async function whoIs(request: Request): Promise<SignedIn | null> {
  const token: unknown = await session.parse(request.headers.get('Cookie'));
  return typeof token === 'string' && token ? findSession(token) : null;
}

/** The signed-in practitioner; everybody else is sent to the door. */
export async function requirePractitioner(request: Request): Promise<SignedIn> {
  const who = await whoIs(request);
  if (who) return who;
  const { pathname, search } = new URL(request.url);
  const back = request.method === 'GET' ? pathname.replace(/\.data$/, '') + search.replace(/[?&]_routes=[^&]*/, '') : '/today';
  throw redirect(`/sign-in?to=${encodeURIComponent(back)}`);
}

/** Only paths of this very application may be returned to. */
export const safeReturn = (to: unknown): string => (typeof to === 'string' && /^\/(?![/\\])/.test(to) ? to : '/today');

export async function roomOf(request: Request): Promise<Room> {
  return (await room.parse(request.headers.get('Cookie'))) === 'dim' ? 'dim' : 'day';
}
export const roomCookie = (value: Room): Promise<string> => room.serialize(value);

/** The 404 of a record that is not there, or is another practice's: no difference is told. */
export function notFound(what: string): never {
  throw data(`This ${what} is not here. It may have been removed, or the address has a slip in it.`, { status: 404 });
}

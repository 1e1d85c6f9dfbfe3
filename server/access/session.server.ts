import { createCookie, data, redirect } from 'react-router';
import { closeSession, findSession, openSession, type Member, type SignedIn } from '../db/queries/accounts.server';
import { requestBelongsTo } from '../db/scope';
import { type Act, may, whyMayNot, type Thing } from './may';

/** Kept for longer than any session: whether it still opens anything is the server's to say. */
const COOKIE_S = 400 * 86_400;
const plain = createCookie('velvet-session', { httpOnly: true, sameSite: 'lax', path: '/', maxAge: COOKIE_S });
/** Under HTTPS the name itself makes browsers refuse it from anywhere but this host. */
const secure = createCookie('__Host-velvet-session', {
  httpOnly: true,
  sameSite: 'lax',
  path: '/',
  maxAge: COOKIE_S,
  secure: true,
});
const isSecure = (request: Request): boolean => request.url.startsWith('https:');
const cookieOf = (request: Request) => (isSecure(request) ? secure : plain);

const roomOptions = { httpOnly: true, sameSite: 'lax', path: '/', maxAge: COOKIE_S } as const;
const room = createCookie('velvet-room', roomOptions);
export type Lighting = 'day' | 'dim';

/** Headers that sign somebody in on the browser that asked. */
export async function sessionHeaders(request: Request, who: Member): Promise<{ 'Set-Cookie': string }> {
  const { token } = await openSession(who);
  return { 'Set-Cookie': await cookieOf(request).serialize(token) };
}
/** Signs in and sends on to Today, or to where the visitor wanted to go. */
export const signIn = async (request: Request, who: Member, to: string): Promise<Response> =>
  redirect(to, { headers: await sessionHeaders(request, who) });

async function tokenOf(request: Request): Promise<string | null> {
  const token: unknown = await cookieOf(request).parse(request.headers.get('Cookie'));
  return typeof token === 'string' && token ? token : null;
}

/** The token of somebody who is signed in. */
export const ownToken = async (request: Request): Promise<string> => (await tokenOf(request)) ?? '';

export async function signOut(request: Request): Promise<Response> {
  const token = await tokenOf(request);
  if (token) await closeSession(token);
  return redirect('/sign-in', { headers: { 'Set-Cookie': await cookieOf(request).serialize('', { maxAge: 0 }) } });
}

export async function whoIs(request: Request): Promise<SignedIn | null> {
  const token = await tokenOf(request);
  const who = token ? await findSession(token) : null;
  if (who) requestBelongsTo(who.practiceId);
  return who;
}

/** What a script of ours sends says so by its type, and wants to be told, not sent to another page. */
const isFromScript = (request: Request): boolean =>
  request.method !== 'GET' &&
  !/^(application\/x-www-form-urlencoded|multipart\/form-data)/i.test(request.headers.get('Content-Type') ?? '');

/** What listens to a stream of events can read no page. */
const listens = (request: Request): boolean => request.headers.get('Accept') === 'text/event-stream';

/** Whoever is signed in; everybody else is sent to the door. */
async function requireMember(request: Request): Promise<SignedIn> {
  const who = await whoIs(request);
  if (who) return who;
  if (isFromScript(request) || listens(request))
    throw data(
      { result: 'signed-out', message: 'You are signed out. Sign in again; what you typed is still here.' },
      { status: 401 },
    );
  const { pathname, search } = new URL(request.url);
  const back =
    request.method === 'GET' ? pathname.replace(/\.data$/, '') + search.replace(/[?&]_routes=[^&]*/, '') : '/today';
  throw redirect(`/sign-in?to=${encodeURIComponent(back)}`);
}

/** Who asks, where they may do so; who is not signed in is sent to the door, and who may not is told why. */
export async function permitted(request: Request, act: Act, thing: Thing): Promise<SignedIn> {
  const who = await requireMember(request);
  if (!may(who, act, thing)) throw data({ message: whyMayNot(thing) }, { status: 403 });
  return who;
}

/** Only paths of this very application may be returned to. */
export const safeReturn = (to: unknown): string =>
  typeof to === 'string' && /^\/(?![/\\])[\x21-\x7e]*$/.test(to) ? to : '/today';

export async function roomOf(request: Request): Promise<Lighting> {
  return (await room.parse(request.headers.get('Cookie'))) === 'dim' ? 'dim' : 'day';
}
export const roomCookie = (request: Request, value: Lighting): Promise<string> =>
  room.serialize(value, { secure: isSecure(request) });

/** The 404 of a record that is not there, or is another practice's: no difference is told. */
export function notFound(what: string): never {
  throw data(`This ${what} is not here. It may have been removed, or the address has a slip in it.`, { status: 404 });
}

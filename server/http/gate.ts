import type { NextFunction, Request, Response } from 'express';
import { isLoopback, type Settings } from '../settings.ts';

/** What is asked by other methods changes something here, or has no meaning. */
const READING = ['GET', 'HEAD'];
const METHODS = [...READING, 'POST'];

export interface Asked {
  method: string;
  headers: { host?: string; origin?: string };
  /** http or https, as the visitor's browser sees it. */
  protocol: string;
}
export interface Refusal {
  status: number;
  message: string;
}

/**
 * Where a request came in, as an origin: one of those set, or loopback when none is. Null for any other host, so that a
 * name that somebody points at this machine opens nothing.
 */
function originOf({ headers: { host }, protocol }: Asked, { origins }: Pick<Settings, 'origins'>): string | null {
  if (!host) return null;
  if (!origins.length)
    return isLoopback(host) && URL.canParse(`${protocol}://${host}`) ? new URL(`${protocol}://${host}`).origin : null;
  const of = (o: string) => new URL(o);
  const named = origins.filter((o) => of(o).host === host.toLowerCase());
  return named.find((o) => of(o).protocol === `${protocol}:`) ?? named[0] ?? null;
}

/** Why a request is refused before anybody looks at it, or the origin that it belongs to. */
export function admitRequest(asked: Asked, settings: Pick<Settings, 'origins'>): Refusal | { origin: string } {
  if (!METHODS.includes(asked.method))
    return { status: 405, message: `${asked.method.slice(0, 20)} is not accepted; GET, HEAD and POST are.` };
  const origin = originOf(asked, settings);
  if (!origin) return { status: 421, message: 'This host is not served here.' };
  // Browsers send Origin with everything that may change something; a request without it is refused too.
  if (!READING.includes(asked.method) && asked.headers.origin !== origin)
    return { status: 403, message: 'This request did not come from a page of this application.' };
  return { origin };
}

/** Lets in what belongs here and leaves the origin in `response.locals`. */
export const gate =
  (settings: Settings) =>
  (request: Request, response: Response, next: NextFunction): void => {
    const { host, origin } = request.headers;
    const admitted = admitRequest(
      { method: request.method, headers: { host, origin }, protocol: request.protocol },
      settings,
    );
    if ('origin' in admitted) {
      response.locals.origin = admitted.origin;
      return next();
    }
    if (admitted.status === 405) response.set('Allow', METHODS.join(', '));
    response.status(admitted.status).type('text/plain').send(admitted.message);
  };

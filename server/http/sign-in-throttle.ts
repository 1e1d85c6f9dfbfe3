import type { NextFunction, Request, Response } from 'express';
import { blockedForMs } from '../sign-in-block.ts';

/** Where a password is sent. */
const DOORS = /^\/(sign-in(\/here)?|new-practice)(\.data)?$/;
/** Tries of one address that may be under way in one process; a practice that begins its day together needs a few. */
const AT_ONCE = 8;

const underWay = new Map<string, number>();

/**
 * Turns away tries that come in masses before anything is read or asked: what counts is decided behind this, by the
 * database, but turning away has to cost next to nothing, or everybody else's pages wait.
 */
export function throttleSignIn(request: Request, response: Response, next: NextFunction): void {
  if (request.method !== 'POST' || !DOORS.test(request.path)) return next();
  const address = request.ip ?? '';
  const now = underWay.get(address) ?? 0;
  const waitMs = now >= AT_ONCE ? 1000 : blockedForMs(address);
  if (waitMs > 0) {
    const seconds = Math.ceil(waitMs / 1000);
    return void response
      .status(429)
      .set('Retry-After', String(seconds))
      .type('text/plain')
      .send(`Too many tries from here. Try again in ${seconds} s.`);
  }
  underWay.set(address, now + 1);
  response.on('close', () => {
    const left = (underWay.get(address) ?? 1) - 1;
    if (left > 0) underWay.set(address, left);
    else underWay.delete(address);
  });
  next();
}

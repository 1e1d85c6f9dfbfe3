import type { NextFunction, Request, Response } from 'express';

/**
 * Every request that may change something must come from a page of this very host. Browsers always send Origin with
 * such requests; one without it is refused too.
 */
export function sameOrigin(request: Pick<Request, 'method' | 'headers'>): boolean {
  if (['GET', 'HEAD', 'OPTIONS'].includes(request.method)) return true;
  const { origin, host } = request.headers;
  if (!origin || !host) return false;
  try {
    return new URL(origin).host === host;
  } catch {
    return false;
  }
}

export function refuseOtherOrigins(request: Request, response: Response, next: NextFunction): void {
  if (sameOrigin(request)) next();
  else response.status(403).type('text/plain').send('This request did not come from a page of this application.');
}

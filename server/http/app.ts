import compression from 'compression';
import express, { type Express, type NextFunction, type Request, type Response } from 'express';
import helmet from 'helmet';
import { randomBytes } from 'node:crypto';
import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import type { ServerBuild } from 'react-router';
import { inRequest } from '../db/scope.ts';
import { log, told } from '../log.ts';
import type { Settings } from '../settings.ts';
import { readBody } from './body.ts';
import { gate } from './gate.ts';
import { pages } from './handler.ts';
import { health } from './health.ts';
import { throttleSignIn } from './sign-in-throttle.ts';

const build = join(dirname(dirname(dirname(fileURLToPath(import.meta.url)))), 'build');
const YEAR_S = 31_536_000;

/** The application behind its headers and limits. It keeps no state: any number of processes may run side by side. */
export async function createApp(settings: Settings): Promise<Express> {
  const entry = join(build, 'server', 'index.js');
  if (!existsSync(entry)) throw new Error('The application is not built; start with "npm run demo"');
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', settings.proxies.length ? settings.proxies : false);
  // First of all, so that turning masses away costs as little as it can.
  app.use(throttleSignIn);
  app.use((_request, _response, next) => inRequest(next));
  app.use(health());
  app.use((_request, response: Response, next) => {
    response.locals.nonce = randomBytes(16).toString('base64');
    next();
  });
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          'default-src': ["'self'"],
          'script-src': ["'self'", (_request, response) => `'nonce-${(response as Response).locals.nonce}'`],
          'style-src': ["'self'"],
          'style-src-attr': ["'unsafe-inline'"],
          'img-src': ["'self'", 'data:'],
          'connect-src': ["'self'"],
          'object-src': ["'none'"],
          'base-uri': ["'none'"],
          'form-action': ["'self'"],
          'frame-ancestors': ["'none'"],
        },
      },
      // Browsers leave out Origin's value with "no-referrer", and a form without script would then be refused.
      referrerPolicy: { policy: 'same-origin' },
      strictTransportSecurity: false,
    }),
  );
  app.use(gate(settings));
  app.use((_request, response: Response, next) => {
    if ((response.locals.origin as string).startsWith('https:'))
      response.set('Strict-Transport-Security', `max-age=${YEAR_S}`);
    next();
  });
  app.use(compression());
  // The solver is WebAssembly: its worker, and nothing else, may make code from it.
  app.use('/assets', (request, response, next) => {
    if (/^\/propose-[\w-]+\.js$/.test(request.path))
      response.set(
        'Content-Security-Policy',
        "default-src 'none'; script-src 'self' 'wasm-unsafe-eval'; connect-src 'self'",
      );
    next();
  });
  app.use('/assets', express.static(join(build, 'client', 'assets'), { immutable: true, maxAge: '1y' }));
  // What an older build called by another name is gone, not a page.
  app.use('/assets', (_request, response) => void response.status(404).type('text/plain').send('Not here'));
  app.use(express.static(join(build, 'client'), { maxAge: '1h' }));
  app.use(readBody);
  const server = (await import(pathToFileURL(entry).href)) as unknown as ServerBuild;
  app.all('/{*splat}', pages(server));
  app.use((error: unknown, _request: Request, response: Response, next: NextFunction) => {
    if (response.headersSent) return next(error);
    // What Express refuses itself (an address that cannot be decoded) carries its status.
    const { status } = error as { status?: number };
    const own = typeof status === 'number' && status >= 400 && status < 500;
    if (!own) log.error(told(error), 'request failed');
    response
      .status(own ? status : 500)
      .type('text/plain')
      .send(own ? 'This request cannot be read.' : 'Something went wrong. What was saved is kept.');
  });
  return app;
}

import { createRequestHandler } from '@react-router/express';
import compression from 'compression';
import express, { type Express, type Request, type Response } from 'express';
import helmet from 'helmet';
import { randomBytes } from 'node:crypto';
import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import type { ServerBuild } from 'react-router';
import { LARGEST_PHOTO_BYTES } from '../photo-file.server.ts';
import { refuseOtherOrigins } from './same-origin.ts';

const build = join(dirname(dirname(dirname(fileURLToPath(import.meta.url)))), 'build');
/** Nothing this application takes in is larger, but for a photo. */
const LARGEST_BODY_BYTES = 1_000_000;
const PHOTO_PATH = /^\/visits\/[^/]+\/photo$/;

/** The application behind its headers and limits. It keeps no state: any number of processes may run side by side. */
export async function createApp(): Promise<Express> {
  const entry = join(build, 'server', 'index.js');
  if (!existsSync(entry)) throw new Error('The application is not built; start with "npm run demo"');
  const app = express();
  app.disable('x-powered-by');
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
      strictTransportSecurity: false,
    }),
  );
  app.use(compression());
  app.use('/assets', express.static(join(build, 'client', 'assets'), { immutable: true, maxAge: '1y' }));
  // What an older build called by another name is gone, not a page.
  app.use('/assets', (_request, response) => void response.status(404).type('text/plain').send('Not here'));
  app.use(express.static(join(build, 'client'), { maxAge: '1h' }));
  app.use(refuseOtherOrigins);
  app.use((request, response, next) => {
    const most = PHOTO_PATH.test(request.path) ? LARGEST_PHOTO_BYTES : LARGEST_BODY_BYTES;
    if (Number(request.headers['content-length'] ?? 0) > most) response.status(413).type('text/plain').send(`That is too large; at most ${most / 1_000_000} MB is accepted.`);
    else next();
  });
  const server = (await import(pathToFileURL(entry).href)) as unknown as ServerBuild;
  app.all(
    '/{*splat}',
    createRequestHandler({ build: server, mode: 'production', getLoadContext: (_request: Request, response: Response) => ({ nonce: response.locals.nonce as string }) }),
  );
  return app;
}

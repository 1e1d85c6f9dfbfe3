import type { Server } from 'node:http';
import { startReminding } from '../reminding.server.ts';
import { readDevices, readMail, readSettings } from '../settings.ts';
import { createApp } from './app.ts';

/** A request that has not come in whole by then is given up. */
const REQUEST_MS = 30_000;
const HEADERS_MS = 10_000;
/** Longer than a proxy keeps a way open: the one who closes first should not be the one who is asked. */
const KEEP_OPEN_MS = 65_000;

/** Serve the production build, on loopback unless told otherwise. */
export async function listen(port: number, host = '127.0.0.1'): Promise<Server> {
  readMail(process.env);
  readDevices(process.env);
  const app = await createApp(readSettings({ ...process.env, HOST: host }));
  return new Promise((done, failed) => {
    const server = app.listen(port, host, (error?: Error) => (error ? failed(error) : done(server)));
    server.requestTimeout = REQUEST_MS;
    server.headersTimeout = HEADERS_MS;
    server.keepAliveTimeout = KEEP_OPEN_MS;
    server.on('close', startReminding());
  });
}

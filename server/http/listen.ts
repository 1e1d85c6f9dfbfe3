import type { Server } from 'node:http';
import { createApp } from './app.ts';

/** Serve the production build on loopback. */
export async function listen(port: number, host = '127.0.0.1'): Promise<Server> {
  const app = await createApp();
  return new Promise((done, failed) => {
    const server = app.listen(port, host, (error?: Error) => (error ? failed(error) : done(server)));
  });
}

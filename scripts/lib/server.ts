import { spawn, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from './paths.ts';
import { freePort } from './run.ts';

/** The production server in a process of its own, as tests, pictures and measurements need it. */
export interface Served {
  url: string;
  process: ChildProcess;
  stop: () => Promise<void>;
}

/** @param at The port; one that is free when none is told. */
export async function serve(databaseUrl: string, env: NodeJS.ProcessEnv = {}, at?: number): Promise<Served> {
  const port = at ?? (await freePort());
  const child = spawn(process.execPath, ['--import', 'tsx', join(ROOT, 'scripts', 'serve.ts')], {
    cwd: ROOT,
    env: { ...process.env, NODE_ENV: 'production', DATABASE_URL: databaseUrl, PORT: String(port), ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  const ended = new Promise<void>((done) => child.on('exit', () => done()));
  let log = '';
  await new Promise<void>((ready, failed) => {
    const read = (chunk: Buffer) => {
      log += chunk.toString();
      if (log.includes('listening on')) ready();
    };
    child.stdout.on('data', read);
    child.stderr.on('data', read);
    void ended.then(() => failed(new Error(`The server did not start:\n${log}`)));
  });
  let stopping = false;
  // Ended by itself: what it said last is all that tells why.
  void ended.then(() => {
    if (!stopping && !child.killed) console.error(`The server at ${port} ended by itself:\n${log.slice(-4000)}`);
  });
  return {
    url: `http://127.0.0.1:${port}`,
    process: child,
    stop: async () => {
      stopping = true;
      child.kill('SIGTERM');
      await ended;
    },
  };
}

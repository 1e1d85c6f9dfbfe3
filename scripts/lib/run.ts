import { spawn, spawnSync } from 'node:child_process';
import { createServer, type AddressInfo } from 'node:net';
import { ROOT } from './paths.ts';

/** Run to the end with its output shown; false when it failed. */
export function show(command: string, args: readonly string[], env: NodeJS.ProcessEnv = {}): Promise<boolean> {
  return new Promise((done) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } });
    child.on('error', () => done(false));
    child.on('exit', (code) => done(code === 0));
  });
}

/** Run to the end in silence; the output is told only when it fails. */
export function quietly(
  command: string,
  args: readonly string[],
  options: { env?: NodeJS.ProcessEnv; input?: string; cwd?: string } = {},
): string {
  const result = spawnSync(command, args, {
    cwd: options.cwd ?? ROOT,
    encoding: 'utf8',
    input: options.input,
    env: { ...process.env, ...options.env },
  });
  if (result.status !== 0)
    throw new Error(
      `${command} ${args.join(' ')} failed:\n${result.error?.message ?? ''}${result.stdout ?? ''}${result.stderr ?? ''}`,
    );
  return result.stdout;
}

/** A port on loopback that nobody listens on. */
export function freePort(): Promise<number> {
  return new Promise((done, failed) => {
    const probe = createServer();
    probe.on('error', failed);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => done(port));
    });
  });
}

export function isFree(port: number): Promise<boolean> {
  return new Promise((done) => {
    const probe = createServer();
    probe.on('error', () => done(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => done(true)));
  });
}

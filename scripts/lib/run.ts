import { spawn, spawnSync } from 'node:child_process';
import { randomInt } from 'node:crypto';
import { createServer } from 'node:net';
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

/** Like `quietly`, while everything else goes on. */
export function inQuiet(command: string, args: readonly string[], options: { cwd?: string } = {}): Promise<string> {
  return new Promise((done, failed) => {
    const child = spawn(command, args, { cwd: options.cwd ?? ROOT, stdio: ['ignore', 'pipe', 'pipe'] });
    let out = '';
    let told = '';
    child.stdout.on('data', (part: Buffer) => (out += part.toString()));
    child.stderr.on('data', (part: Buffer) => (told += part.toString()));
    child.on('error', failed);
    child.on('close', (code) =>
      code === 0 ? done(out) : failed(new Error(`${command} ${args.join(' ')} failed:\n${told}`)),
    );
  });
}

/** Below those that the system takes for ways out: nobody is given one of these between our asking and our listening. */
const PORTS = { from: 12_000, until: 32_000 };

/** A port on loopback that nobody listens on. */
export async function freePort(): Promise<number> {
  for (;;) {
    const port = randomInt(PORTS.from, PORTS.until);
    if (await isFree(port)) return port;
  }
}

export function isFree(port: number): Promise<boolean> {
  return new Promise((done) => {
    const probe = createServer();
    probe.on('error', () => done(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => done(true)));
  });
}

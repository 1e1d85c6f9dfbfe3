import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createConnection } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureHaproxy } from '../debian.ts';

const answers = (port: number): Promise<boolean> =>
  new Promise((done) => {
    const way = createConnection(port, '127.0.0.1', () => (way.destroy(), done(true)));
    way.on('error', () => done(false));
  });

/** Debian's HAProxy with a configuration, until it takes connections at a port. @returns what ends it. */
export async function startProxy(config: string, port: number): Promise<() => Promise<void>> {
  const folder = mkdtempSync(join(tmpdir(), 'velvet-proxy-'));
  const file = join(folder, 'haproxy.cfg');
  writeFileSync(file, config);
  let told = '';
  const proxy = spawn(ensureHaproxy(), ['-f', file, '-db'], { stdio: ['ignore', 'pipe', 'pipe'] });
  for (const stream of [proxy.stdout, proxy.stderr])
    stream.on('data', (part: Buffer) => (told = (told + part.toString()).slice(-4000)));
  const ended = new Promise<void>((done) => proxy.on('exit', () => done()));
  for (let i = 0; !(await answers(port)); i++) {
    if (proxy.exitCode !== null || i > 100) throw new Error(`HAProxy does not answer:\n${told}`);
    await new Promise((done) => setTimeout(done, 100));
  }
  return async () => {
    proxy.kill();
    await ended;
    rmSync(folder, { recursive: true, force: true });
  };
}

export interface Behind {
  /** Where browsers come in. */
  appPort: number;
  /** Web processes. */
  apps: readonly number[];
  /** Whoever is the primary database server, and whoever may be read from. */
  primaryPort: number;
  readPort: number;
  /** Database servers; `tells` answers 200 at `/primary` and `/copy` where it is that. */
  databases: readonly { name: string; port: number; tells: number }[];
}

/**
 * Everything behind one proxy: any web process takes any request, and the databases are reached by what they are and
 * not by their names. Only what was asked with GET is asked again elsewhere when a process breaks off: a form is sent
 * again by whoever sent it, under its own id.
 */
export const proxyConfig = ({ appPort, apps, primaryPort, readPort, databases }: Behind): string => `
global
  maxconn 4000
defaults
  timeout connect 3s
  timeout check 2s
  default-server inter 250ms fall 1 rise 1
frontend browsers
  mode http
  timeout client 60s
  bind 127.0.0.1:${appPort}
  option forwardfor
  default_backend web
backend web
  mode http
  timeout server 60s
  timeout queue 5s
  balance roundrobin
  option httpchk GET /health
  option redispatch 1
  retries 3
  retry-on conn-failure empty-response
  http-request disable-l7-retry if !METH_GET
${apps.map((port, i) => `  server web${i + 1} 127.0.0.1:${port} check`).join('\n')}
${(['primary', 'copy'] as const)
  .map(
    (role) => `listen ${role}
  mode tcp
  timeout client 1h
  timeout server 1h
  bind 127.0.0.1:${role === 'primary' ? primaryPort : readPort}
  option httpchk GET /${role}
${databases
  .map((d) => `  server ${d.name} 127.0.0.1:${d.port} check port ${d.tells} on-marked-down shutdown-sessions`)
  .join('\n')}`,
  )
  .join('\n')}
`;

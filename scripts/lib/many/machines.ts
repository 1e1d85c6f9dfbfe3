import { createServer, type Server } from 'node:http';
import { serve, type Served } from '../server.ts';
import { freePort } from '../run.ts';
import { databasePair, type DatabasePair } from './database-pair.ts';
import { proxyConfig, startProxy } from './proxy.ts';

/** Several web processes behind one proxy, one primary database and its copy: what would be many machines, on one. */
export interface Machines {
  /** Where browsers come in. */
  url: string;
  databases: DatabasePair;
  /** The database as its owner, whoever is the primary. */
  ownerUrl: string;
  /** Web processes that run; one that was killed is null. */
  web: readonly (Served | null)[];
  /** A web process is gone in the middle of whatever it did. */
  killWeb: (i: number) => void;
  /** And comes back. */
  startWeb: (i: number) => Promise<void>;
  /** From now on whatever is gone comes back by itself; hears of it each time. */
  mend: (told: () => void) => void;
  stop: () => Promise<void>;
}

/** Longer than the proxy's first look at every server takes. */
const FIRST_LOOK_MS = 1500;

/** Tells the proxy what a database server is at the moment. */
async function tellRole(pair: DatabasePair, i: number): Promise<Server> {
  const server = createServer((request, response) => {
    const one = pair.servers[i]!;
    // Without a copy, the primary is read from as well.
    const is = { '/primary': pair.primary() === one, '/copy': (pair.copy() ?? pair.primary()) === one };
    response.writeHead(one.running && is[request.url as keyof typeof is] ? 200 : 503).end();
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  return server;
}
const portOf = (server: Server): number => (server.address() as { port: number }).port;

/** Starts again what has ended. @returns whether there was anything. */
async function mendOnce(
  databases: DatabasePair,
  web: readonly (Served | null)[],
  start: (i: number) => Promise<void>,
): Promise<boolean> {
  const gone = [...web.keys()].filter((i) => !web[i] || hasEnded(web[i].process));
  for (const i of gone) await start(i);
  const alone = !databases.copy() && databases.primary().running !== null;
  if (alone) await databases.copyAnew();
  return gone.length > 0 || alone;
}
const hasEnded = ({ exitCode, signalCode }: Served['process']): boolean => exitCode !== null || signalCode !== null;

/** @param prepare Brings the database to its shape, and data into it; handed the owner's address at the primary. */
export async function startMachines(
  processes: number,
  env: NodeJS.ProcessEnv,
  prepare: (ownerUrl: string) => Promise<void>,
): Promise<Machines> {
  const stops: (() => Promise<void>)[] = [];
  const stop = async () => {
    for (const one of stops.reverse()) await one();
  };
  try {
    const databases = await databasePair();
    stops.push(databases.stop);
    const tellers = [await tellRole(databases, 0), await tellRole(databases, 1)];
    stops.push(async () => tellers.forEach((t) => t.close()));
    const apps: number[] = [];
    for (let i = 0; i < processes; i++) apps.push(await freePort());
    const [appPort, primaryPort, readPort] = [await freePort(), await freePort(), await freePort()];
    const config = proxyConfig({
      ...{ appPort, apps, primaryPort, readPort },
      databases: databases.servers.map(({ name, port }, i) => ({ name, port, tells: portOf(tellers[i]!) })),
    });
    stops.push(await startProxy(config, primaryPort));
    // Before it has looked at them, the proxy takes every server for whatever is asked for.
    await new Promise((done) => setTimeout(done, FIRST_LOOK_MS));
    const at = (port: number) => `postgres://velvet@127.0.0.1:${port}/velvet`;
    await prepare(at(primaryPort));
    const web: (Served | null)[] = [];
    const start = async (i: number) => {
      web[i] = await serve(
        at(primaryPort),
        { VELVET_PROXIES: 'loopback', DATABASE_READ_URL: at(readPort), ...env },
        apps[i],
      );
    };
    stops.push(async () => void (await Promise.all(web.map((w) => w?.stop()))));
    // The first one finds or makes the tables; the others find them.
    await start(0);
    await Promise.all(Array.from({ length: processes - 1 }, (_, i) => start(i + 1)));
    return {
      url: `http://127.0.0.1:${appPort}`,
      databases,
      ownerUrl: at(primaryPort),
      web,
      killWeb: (i) => {
        web[i]?.process.kill('SIGKILL');
        web[i] = null;
      },
      startWeb: start,
      mend: (told) => {
        let busy = false;
        const timer = setInterval(() => {
          if (busy) return;
          busy = true;
          void mendOnce(databases, web, start)
            .then((mended) => mended && told())
            .catch((error: Error) => console.error(error.message))
            .finally(() => (busy = false));
        }, 1000);
        stops.push(async () => clearInterval(timer));
      },
      stop,
    };
  } catch (error) {
    await stop();
    throw error;
  }
}

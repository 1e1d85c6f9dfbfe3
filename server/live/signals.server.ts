import { AsyncResource } from 'node:async_hooks';
import pg from 'pg';
import { log, told } from '../log.ts';
import { database } from '../db/connection.ts';
import { isUuid } from '../db/scope.ts';

/**
 * Tells every process that a visit was changed, so that other screens look at it again. What changed is not said: who
 * hears of it asks for it through the same doors as everybody. A signal that is lost costs a few seconds, for streams look
 * by themselves now and then; so it is sent beside the write and not within it, where it would make writes wait for each
 * other.
 */
const CHANNEL = 'velvet_live';
const AGAIN_MS = 1000;
/** A connection that nothing comes through for this long is asked whether it still is one. */
const ALIVE_MS = 15_000;

type Hear = () => void;
/** One for the process, although the build and a script beside it hold two copies of this module. */
const holder = globalThis as {
  velvetLive?: { hearing: Map<string, Set<Hear>>; client: pg.Client | null; isOpening: boolean };
};
const live = (holder.velvetLive ??= { hearing: new Map(), client: null, isOpening: false });

export function signalVisit(practiceId: string, visitId: string): void {
  if (!isUuid(practiceId) || !isUuid(visitId)) return;
  database()
    .query(`select pg_notify('${CHANNEL}', :about)`, { replacements: { about: `${practiceId} ${visitId}` } })
    // The write itself is done and told.
    .catch(() => log.warn('a change could not be told to other screens'));
}

function listen(): void {
  if (live.client || live.isOpening || !live.hearing.size) return;
  live.isOpening = true;
  const client = new pg.Client({ connectionString: process.env.VELVET_DATABASE, connectionTimeoutMillis: 4000 });
  let alive: NodeJS.Timeout | null = null;
  let isGone = false;
  const gone = () => {
    if (isGone) return;
    isGone = true;
    if (alive) clearInterval(alive);
    if (live.client === client) live.client = null;
    live.isOpening = false;
    client.removeAllListeners();
    client.on('error', () => {});
    void client.end().catch(() => {});
    if (live.hearing.size) setTimeout(listen, AGAIN_MS).unref();
  };
  client.on('error', gone);
  client.on('end', gone);
  client.on('notification', ({ payload }) => live.hearing.get(payload ?? '')?.forEach((hear: Hear) => hear()));
  client
    .connect()
    .then(() => client.query(`listen ${CHANNEL}`))
    .then(() => {
      live.client = client;
      live.isOpening = false;
      // Nobody told us anything while nobody listened.
      for (const hears of live.hearing.values()) hears.forEach((hear: Hear) => hear());
      alive = setInterval(() => {
        if (!live.hearing.size) return gone();
        client.query('select 1').catch(gone);
      }, ALIVE_MS);
      alive.unref();
    })
    .catch((error: unknown) => {
      log.warn(told(error), 'changes of other screens are not heard for now');
      gone();
    });
}

/** Hears of every change of a visit until it is told to stop. */
export function hearVisit(practiceId: string, visitId: string, hear: Hear): () => void {
  const about = `${practiceId} ${visitId}`;
  // What comes in on the one connection belongs to whoever opened it; each hears within its own request.
  const own = AsyncResource.bind(hear);
  const hears = live.hearing.get(about) ?? new Set<Hear>();
  hears.add(own);
  live.hearing.set(about, hears);
  listen();
  return () => {
    hears.delete(own);
    if (!hears.size) live.hearing.delete(about);
  };
}

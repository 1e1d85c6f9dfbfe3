import { type HomeItem, ITEMS_AT_ONCE, type HomePacket } from '../../../core/schedule';
import { changePhone, later, readPhone } from './store';

/** How the last try went; gone when the link opens nothing any more. */
export type Sent = 'sent' | 'waiting' | 'gone';

/**
 * Sends what this phone has kept, a few at a time, until nothing is left; what was acknowledged is dropped, and nothing
 * else. Two windows hold each other off.
 */
export function sendKept(secret: string, planId: string): Promise<Sent> {
  const work = () => sendAll(secret, planId);
  return navigator.locks ? (navigator.locks.request(`velvet-home-${planId}`, work) as Promise<Sent>) : work();
}

const post = (secret: string, items: readonly HomeItem[]): Promise<Response | null> =>
  fetch(`/h/${secret}/keep`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ sentAt: new Date().toISOString(), items }),
  }).catch(() => null);

async function sendAll(secret: string, planId: string): Promise<Sent> {
  for (;;) {
    const { items } = await readPhone(planId);
    const batch = items.slice(0, ITEMS_AT_ONCE);
    const answer = await post(secret, batch);
    if (!answer) return 'waiting';
    if (answer.status === 404) return 'gone';
    if (answer.status === 422 && batch.length) {
      await dropRefused(secret, planId, batch);
      continue;
    }
    if (!answer.ok) return 'waiting';
    const told = (await answer.json()) as { kept: string[]; packet: HomePacket | null };
    const kept = new Set(told.kept);
    await changePhone(planId, (now) => ({
      ...now,
      items: now.items.filter((i) => !kept.has(i.id)),
      packet: later(now.packet, told.packet),
      sentAt: kept.size ? new Date().toISOString() : now.sentAt,
    }));
    if (!told.packet) return 'gone';
    if (items.length <= batch.length) return 'sent';
  }
}

/** One that can never be taken must hold up nothing: it is looked for by sending each alone. */
async function dropRefused(secret: string, planId: string, batch: readonly HomeItem[]): Promise<void> {
  for (const item of batch) {
    const refused = batch.length === 1 || (await post(secret, [item]))?.status === 422;
    if (refused) await changePhone(planId, (now) => ({ ...now, items: now.items.filter((i) => i.id !== item.id) }));
  }
}

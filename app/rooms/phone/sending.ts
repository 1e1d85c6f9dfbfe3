import { ITEMS_AT_ONCE, type HomePacket } from '../../../core/schedule';
import { type Sent, sendQueue } from './send-queue';
import { changePhone, later, readPhone } from './store';

/** Sends what this phone has kept of a plan, and hears how the plan is now. Two windows hold each other off. */
export function sendKept(secret: string, planId: string): Promise<Sent> {
  const drop = (ids: ReadonlySet<string>, packet: HomePacket | null, sentAt: string | null) =>
    changePhone(planId, (now) => ({
      ...now,
      items: now.items.filter((i) => !ids.has(i.id)),
      packet: later(now.packet, packet),
      sentAt: sentAt ?? now.sentAt,
    }));
  const queue = {
    read: async () => (await readPhone(planId)).items,
    taken: async (ids: ReadonlySet<string>, answer: unknown) => {
      const { packet } = answer as { packet: HomePacket | null };
      await drop(ids, packet, ids.size ? new Date().toISOString() : null);
      return packet !== null;
    },
    refused: (id: string) => drop(new Set([id]), null, null),
  };
  const work = () => sendQueue(`/h/${secret}/keep`, queue, ITEMS_AT_ONCE, true);
  return navigator.locks ? (navigator.locks.request(`velvet-home-${planId}`, work) as Promise<Sent>) : work();
}

import { get, update } from 'idb-keyval';
import type { GuideEvent } from '../../../core/guide';
import type { HomeItem, HomePacket } from '../../../core/schedule';
import type { OpenRun } from '../../parts/player/port';

/** What lies on this phone of one plan. */
export interface OnPhone {
  /** The latest one that came. */
  packet: HomePacket | null;
  /** Not sent yet, in the order in which it came up. */
  items: HomeItem[];
  /** A run that has begun and not ended, with the rating before it. */
  open: { run: OpenRun; before: number | null; seenMs: number } | null;
  /** Day on which the questions were answered last. */
  askedOn: string | null;
  /** Runs not sent yet that were left early and count as none. */
  early: string[];
  /** When the last sending arrived. */
  sentAt: string | null;
}
const NOTHING: OnPhone = { packet: null, items: [], open: null, askedOn: null, early: [], sentAt: null };
const keyOf = (planId: string): string => `velvet-home-${planId}`;

/** @throws DOMException where the phone keeps nothing (a private window, a full store). */
export const readPhone = async (planId: string): Promise<OnPhone> => ({
  ...NOTHING,
  ...(await get<Partial<OnPhone>>(keyOf(planId))),
});

/** One change at a time, also from two windows: the store itself holds them apart. Where there is no store it rejects. */
export const changePhone = async (planId: string, change: (now: OnPhone) => OnPhone): Promise<void> => {
  await update<OnPhone>(keyOf(planId), (now) => change({ ...NOTHING, ...now }));
};

/** A later packet takes the place of an earlier one, never the other way round. */
export const later = (now: HomePacket | null, next: HomePacket | null): HomePacket | null =>
  now && (!next || now.at >= next.at) ? now : next;

export const keepPacket = (packet: HomePacket): Promise<void> =>
  changePhone(packet.plan.id, (now) => ({ ...now, packet: later(now.packet, packet) }));

export const addItem = (item: HomeItem): Promise<void> =>
  changePhone(item.planId, (now) => ({ ...now, items: [...now.items.filter((i) => i.id !== item.id), item] }));

export const openOnPhone = (planId: string, run: OpenRun, before: number | null, nowMs: number): Promise<void> =>
  changePhone(planId, (now) => ({ ...now, open: { run, before, seenMs: nowMs } }));

/** Events of the run that is open; what is known already changes nothing. */
export const addEvents = (planId: string, runId: string, events: readonly GuideEvent[], nowMs: number): Promise<void> =>
  changePhone(planId, (now) => {
    if (now.open?.run.id !== runId) return now;
    const known = new Set(now.open.run.events.map((e) => e.id));
    const all = [...now.open.run.events, ...events.filter((e) => !known.has(e.id))];
    return { ...now, open: { ...now.open, seenMs: nowMs, run: { ...now.open.run, events: all } } };
  });

/** The run that is open was seen going at this moment. */
export const seenOpen = (planId: string, nowMs: number): Promise<void> =>
  changePhone(planId, (now) => (now.open ? { ...now, open: { ...now.open, seenMs: nowMs } } : now));

/** The run that is open has ended: it is to be sent as it stands, in the same moment in which it is no longer open. */
export const endOpen = (
  planId: string,
  events: readonly GuideEvent[] | null,
  nowMs: number | null,
  counts: boolean,
): Promise<void> =>
  changePhone(planId, (now) => {
    if (!now.open) return now;
    const { run, before, seenMs } = now.open;
    const log = events ?? run.events;
    const first = log[0]?.atMs ?? seenMs;
    const item: HomeItem = {
      kind: 'run',
      id: run.id,
      planId,
      startedAt: new Date(first).toISOString(),
      at: new Date(nowMs ?? Math.max(seenMs, log.at(-1)?.atMs ?? 0)).toISOString(),
      events: [...log],
      before,
    };
    return {
      ...now,
      open: null,
      early: counts ? now.early : [...now.early, run.id],
      items: [...now.items.filter((i) => i.id !== item.id), item],
    };
  });

import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { GuideEvent } from '../../../core/guide';
import { askFirst, homeToday, isWarning, type HomeItem, type HomePacket } from '../../../core/schedule';
import { dayOf } from '../../../core/schedule';
import type { Sent } from './send-queue';
import { sendKept } from './sending';
import { addItem, changePhone, endOpen, keepPacket, later, type OnPhone, readPhone } from './store';

const TRY_AGAIN_MS = 20_000;
/** A run that nobody saw going for so long is not gone on with: it is sent as it was left. Our choice. */
const LEFT_AFTER_MS = 2 * 3_600_000;

export interface Phone {
  /** What lies on this phone; null until it was read. */
  kept: OnPhone | null;
  packet: HomePacket;
  today: string;
  /** Runs of today, in order, as moments. */
  runsToday: string[];
  sent: Sent | 'trying';
  /** The phone keeps nothing: what is done here cannot be told. */
  storeFails: boolean;
  /** Keeps something and tries to send it. */
  keep: (item: HomeItem) => Promise<void>;
  /** The questions of today were answered. */
  asked: () => Promise<void>;
  /** Reads anew, after a run wrote into the store. */
  again: () => Promise<void>;
}

/** What this phone has of a plan, what it still has to tell, and the way it gets there. */
export function usePhone(secret: string, given: HomePacket): Phone {
  const planId = given.plan.id;
  const [kept, setKept] = useState<OnPhone | null>(null);
  const [sent, setSent] = useState<Sent | 'trying'>('trying');
  const [storeFails, setStoreFails] = useState(false);
  const gone = useRef(false);
  const read = useCallback(() => readPhone(planId).then(setKept), [planId]);
  const trySending = useCallback(async () => {
    // A link that opens nothing is not tried for ever: what was kept stays here.
    if (gone.current) return;
    const how = await sendKept(secret, planId).catch((): Sent => 'waiting');
    gone.current = how === 'gone';
    setSent(how);
    await read().catch(() => {});
  }, [secret, planId, read]);

  useEffect(() => {
    const begin = async () => {
      await keepPacket(given);
      const { open } = await readPhone(planId);
      if (open && Date.now() - open.seenMs > LEFT_AFTER_MS) await endOpen(planId, null, null, false);
      await read();
      await trySending();
    };
    begin().catch(() => setStoreFails(true));
    const soon = () => void trySending().catch(() => {});
    const seen = () => document.visibilityState === 'visible' && soon();
    // Nothing is asked of the server while there is nothing to tell.
    const timer = setInterval(
      () =>
        void readPhone(planId)
          .then(({ items }) => (items.length ? trySending() : undefined))
          .catch(() => {}),
      TRY_AGAIN_MS,
    );
    window.addEventListener('online', soon);
    document.addEventListener('visibilitychange', seen);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', soon);
      document.removeEventListener('visibilitychange', seen);
    };
    // Once per plan: what came with the page is older than what comes later.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [planId]);

  /** A phone that keeps nothing says so, and goes on without. */
  const stored = (change: () => Promise<void>): Promise<void> =>
    change()
      .then(read)
      .catch(() => setStoreFails(true));

  const packet = later(kept?.packet ?? null, given)!;
  const today = dayOf(new Date().toISOString(), packet.zone);
  const runsToday = useMemo(
    () =>
      [
        ...packet.runs.filter((r) => r.day === today).map((r) => r.at),
        ...(kept?.items ?? []).flatMap((i) =>
          i.kind === 'run' && !kept?.early.includes(i.id) && dayOf(i.startedAt, packet.zone) === today ? [i.at] : [],
        ),
      ].sort(),
    [packet, kept, today],
  );
  return {
    kept,
    packet,
    today,
    runsToday,
    sent,
    storeFails,
    keep: (item) => stored(() => addItem(item)).then(() => void trySending()),
    asked: () => stored(() => changePhone(planId, (now) => ({ ...now, askedOn: today }))),
    again: () => stored(() => Promise.resolve()).then(() => void trySending()),
  };
}

const stoppedFor = (events: readonly GuideEvent[]): string | null => {
  const last = events.at(-1);
  return last?.kind === 'stop' ? last.reason : null;
};

/** What may be done now; a yes that has not arrived yet holds it back here too, afterwards the practice does. */
export function mayNow({ packet, kept, today, runsToday }: Phone): ReturnType<typeof homeToday> {
  const said = kept?.items.some(
    (i) => (i.kind === 'flags' && i.yes.length > 0) || (i.kind === 'run' && isWarning(stoppedFor(i.events))),
  );
  const held = said ? askFirst(packet.ask) : packet.held;
  return homeToday({ ...packet, held }, today, runsToday.length);
}

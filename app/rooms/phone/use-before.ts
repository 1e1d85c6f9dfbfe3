import { useCallback, useEffect, useRef, useState } from 'react';
import { BEFORE_ITEMS_AT_ONCE, type BeforeItem } from '../../../core/schedule';
import type { Answers } from '../../../core/limits';
import { sendQueue } from './send-queue';

const TRY_AGAIN_MS = 20_000;
interface Draft {
  answers: Answers;
  /** Not sent yet, in the order in which it came up. */
  unsent: BeforeItem[];
  /** Day of the latest rating given here. */
  ratedOn: string | null;
  sentAt: string | null;
  /** All questions were gone through. */
  finished: boolean;
  /** Something could not be taken: the questions have changed since. */
  refused: boolean;
}
const EMPTY: Draft = { answers: {}, unsent: [], ratedOn: null, sentAt: null, finished: false, refused: false };
/** What has arrived is forgotten once all is gone through. */
const settled = (now: Draft): Draft => (now.finished && !now.unsent.length ? { ...now, answers: {} } : now);
const keyOf = (visitId: string) => `velvet-before-${visitId}`;

/** What lies on this phone; null where it keeps nothing. */
function readDraft(visitId: string): Draft | null {
  try {
    return { ...EMPTY, ...(JSON.parse(localStorage.getItem(keyOf(visitId)) ?? '{}') as Partial<Draft>) };
  } catch {
    return null;
  }
}

/**
 * What somebody tells before a first visit, kept on this phone until it has arrived. Answers that have arrived are
 * forgotten here once all is gone through: others may hold this phone.
 */
export function useBefore(secret: string, visitId: string) {
  const [draft, setDraft] = useState<Draft | null>(null);
  const [gone, setGone] = useState(false);
  const at = useRef<Draft>(EMPTY);
  const sending = useRef(false);
  const change = useCallback(
    (next: (now: Draft) => Draft) => {
      // Another window may have written meanwhile.
      at.current = next(readDraft(visitId) ?? at.current);
      setDraft(at.current);
      try {
        localStorage.setItem(keyOf(visitId), JSON.stringify(at.current));
      } catch {
        // A phone that keeps nothing sends all the same, as long as this page stands.
      }
    },
    [visitId],
  );
  const trySending = useCallback(async () => {
    if (sending.current) return;
    sending.current = true;
    const drop = (ids: ReadonlySet<string>, and: Partial<Draft>) =>
      change((now) => settled({ ...now, ...and, unsent: now.unsent.filter((i) => !ids.has(i.id)) }));
    const how = await sendQueue<BeforeItem>(
      `/h/${secret}/before`,
      {
        read: () => Promise.resolve(at.current.unsent),
        taken: (ids) => Promise.resolve(drop(ids, { sentAt: new Date().toISOString() })).then(() => true),
        refused: (id) => Promise.resolve(drop(new Set([id]), { refused: true })),
      },
      BEFORE_ITEMS_AT_ONCE,
      false,
    ).finally(() => (sending.current = false));
    setGone(how === 'gone');
  }, [secret, change]);
  useEffect(() => {
    change((now) => now);
    void trySending();
    const soon = () => void trySending();
    const timer = setInterval(soon, TRY_AGAIN_MS);
    window.addEventListener('online', soon);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', soon);
    };
  }, [visitId, change, trySending]);

  const keep = (items: readonly BeforeItem[], and: Partial<Draft> = {}) => {
    change((now) => settled({ ...now, ...and, refused: false, unsent: [...now.unsent, ...items] }));
    void trySending();
  };
  return {
    draft,
    gone,
    answer: (answers: Answers) => change((now) => ({ ...now, answers: { ...now.answers, ...answers } })),
    keep,
  };
}

import { useCallback, useEffect, useRef, useState } from 'react';
import { BEFORE_ITEMS_AT_ONCE, type BeforeItem } from '../../../core/schedule';
import type { Answers } from '../../../core/limits';

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

function readDraft(visitId: string): Draft {
  try {
    return { ...EMPTY, ...(JSON.parse(localStorage.getItem(keyOf(visitId)) ?? '{}') as Partial<Draft>) };
  } catch {
    return EMPTY;
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
      at.current = next(at.current);
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
    try {
      let most = BEFORE_ITEMS_AT_ONCE;
      while (at.current.unsent.length) {
        const items = at.current.unsent.slice(0, most);
        const answer = await fetch(`/h/${secret}/before`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify({ sentAt: new Date().toISOString(), items }),
        }).catch(() => null);
        if (answer?.status === 404) return setGone(true);
        const refused = answer?.status === 422;
        if (!answer?.ok && !refused) return;
        // What can never be taken must hold up nothing: each is sent alone, and that one is let go.
        if (refused && items.length > 1) {
          most = 1;
          continue;
        }
        const done = new Set(items.map((i) => i.id));
        change((now) =>
          settled({
            ...now,
            unsent: now.unsent.filter((i) => !done.has(i.id)),
            ...(refused ? { refused } : { sentAt: new Date().toISOString() }),
          }),
        );
      }
    } finally {
      sending.current = false;
    }
  }, [secret, change]);
  useEffect(() => {
    change(() => readDraft(visitId));
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

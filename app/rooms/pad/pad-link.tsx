import type { Touch } from '../../../core/touch';
import { createContext, useCallback, useContext, useEffect, useEffectEvent, useMemo, useRef } from 'react';
import { usePad, type PadHere } from './use-pad';

interface Hearer {
  touch: (touch: Touch) => void;
  lost: () => void;
}
interface PadLink {
  /** Its name; none where no pad is named. */
  pad: string | undefined;
  here: PadHere;
  isStandIn: boolean;
  listen: (hearer: Hearer) => () => void;
}
const Link = createContext<PadLink | null>(null);

/** One connection to the pad for all pages of it: going from one to another does not lose it. */
export function PadLinked({ pad, children }: { pad: string | undefined; children: React.ReactNode }) {
  const hearers = useRef(new Set<Hearer>());
  const here = usePad(
    pad ?? null,
    (touch) => hearers.current.forEach((h) => h.touch(touch)),
    () => hearers.current.forEach((h) => h.lost()),
  );
  const listen = useCallback((hearer: Hearer) => {
    const all = hearers.current;
    all.add(hearer);
    return () => void all.delete(hearer);
  }, []);
  const link = useMemo(() => ({ pad, here, isStandIn: here.shape?.isStandIn ?? false, listen }), [pad, here, listen]);
  return <Link value={link}>{children}</Link>;
}

/** The pad that is read. */
export function usePadHere(): Omit<PadLink, 'listen'> {
  const link = useContext(Link);
  if (!link) throw new Error('the pad is heard within its frame');
  return link;
}
/** Each reading of the pad, and when it is lost, for as long as the caller is there. */
export function usePadHeard(onTouch: (touch: Touch) => void, onLost: () => void = () => {}): void {
  const listen = useContext(Link)?.listen;
  const touch = useEffectEvent(onTouch);
  const lost = useEffectEvent(onLost);
  useEffect(() => listen?.({ touch: (t) => touch(t), lost: () => lost() }), [listen]);
}

import { useCallback, useEffect, useRef, useState } from 'react';
import type { useFetcher } from 'react-router';
import { whenReachable } from './reach';

/**
 * Reads what a route without a page answers. A fetcher would load that route's script first, and reload the page when the
 * network is cut just then; this waits for the network instead, and the page stays as it is.
 */
export function useRead<Loader>() {
  type Data = ReturnType<typeof useFetcher<Loader>>['data'];
  const [data, setData] = useState<Data>();
  const [isFailed, setFailed] = useState(false);
  const latest = useRef<AbortController>(null);
  useEffect(() => () => latest.current?.abort(), []);
  const load = useCallback(async (path: string): Promise<void> => {
    latest.current?.abort();
    const { signal } = (latest.current = new AbortController());
    try {
      await whenReachable(signal, true);
      const answer = await fetch(path, { headers: { Accept: 'application/json' }, signal });
      if (!answer.ok) throw new Error(String(answer.status));
      const read = (await answer.json()) as Data;
      if (signal.aborted) return;
      setData(() => read);
      setFailed(false);
    } catch {
      if (!signal.aborted) setFailed(true);
    }
  }, []);
  return { load, data, isFailed };
}

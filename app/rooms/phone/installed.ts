import { useEffect } from 'react';

/** What this page has fetched so far of the application itself. */
const fetched = (): string[] => [
  ...new Set(
    performance
      .getEntriesByType('resource')
      .map((e) => new URL(e.name))
      .filter((url) => url.origin === location.origin && url.pathname.startsWith('/assets/'))
      .map((url) => url.pathname),
  ),
];
/** The first page comes before anything can pack it: when it has settled, what it needed is packed too. Our choice. */
const SETTLED_MS = 1500;

/**
 * Packs the page into the phone, so that it opens without a network, and says to the phone how it may stand among the
 * other applications.
 */
export function useInstalled(secret: string, isWhole: boolean): void {
  useEffect(() => {
    const link = Object.assign(document.createElement('link'), { rel: 'manifest', href: `/h/${secret}/manifest` });
    document.head.append(link);
    return () => link.remove();
  }, [secret]);
  useEffect(() => {
    if (!isWhole || !('serviceWorker' in navigator)) return;
    const timer = setTimeout(() => {
      void (async () => {
        await navigator.serviceWorker.register('/h-worker.js', { scope: '/h/' });
        const { active } = await navigator.serviceWorker.ready;
        active?.postMessage({ page: location.pathname, files: fetched() });
      })().catch(() => {});
    }, SETTLED_MS);
    return () => clearTimeout(timer);
  }, [isWhole]);
}

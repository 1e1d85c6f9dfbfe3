/// <reference lib="webworker" />
import { cleanupOutdatedCaches, precacheAndRoute } from 'workbox-precaching';
import { registerRoute } from 'workbox-routing';
import { CacheFirst, NetworkFirst } from 'workbox-strategies';

declare const self: ServiceWorkerGlobalScope & { __WB_MANIFEST: { url: string; revision: string | null }[] };

/** A page that does not answer within this is opened as it was kept. Our choice. */
const PATIENCE_S = 3;
const PAGES = 'velvet-h-pages';
const FILES = 'velvet-h-files';

void self.skipWaiting();
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
cleanupOutdatedCaches();
precacheAndRoute(self.__WB_MANIFEST);

/** Names of files tell their content: one that is here never has to be fetched again. */
const files = new CacheFirst({ cacheName: FILES });
registerRoute(({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/assets/'), files);

const pages = new NetworkFirst({
  cacheName: PAGES,
  networkTimeoutSeconds: PATIENCE_S,
  matchOptions: { ignoreVary: true, ignoreSearch: true },
  plugins: [
    {
      // What the practice has ended is forgotten here too.
      fetchDidSucceed: async ({ request, response }) => {
        if (response.status === 404) await (await caches.open(PAGES)).delete(request, { ignoreVary: true });
        return response;
      },
    },
  ],
});
const PAGE = /^\/h\/[\w-]{43}$/;
registerRoute(({ request, url }) => request.mode === 'navigate' && PAGE.test(url.pathname), pages);

/** The page that was opened before this worker was there, and what it needed. */
self.addEventListener('message', (event) => {
  const { page, files: needed } = event.data as { page?: unknown; files?: unknown };
  if (typeof page !== 'string' || !PAGE.test(page) || !Array.isArray(needed)) return;
  event.waitUntil(
    (async () => {
      const [kept, assets] = await Promise.all([caches.open(PAGES), caches.open(FILES)]);
      if (!(await kept.match(page, { ignoreVary: true }))) {
        const answer = await fetch(page);
        if (answer.ok) await kept.put(page, answer);
      }
      for (const file of needed)
        if (typeof file === 'string' && file.startsWith('/assets/') && !(await caches.match(file)))
          await assets.add(file).catch(() => {});
    })(),
  );
});

import type { EntryContext } from 'react-router';

const STANDS_MS = 1500;

/**
 * Fetches the code of every page when the first one stands. A page whose code cannot be had is loaded anew by the
 * router, and under a cut network that throws away the page at hand with what was typed in it.
 */
export function warmModules(): void {
  // The router keeps its list of routes and their files here.
  const { __reactRouterManifest: list } = window as { __reactRouterManifest?: EntryContext['manifest'] };
  const files = new Set(
    Object.values(list?.routes ?? {}).flatMap((route) => (route ? [route.module, ...(route.imports ?? [])] : [])),
  );
  const warm = () => {
    for (const href of files)
      document.head.append(Object.assign(document.createElement('link'), { rel: 'modulepreload', href }));
  };
  // The page at hand comes first: its drawings and its first touches.
  const soon = () => setTimeout(() => (window.requestIdleCallback ?? setTimeout)(warm), STANDS_MS);
  if (document.readyState === 'complete') soon();
  else window.addEventListener('load', soon, { once: true });
}

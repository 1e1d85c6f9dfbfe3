import type { EntryContext } from 'react-router';

const STANDS_MS = 1500;

/** Under this a window notes the build whose code it has fetched. */
const FETCHED = 'velvet-fetched';

/**
 * Fetches the code of every page once in a window, when its first page stands. A page whose code cannot be had is
 * loaded anew by the router, and under a cut network that throws away the page at hand with what was typed in it.
 */
export function warmModules(): void {
  // The router keeps its list of routes and their files here.
  const { __reactRouterManifest: list } = window as { __reactRouterManifest?: EntryContext['manifest'] };
  if (!list || sessionStorage.getItem(FETCHED) === list.version) return;
  const files = new Set(
    Object.values(list.routes).flatMap((route) => (route ? [route.module, ...(route.imports ?? [])] : [])),
  );
  const warm = async () => {
    // One after another and into the browser's store only: it is read when it is needed, and the page at hand goes on.
    for (const file of files) {
      const answer = await fetch(file, { priority: 'low' }).catch(() => null);
      // The next page tries again.
      if (!answer?.ok) return;
    }
    sessionStorage.setItem(FETCHED, list.version);
  };
  // The page at hand comes first: its drawings and its first touches.
  const soon = () => setTimeout(() => (window.requestIdleCallback ?? setTimeout)(() => void warm()), STANDS_MS);
  if (document.readyState === 'complete') soon();
  else window.addEventListener('load', soon, { once: true });
}

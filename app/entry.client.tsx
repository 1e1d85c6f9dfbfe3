import { startTransition } from 'react';
import { hydrateRoot } from 'react-dom/client';
import { HydratedRouter } from 'react-router/dom';
import { warmModules } from './parts/frame/warm-modules';

startTransition(() => {
  hydrateRoot(document, <HydratedRouter />);
});
// A client’s phone fetches nothing but its own plan.
if (!location.pathname.startsWith('/h/')) warmModules();

import { useSyncExternalStore } from 'react';

const never = () => () => {};

/** False while the server renders and until the page has come alive. */
export const useInBrowser = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );

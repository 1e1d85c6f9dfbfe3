import { useEffect, useLayoutEffect, useRef } from 'react';
import { isQuiet } from './keys';

/** Keys of a page, by `event.key`. Fields keep their own keys; arrows stay with whatever uses them itself. */
export function useKeys(keys: Readonly<Record<string, () => void>>): void {
  const latest = useRef(keys);
  useLayoutEffect(() => {
    latest.current = keys;
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const act = latest.current[event.key];
      const choosing =
        event.key.startsWith('Arrow') && (event.target as HTMLElement | null)?.closest('input[type=radio]');
      if (!act || isQuiet(event) || choosing || event.defaultPrevented) return;
      event.preventDefault();
      act();
    };
    document.addEventListener('keydown', listen);
    return () => document.removeEventListener('keydown', listen);
  }, []);
}

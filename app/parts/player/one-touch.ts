import { useCallback, useRef } from 'react';

/** A second touch within this is a drop of oil or a trembling hand. Our choice. */
const SECOND_TOUCH_MS = 400;

/** Lets one touch of a run through and the next only after a while, wherever it lands; keys are not held up. */
export function useOneTouch(): (detail: number) => boolean {
  const last = useRef(-Infinity);
  return useCallback((detail) => {
    if (detail === 0) return true;
    const now = performance.now();
    if (now - last.current < SECOND_TOUCH_MS) return false;
    last.current = now;
    return true;
  }, []);
}

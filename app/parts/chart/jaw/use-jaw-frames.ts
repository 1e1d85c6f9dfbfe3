import { eased } from '../../../../core/drawing';
import { useEffect, useLayoutEffect, useRef, useSyncExternalStore } from 'react';
import type { PosedView } from './posed';

let asked: MediaQueryList | undefined;
const stillness = (): MediaQueryList => (asked ??= matchMedia('(prefers-reduced-motion: reduce)'));
const watch = (changed: () => void) => {
  stillness().addEventListener('change', changed);
  return () => stillness().removeEventListener('change', changed);
};
/** Whether this device asks for stillness. */
export const useStillness = (): boolean =>
  useSyncExternalStore(
    watch,
    () => stillness().matches,
    () => true,
  );

/** A jaw that is held differently goes there in so long, ms. */
const GOES_MS = 320;

/**
 * Calls with how far open the jaw is, mm, at every frame while it moves: by itself, or on its way from one opening to the
 * next. On a device that asks for stillness it is simply there.
 */
export function useJawFrames({ pose: { openingMm }, moving }: PosedView, paint: (mm: number) => void): void {
  const call = useRef(paint);
  const atMm = useRef(openingMm);
  const still = useStillness();
  useLayoutEffect(() => {
    call.current = paint;
    call.current(atMm.current);
  });
  const at = moving?.at;
  const isMoving = !!at;
  const target = isMoving ? null : openingMm;
  useEffect(() => {
    const show = (mm: number) => {
      atMm.current = mm;
      call.current(mm);
    };
    if (target !== null && still) return show(target);
    const began = performance.now();
    const fromMm = atMm.current;
    let frame = requestAnimationFrame(function step(now) {
      if (target === null) show(at!(performance.timeOrigin + now));
      else {
        const t = Math.min(1, (now - began) / GOES_MS);
        show(fromMm + (target - fromMm) * eased(t));
        if (t === 1) return;
      }
      frame = requestAnimationFrame(step);
    });
    return () => cancelAnimationFrame(frame);
  }, [target, at, still]);
}

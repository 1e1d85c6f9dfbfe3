import { useCallback, useEffect, useRef } from 'react';
import { send } from '../../parts/frame/send';
import { isQuiet } from '../../parts/keys/keys';

/** A step of the arrows, as a share of the aim’s middle. */
const STEP = 0.1;

/**
 * Leads the hand of a stand-in: it presses while the space bar or the button is held, and the arrows make it press harder
 * or softer. Gives what the button needs, and a way to lift the hand, also one that works by itself.
 * @param kpaOf how hard it presses at first
 */
export function useLed(pad: string, kpaOf: () => number, areaCm2: number, isStandIn: boolean) {
  const isDown = useRef(false);
  const share = useRef(1);
  const asked = useRef(kpaOf);
  useEffect(() => {
    asked.current = kpaOf;
  });
  /** One after the other, so that up never comes before down. */
  const last = useRef<Promise<unknown>>(Promise.resolve());
  const tell = useCallback(
    (down: boolean) => {
      isDown.current = down;
      const kpa = Math.min(400, Math.max(0, asked.current() * share.current));
      const body = down ? { pad, kind: 'down', kpa, areaCm2 } : { pad, kind: 'up' };
      last.current = last.current.then(() => send('/devices/pad/hand', body));
    },
    [pad, areaCm2],
  );
  useEffect(() => {
    if (!isStandIn) return;
    share.current = 1;
    const down = (event: KeyboardEvent) => {
      const by = event.key === 'ArrowUp' ? STEP : event.key === 'ArrowDown' ? -STEP : 0;
      // What has a use for these keys itself keeps them.
      const onButton = (event.target as HTMLElement | null)?.closest('button, select, input');
      if (isQuiet(event) || (onButton && !onButton.classList.contains('pad-press'))) return;
      if (event.key === ' ') {
        event.preventDefault();
        if (!event.repeat && !isDown.current) tell(true);
      } else if (by) {
        event.preventDefault();
        share.current = Math.min(3, Math.max(0.1, share.current + by));
        if (isDown.current) tell(true);
      }
    };
    const up = (event: KeyboardEvent) => {
      if (event.key === ' ' && isDown.current) tell(false);
    };
    const leave = () => isDown.current && tell(false);
    document.addEventListener('keydown', down);
    document.addEventListener('keyup', up);
    window.addEventListener('blur', leave);
    return () => {
      leave();
      document.removeEventListener('keydown', down);
      document.removeEventListener('keyup', up);
      window.removeEventListener('blur', leave);
    };
  }, [isStandIn, tell]);
  const button = {
    onPointerDown: (event: React.PointerEvent) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      tell(true);
    },
    onPointerUp: () => tell(false),
    onPointerCancel: () => tell(false),
    onContextMenu: (event: React.MouseEvent) => event.preventDefault(),
  };
  return { button, lift: () => tell(false) };
}

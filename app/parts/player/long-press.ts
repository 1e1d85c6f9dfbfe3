import { useRef } from 'react';

/** Held for so long it is a long press. Our choice. */
const LONG_MS = 700;
/** A finger that moves further is doing something else. */
const STILL_PX = 12;

/** Does something when a finger rests anywhere within: found with shut eyes. */
export function useLongPress(act: () => void) {
  const held = useRef<{ timer: ReturnType<typeof setTimeout>; x: number; y: number }>(null);
  /** The finger that rested is still down: lifting it would be a touch of what lies under it. */
  const rested = useRef(false);
  const end = () => {
    if (held.current) clearTimeout(held.current.timer);
    held.current = null;
  };
  const fire = () => {
    rested.current = true;
    act();
  };
  return {
    onClickCapture: (e: React.MouseEvent) => {
      if (rested.current) e.stopPropagation();
      rested.current = false;
    },
    onPointerDown: (e: React.PointerEvent) => {
      end();
      rested.current = false;
      // What has a meaning of its own keeps it.
      if ((e.target as Element).closest('button, a, input, textarea, select, label')) return;
      held.current = { x: e.clientX, y: e.clientY, timer: setTimeout(fire, LONG_MS) };
    },
    onPointerMove: (e: React.PointerEvent) => {
      const at = held.current;
      if (at && Math.hypot(e.clientX - at.x, e.clientY - at.y) > STILL_PX) end();
    },
    onPointerUp: end,
    onPointerCancel: end,
    onContextMenu: (e: React.MouseEvent) => e.preventDefault(),
  };
}

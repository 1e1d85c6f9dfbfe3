import { useRef } from 'react';

/** Held for so long it is a long press. Our choice. */
const LONG_MS = 700;
/** A finger that moves further is doing something else. */
const STILL_PX = 12;

/** Does something when a finger rests anywhere within: found with shut eyes. */
export function useLongPress(act: () => void) {
  const held = useRef<{ timer: ReturnType<typeof setTimeout>; x: number; y: number }>(null);
  const end = () => {
    if (held.current) clearTimeout(held.current.timer);
    held.current = null;
  };
  return {
    onPointerDown: (e: React.PointerEvent) => {
      end();
      // What has a meaning of its own keeps it.
      if ((e.target as Element).closest('button, a, input, textarea, select, label')) return;
      held.current = { x: e.clientX, y: e.clientY, timer: setTimeout(act, LONG_MS) };
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

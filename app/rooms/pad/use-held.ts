import { useEffect, useEffectEvent, useRef } from 'react';

/**
 * The space bar, or a button by touch, told when it goes down and up: with the browser's own time, so that drawing does
 * not make it late. Gives what the button needs.
 * @param id of the button: the space bar is its own while it has the focus
 */
export function useHeld(id: string, onDown: (atMs: number) => void, onUp: (atMs: number) => void) {
  const isDown = useRef(false);
  const down = useEffectEvent(onDown);
  const up = useEffectEvent(onUp);
  const is = (on: boolean, atMs: number) => {
    if (isDown.current === on) return;
    isDown.current = on;
    (on ? onDown : onUp)(atMs);
  };
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.key !== ' ' || document.activeElement?.id !== id) return;
      event.preventDefault();
      if (event.repeat || isDown.current) return;
      isDown.current = true;
      down(event.timeStamp);
    };
    const onKeyUp = (event: KeyboardEvent) => {
      if (event.key !== ' ' || !isDown.current) return;
      event.preventDefault();
      isDown.current = false;
      up(event.timeStamp);
    };
    document.addEventListener('keydown', onKeyDown);
    document.addEventListener('keyup', onKeyUp);
    return () => {
      document.removeEventListener('keydown', onKeyDown);
      document.removeEventListener('keyup', onKeyUp);
    };
  }, [id]);
  return {
    onPointerDown: (event: React.PointerEvent) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      is(true, event.timeStamp);
    },
    onPointerUp: (event: React.PointerEvent) => is(false, event.timeStamp),
    onPointerCancel: (event: React.PointerEvent) => is(false, event.timeStamp),
    onContextMenu: (event: React.MouseEvent) => event.preventDefault(),
  };
}

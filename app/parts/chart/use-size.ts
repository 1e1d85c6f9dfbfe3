import { useEffect, useState, type RefObject } from 'react';

/** Width and height of an element in CSS px; 0 until it is on the screen. */
export function useSize(element: RefObject<HTMLElement | null>): { width: number; height: number } {
  const [size, set] = useState({ width: 0, height: 0 });
  useEffect(() => {
    const watched = element.current;
    if (!watched) return;
    const observer = new ResizeObserver(() => set({ width: watched.clientWidth, height: watched.clientHeight }));
    observer.observe(watched);
    return () => observer.disconnect();
  }, [element]);
  return size;
}

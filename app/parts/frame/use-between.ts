import { useEffect, useState } from 'react';

/** True from one event of the window to another. */
export function useBetween(from: string, to: string): boolean {
  const [on, setOn] = useState(false);
  useEffect(() => {
    const [begun, ended] = [() => setOn(true), () => setOn(false)];
    window.addEventListener(from, begun);
    window.addEventListener(to, ended);
    return () => {
      window.removeEventListener(from, begun);
      window.removeEventListener(to, ended);
    };
  }, [from, to]);
  return on;
}

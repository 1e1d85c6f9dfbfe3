import { useEffect, useState } from 'react';

/**
 * Keeps the screen lit while `on`, and takes the lock again when the page comes back to the front.
 * @returns true where the device does not let it
 */
export function useWakeLock(on: boolean): boolean {
  const [isRefused, setRefused] = useState(false);
  useEffect(() => {
    if (!on) return;
    let lock: WakeLockSentinel | null = null;
    let over = false;
    const take = async () => {
      try {
        if (!('wakeLock' in navigator)) throw new Error('no such lock here');
        lock = await navigator.wakeLock.request('screen');
        setRefused(false);
        if (over) void lock.release();
      } catch {
        lock = null;
        setRefused(true);
      }
    };
    const again = () => {
      if (document.visibilityState === 'visible') void take();
    };
    void take();
    document.addEventListener('visibilitychange', again);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, [on]);
  return isRefused;
}

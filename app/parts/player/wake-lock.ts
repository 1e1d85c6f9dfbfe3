import { useEffect } from 'react';

/** Keeps the screen lit while `on`, and takes the lock again when the page comes back to the front. */
export function useWakeLock(on: boolean): void {
  useEffect(() => {
    if (!on || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let over = false;
    const take = async () => {
      try {
        lock = await navigator.wakeLock.request('screen');
        if (over) void lock.release();
      } catch {
        lock = null;
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
}

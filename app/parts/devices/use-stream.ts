import { useEffect, useEffectEvent } from 'react';

/** A device that was lost is asked again after so long. */
const AGAIN_MS = 3000;

/**
 * Hears a device for as long as the page is there, and asks again by itself where it was lost.
 * @param address of its stream; null where none is named
 * @param onLines lines that came together; what it throws as a message ends this talk
 * @param onLost told why, each time that it is lost
 */
export function useDeviceStream(
  address: string | null,
  onLines: (lines: string[]) => string | null,
  onLost: (why: string) => void,
): void {
  const hear = useEffectEvent(onLines);
  const tellLost = useEffectEvent(onLost);
  useEffect(() => {
    if (address === null) return;
    let source: EventSource | null = null;
    let again: ReturnType<typeof setTimeout> | undefined;
    const lost = (why: string) => {
      source?.close();
      source = null;
      tellLost(why);
      clearTimeout(again);
      again = setTimeout(open, AGAIN_MS);
    };
    function open() {
      source = new EventSource(address!);
      source.addEventListener('lines', ({ data }: MessageEvent<string>) => {
        const wrong = hear(data.split('\n'));
        if (wrong !== null) lost(wrong);
      });
      source.addEventListener('gone', ({ data }: MessageEvent<string>) => lost(data));
      source.addEventListener('over', () => lost('The device ended it.'));
      source.onerror = () => lost('The device does not answer.');
    }
    open();
    return () => {
      clearTimeout(again);
      source?.close();
    };
  }, [address]);
}

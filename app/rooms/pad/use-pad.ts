import { readPadLine, type PadShape } from '../../../core/devices';
import { touchOf, type Touch } from '../../../core/touch';
import { InputError } from '../../../core/words';
import { useEffect, useEffectEvent, useState } from 'react';

export interface PadHere {
  status: 'opening' | 'here' | 'lost';
  shape: PadShape | null;
  /** Why it is lost. */
  why: string;
}
/** A pad that was lost is asked again after so long. */
const AGAIN_MS = 3000;

/** Hears a pad for as long as the page is there. Readings are handed on one by one and are no state: there are a hundred a second. */
export function usePad(name: string | null, onTouch: (touch: Touch) => void, onLost: () => void): PadHere {
  const [here, setHere] = useState<PadHere>({ status: 'opening', shape: null, why: '' });
  const hear = useEffectEvent(onTouch);
  const tellLost = useEffectEvent(onLost);
  useEffect(() => {
    if (name === null) return;
    let source: EventSource | null = null;
    let again: ReturnType<typeof setTimeout> | undefined;
    let shape: PadShape | null = null;
    const lost = (why: string) => {
      source?.close();
      source = null;
      tellLost();
      setHere({ status: 'lost', shape: null, why });
      clearTimeout(again);
      again = setTimeout(open, AGAIN_MS);
    };
    const read = (line: string) => {
      const message = readPadLine(line);
      if (message?.kind === 'hello') {
        shape = message;
        setHere({ status: 'here', shape: message, why: '' });
      } else if (message?.kind === 'frame' && shape) hear(touchOf(message, shape));
    };
    function open() {
      source = new EventSource(`/devices/pad?${new URLSearchParams({ pad: name! }).toString()}`);
      source.addEventListener('lines', ({ data }: MessageEvent<string>) => {
        try {
          data.split('\n').forEach(read);
        } catch (error) {
          if (!(error instanceof InputError)) throw error;
          lost(`The pad sent something that cannot be read. ${error.message}`);
        }
      });
      source.addEventListener('gone', ({ data }: MessageEvent<string>) => lost(data));
      source.addEventListener('over', () => lost('The pad ended it.'));
      source.onerror = () => lost('The pad does not answer.');
    }
    open();
    return () => {
      clearTimeout(again);
      source?.close();
    };
  }, [name]);
  return here;
}

import { readPadLine, type PadShape } from '../../../core/devices';
import { touchOf, type Touch } from '../../../core/touch';
import { InputError } from '../../../core/words';
import { useRef, useState } from 'react';
import { useDeviceStream } from '../../parts/devices/use-stream';

export interface PadHere {
  status: 'opening' | 'here' | 'lost';
  shape: PadShape | null;
  /** Why it is lost. */
  why: string;
}

/** Hears a pad for as long as the page is there. Readings are handed on one by one and are no state: there are a hundred a second. */
export function usePad(name: string | null, onTouch: (touch: Touch) => void, onLost: () => void): PadHere {
  const [here, setHere] = useState<PadHere>({ status: 'opening', shape: null, why: '' });
  const shape = useRef<PadShape | null>(null);
  const read = (line: string) => {
    const message = readPadLine(line);
    if (message?.kind === 'hello') {
      shape.current = message;
      setHere({ status: 'here', shape: message, why: '' });
    } else if (message?.kind === 'frame' && shape.current) onTouch(touchOf(message, shape.current));
  };
  useDeviceStream(
    name === null ? null : `/devices/pad?${new URLSearchParams({ pad: name }).toString()}`,
    (lines) => {
      try {
        lines.forEach(read);
        return null;
      } catch (error) {
        if (!(error instanceof InputError)) throw error;
        return `The pad sent something that cannot be read. ${error.message}`;
      }
    },
    (why) => {
      shape.current = null;
      onLost();
      setHere({ status: 'lost', shape: null, why });
    },
  );
  return here;
}

import { InputError } from '../words/index.ts';
import { type DeviceSession, readDeviceSession, writeDeviceSession } from './device-session.ts';
import { readPadLine } from './pad-lines.ts';

const HEAD = 'PAD-SESSION 1';

/** A recorded session of a force pad: docs/formats/force-pad.md. @throws InputError naming the line that is wrong and what is accepted there */
export function readPadSession(text: string): DeviceSession {
  let last = -1;
  return readDeviceSession(text, HEAD, (line, at) => {
    const message = readPadLine(line);
    if (message?.kind === 'hello') return 'hello';
    if (message?.kind !== 'frame') return null;
    if (message.sequence <= last) throw new InputError(at, 'a number above the one before is accepted');
    last = message.sequence;
    return 'reading';
  });
}
export const writePadSession = (session: DeviceSession): string => writeDeviceSession(session, HEAD);

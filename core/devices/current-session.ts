import { readCurrentLine } from './current-lines.ts';
import { type DeviceSession, readDeviceSession, writeDeviceSession } from './device-session.ts';

const HEAD = 'CURRENT-SESSION 1';

/** A recorded session of a microcurrent unit: docs/formats/microcurrent-unit.md. @throws InputError naming the line that is wrong and what is accepted there */
export const readCurrentSession = (text: string): DeviceSession =>
  readDeviceSession(text, HEAD, (line) => {
    const kind = readCurrentLine(line)?.kind;
    return kind === 'hello' || kind === 'reading' ? kind : null;
  });
export const writeCurrentSession = (session: DeviceSession): string => writeDeviceSession(session, HEAD);

import { type PadCommand, padCommandLine, type PadShape, readPadLine } from '../core/devices/index.ts';
import { deviceOf, devicesOf, deviceStream, firstLineOf, tellDevice } from './devices.server.ts';

export const padsHere = (): string[] => devicesOf('pad');

/** A page listens for no longer at one go; it asks again by itself. */
const LONGEST_MS = 30 * 60_000;

/** All that a pad reads, as server-sent events: lines that came together are told together. */
export function padStream(name: string, signal: AbortSignal): ReadableStream<Uint8Array> | null {
  const pad = deviceOf('pad', name);
  if (!pad) return null;
  return deviceStream(
    pad,
    {
      first: '',
      last: padCommandLine({ kind: 'stop' }),
      onLines: (lines, send) => {
        send('lines', lines.join('\n'));
        return lines.find((line) => line.startsWith('END')) ? 'the pad ended it' : null;
      },
      longestMs: LONGEST_MS,
      away: 'The pad does not answer any more.',
    },
    signal,
  );
}

/** Says something to a pad; null where there is none of this name. */
export async function tellPad(name: string, command: PadCommand): Promise<boolean | null> {
  const pad = deviceOf('pad', name);
  return pad && tellDevice(pad, padCommandLine(command));
}

/** What a pad says of itself; null where there is none of this name, it does not answer, or it is none. */
export async function padShape(name: string): Promise<PadShape | null> {
  const pad = deviceOf('pad', name);
  const line = pad && (await firstLineOf(pad));
  const hello = line ? readPadLine(line) : null;
  return hello?.kind === 'hello' ? hello : null;
}

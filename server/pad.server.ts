import { type PadCommand, padCommandLine, type PadShape, readPadLine } from '../core/devices/index.ts';
import { deviceOf, devicesOf, firstLineOf, readingStream, tellDevice } from './devices.server.ts';

export const padsHere = (): string[] => devicesOf('pad');

/** All that a pad reads; null where there is none of this name. */
export function padStream(name: string, signal: AbortSignal): ReadableStream<Uint8Array> | null {
  const pad = deviceOf('pad', name);
  return pad && readingStream(pad, signal);
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

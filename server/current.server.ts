import { deviceOf, deviceStream, tellDevice } from './devices.server.ts';

/** Whether a microcurrent unit is named. */
export const hasCurrentUnit = (): boolean => deviceOf('current') !== null;

/** A page listens for no longer at one go; it asks again by itself. */
const LONGEST_MS = 30 * 60_000;

/** All that a microcurrent unit reads, as server-sent events; null where none is named. */
export function currentStream(signal: AbortSignal): ReadableStream<Uint8Array> | null {
  const unit = deviceOf('current');
  if (!unit) return null;
  return deviceStream(
    unit,
    {
      first: '',
      last: 'STOP',
      onLines: (lines, send) => {
        send('lines', lines.join('\n'));
        return lines.find((line) => line.startsWith('END')) ? 'the unit ended it' : null;
      },
      longestMs: LONGEST_MS,
      away: 'The unit does not answer any more.',
    },
    signal,
  );
}

/** Switches the current off. Null where no unit is named; false where it does not answer. */
export async function switchCurrentOff(): Promise<boolean | null> {
  const unit = deviceOf('current');
  return unit && tellDevice(unit, 'OFF');
}

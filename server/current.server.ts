import { deviceOf, readingStream, tellDevice } from './devices.server.ts';

/** Whether a microcurrent unit is named. */
export const hasCurrentUnit = (): boolean => deviceOf('current') !== null;

/** All that a microcurrent unit reads; null where none is named. */
export function currentStream(signal: AbortSignal): ReadableStream<Uint8Array> | null {
  const unit = deviceOf('current');
  return unit && readingStream(unit, signal);
}

/** Switches the current off. Null where no unit is named; false where it does not answer. */
export async function switchCurrentOff(): Promise<boolean | null> {
  const unit = deviceOf('current');
  return unit && tellDevice(unit, 'OFF');
}

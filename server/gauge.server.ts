import { type GaugeCommand, gaugeCommandLine } from '../core/devices/index.ts';
import { deviceOf, deviceStream } from './devices.server.ts';

export const hasGauge = (): boolean => deviceOf('gauge') !== null;

/** Nothing is pressed for longer than this. */
const LONGEST_MS = 60_000;

/** One press as a stream of server-sent events, a line of the gauge each. Ends when the gauge lets go, goes away, or the page does. */
export function pressStream(
  command: Extract<GaugeCommand, { kind: 'press' }>,
  signal: AbortSignal,
): ReadableStream<Uint8Array> | null {
  const gauge = deviceOf('gauge');
  if (!gauge) return null;
  return deviceStream(
    gauge,
    {
      first: gaugeCommandLine(command),
      last: gaugeCommandLine({ kind: 'stop' }),
      onLines: (lines, send) => {
        for (const line of lines) {
          send('line', line);
          if (line.startsWith('END')) return 'let go';
        }
        return null;
      },
      longestMs: LONGEST_MS,
      away: 'The gauge does not answer any more.',
    },
    signal,
  );
}

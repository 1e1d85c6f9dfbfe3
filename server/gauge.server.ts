import { type GaugeCommand, gaugeCommandLine } from '../core/devices/index.ts';
import { connect } from 'node:net';

/** Where a gauge listens, "127.0.0.1:4390"; null when none is named. Loopback only: nothing leaves the machine. */
function address(): { host: string; port: number } | null {
  const given = /^(127\.0\.0\.1|localhost):(\d{1,5})$/.exec(process.env.VELVET_GAUGE ?? '');
  return given && Number(given[2]) <= 65535 ? { host: '127.0.0.1', port: Number(given[2]) } : null;
}
export const hasGauge = (): boolean => address() !== null;

/** Nothing is pressed for longer than this; a line that never ends is cut off. */
const LONGEST_MS = 60_000;
const LONGEST_LINE = 500;

/**
 * One press as a stream of server-sent events, a line of the gauge each. A connection of its own for every press: the
 * process keeps no state. Ends when the gauge lets go, goes away, or the page does.
 */
export function pressStream(
  command: Extract<GaugeCommand, { kind: 'press' }>,
  signal: AbortSignal,
): ReadableStream<Uint8Array> | null {
  const at = address();
  if (!at) return null;
  const text = new TextEncoder();
  let leave = () => {};
  return new ReadableStream<Uint8Array>({
    start(controller) {
      const socket = connect(at);
      let rest = '';
      let over = false;
      const send = (event: string, line: string) =>
        !over && controller.enqueue(text.encode(`event: ${event}\ndata: ${line.replace(/[\r\n]/g, ' ')}\n\n`));
      const end = (event: string, why: string) => {
        if (over) return;
        send(event, why);
        over = true;
        controller.close();
        socket.end(`${gaugeCommandLine({ kind: 'stop' })}\n`);
      };
      const limit = setTimeout(() => end('over', 'too long'), LONGEST_MS);
      // A reader who has gone takes no more lines: one more would be an error that nobody catches.
      leave = () => {
        over = true;
        socket.destroy();
      };
      if (signal.aborted) leave();
      signal.addEventListener('abort', leave, { once: true });
      socket.setEncoding('utf8');
      socket.on('connect', () => socket.write(`${gaugeCommandLine(command)}\n`));
      socket.on('data', (chunk: string) => {
        const lines = (rest + chunk).split('\n');
        rest = lines.pop()!.slice(-LONGEST_LINE);
        for (const line of lines) {
          send('line', line.slice(0, LONGEST_LINE));
          if (line.startsWith('END')) end('over', 'let go');
        }
      });
      socket.on('error', () => end('gone', 'The gauge does not answer.'));
      socket.on('close', () => {
        clearTimeout(limit);
        signal.removeEventListener('abort', leave);
        end('gone', 'The gauge was disconnected.');
      });
    },
    cancel: () => leave(),
  });
}

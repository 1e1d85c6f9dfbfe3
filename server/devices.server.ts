import { connect, type Socket } from 'node:net';
import { type Device, type DeviceKind, readDevices } from './settings.ts';

/** The devices that are named for this process, in the order in which they are named. */
const devices = (): readonly Device[] => readDevices(process.env);

/** The one by this name, or the first of its kind; null where there is none. */
export function deviceOf(kind: DeviceKind, name?: string): Device | null {
  const all = devices().filter((d) => d.kind === kind);
  return (name === undefined ? all[0] : all.find((d) => d.name === name)) ?? null;
}
export const devicesOf = (kind: DeviceKind): string[] =>
  devices()
    .filter((d) => d.kind === kind)
    .map((d) => d.name);

/** A line that never ends is cut off. */
const LONGEST_LINE = 20_000;

interface Talk {
  /** Sent when the device answers. */
  first: string;
  /** Sent when the page has gone or the talk is over. */
  last: string;
  /** Lines that came together: told together. Answers with why it is over, where it is. */
  onLines: (lines: readonly string[], send: (event: string, data: string) => void) => string | null;
  /** Longer than this nobody listens at one go. */
  longestMs: number;
  /** Told where the device does not answer. */
  away: string;
}

/**
 * What a device says, as server-sent events, for as long as the page listens: one connection of its own for every page,
 * so that the process keeps no state.
 */
export function deviceStream(
  { host, port }: Device,
  { first, last, onLines, longestMs, away }: Talk,
  signal: AbortSignal,
): ReadableStream<Uint8Array> {
  const text = new TextEncoder();
  let leave = () => {};
  return new ReadableStream<Uint8Array>({
    start(controller) {
      const socket: Socket = connect({ host, port });
      let rest = '';
      let over = false;
      const send = (event: string, data: string) => {
        if (over) return;
        const lines = data.split('\n').map((line) => `data: ${line.replaceAll('\r', ' ')}`);
        controller.enqueue(text.encode(`event: ${event}\n${lines.join('\n')}\n\n`));
      };
      const end = (event: string, why: string) => {
        if (over) return;
        send(event, why);
        over = true;
        controller.close();
        socket.end(`${last}\n`);
      };
      const limit = setTimeout(() => end('over', 'too long'), longestMs);
      // A reader who has gone takes no more lines: one more would be an error that nobody catches.
      leave = () => {
        over = true;
        socket.destroy();
      };
      if (signal.aborted) leave();
      signal.addEventListener('abort', leave, { once: true });
      socket.setEncoding('utf8');
      socket.setNoDelay(true);
      socket.on('connect', () => first && socket.write(`${first}\n`));
      socket.on('data', (chunk: string) => {
        const lines = (rest + chunk).split('\n');
        rest = lines.pop()!.slice(-LONGEST_LINE);
        const why = lines.length
          ? onLines(
              lines.map((line) => line.slice(0, LONGEST_LINE)),
              send,
            )
          : null;
        if (why !== null) end('over', why);
      });
      socket.on('error', () => end('gone', away));
      socket.on('close', () => {
        clearTimeout(limit);
        signal.removeEventListener('abort', leave);
        end('gone', away);
      });
    },
    cancel: () => leave(),
  });
}

/** What a device says of itself first; null where it does not answer. */
export const firstLineOf = ({ host, port }: Device): Promise<string | null> =>
  new Promise((done) => {
    const socket = connect({ host, port });
    socket.setTimeout(3000, () => socket.destroy(new Error('too long')));
    socket.setEncoding('utf8');
    socket.on('error', () => done(null));
    socket.once('data', (chunk: string) => {
      done(chunk.split('\n')[0]!);
      socket.destroy();
    });
  });

/** Says one line to a device. False where it does not answer. */
export const tellDevice = ({ host, port }: Device, line: string): Promise<boolean> =>
  new Promise((done) => {
    const socket = connect({ host, port });
    socket.setTimeout(3000, () => socket.destroy(new Error('too long')));
    socket.on('error', () => done(false));
    // It says who it is first: heard, it listens.
    socket.once('data', () => socket.end(`${line}\n`));
    socket.on('close', (failed) => done(!failed));
  });

/** A page listens for no longer at one go; it asks again by itself. */
const LONGEST_READING_MS = 30 * 60_000;
/** All that a device reads, as server-sent events: lines that came together are told together. */
export const readingStream = (device: Device, signal: AbortSignal): ReadableStream<Uint8Array> =>
  deviceStream(
    device,
    {
      first: '',
      last: 'STOP',
      onLines: (lines, send) => {
        send('lines', lines.join('\n'));
        return lines.some((line) => line.startsWith('END')) ? 'the device ended it' : null;
      },
      longestMs: LONGEST_READING_MS,
      away: 'The device does not answer any more.',
    },
    signal,
  );

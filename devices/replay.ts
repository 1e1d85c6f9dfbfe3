import type { DeviceSession } from '../core/devices/index.ts';
import { serveLines, type StandIn } from './line-server.ts';

const LOOK_EVERY_MS = 5;

/**
 * Plays a recorded session to everybody who listens, from its beginning, and says when it is over. What is said to a
 * recording changes nothing. `speed` hurries it in tests.
 */
export const replay = (
  { hello, lines }: DeviceSession,
  { port = 0, speed = 1 }: { port?: number; speed?: number } = {},
): Promise<StandIn> =>
  serveLines(port, (socket) => {
    const began = performance.now();
    let next = 0;
    const timer = setInterval(() => {
      const ms = (performance.now() - began) * speed;
      while (next < lines.length && lines[next]!.atMs <= ms) socket.write(`${lines[next++]!.line}\n`);
      if (next < lines.length) return;
      clearInterval(timer);
      socket.end('END recording over\n');
    }, LOOK_EVERY_MS);
    return { hello, onGone: () => clearInterval(timer) };
  });

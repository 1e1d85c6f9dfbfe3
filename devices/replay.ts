import { createServer } from 'node:net';
import { once } from 'node:events';
import type { DeviceSession } from '../core/devices/index.ts';
import type { ForcePad } from './force-pad.ts';

const LOOK_EVERY_MS = 5;

/** Plays a recorded session to everybody who listens, from its beginning, and says when it is over. `speed` hurries it in tests. */
export async function replay(
  { hello, lines }: DeviceSession,
  { port = 0, speed = 1 }: { port?: number; speed?: number } = {},
): Promise<ForcePad> {
  const server = createServer((socket) => {
    const began = performance.now();
    let next = 0;
    socket.setNoDelay(true);
    socket.write(`${hello}\n`);
    const timer = setInterval(() => {
      const ms = (performance.now() - began) * speed;
      while (next < lines.length && lines[next]!.atMs <= ms) socket.write(`${lines[next++]!.line}\n`);
      if (next < lines.length) return;
      clearInterval(timer);
      socket.end('END recording over\n');
    }, LOOK_EVERY_MS);
    const gone = () => clearInterval(timer);
    socket.on('close', gone);
    socket.on('error', gone);
    // What is said to a recording changes nothing.
    socket.resume();
  });
  server.listen(port, '127.0.0.1');
  await once(server, 'listening');
  const at = server.address();
  return {
    address: `127.0.0.1:${typeof at === 'object' && at ? at.port : port}`,
    close: () => new Promise((done) => server.close(() => done())),
  };
}

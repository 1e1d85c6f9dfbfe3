/**
 * A stand-in for a microcurrent unit, for practice, demonstration and tests: it speaks the line protocol of
 * docs/formats/microcurrent-unit.md over TCP on loopback. Its level is set, its contact comes and goes by a made-up
 * plan. None of its figures is a measurement.
 */
import { createServer, type Socket } from 'node:net';
import { once } from 'node:events';
import { currentHelloLine, currentReadingLine } from '../core/devices/index.ts';
import { numbersFrom, spread } from './made-up.ts';

const LEVEL_UA = 200;
const EVERY_MS = 100;
const NOISE_UA = 2;
/** Contact is there, then gone for a while, again and again; ms. Made up. */
interface Plan {
  firstMs: number;
  goneMs: number;
  everyMs: number;
}
const PLAN: Plan = { firstMs: 8000, goneMs: 4000, everyMs: 40_000 };

const hasContactAt = (ms: number, { firstMs, goneMs, everyMs }: Plan): boolean =>
  ms < firstMs || (ms - firstMs) % everyMs >= goneMs;

export async function startCurrentUnit({ port = 0, plan = PLAN }: { port?: number; plan?: Plan } = {}): Promise<{
  address: string;
  close: () => Promise<void>;
}> {
  const open = new Set<Socket>();
  let levelUa = LEVEL_UA;
  const server = createServer((socket) => {
    // Switched off it stays, for as long as anybody listens.
    if (open.size === 0) levelUa = LEVEL_UA;
    open.add(socket);
    socket.setEncoding('utf8');
    socket.setNoDelay(true);
    socket.write(`${currentHelloLine({ mostUa: 600, isStandIn: true, name: 'stand-in unit' })}\n`);
    const began = performance.now();
    const random = numbersFrom('current');
    const timer = setInterval(() => {
      const atMs = Math.round(performance.now() - began);
      const hasContact = hasContactAt(atMs, plan);
      const flowsUa = hasContact && levelUa ? Math.max(0, Math.round(levelUa + NOISE_UA * spread(random))) : 0;
      socket.write(`${currentReadingLine({ atMs, levelUa, flowsUa, hasContact })}\n`);
    }, EVERY_MS);
    let rest = '';
    socket.on('data', (chunk: string) => {
      const lines = (rest + chunk).split('\n');
      rest = lines.pop()!.slice(-200);
      if (lines.some((line) => line.trim() === 'OFF')) levelUa = 0;
    });
    const gone = () => {
      clearInterval(timer);
      open.delete(socket);
    };
    socket.on('close', gone);
    socket.on('error', gone);
  });
  server.listen(port, '127.0.0.1');
  await once(server, 'listening');
  const at = server.address();
  return {
    address: `127.0.0.1:${typeof at === 'object' && at ? at.port : port}`,
    close: async () => {
      for (const socket of open) socket.destroy();
      server.close();
      await once(server, 'close').catch(() => {});
    },
  };
}

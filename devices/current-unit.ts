/**
 * A stand-in for a microcurrent unit, for practice, demonstration and tests: it speaks the line protocol of
 * docs/formats/microcurrent-unit.md over TCP on loopback. Its level is set, its contact comes and goes by a made-up
 * plan. None of its figures is a measurement.
 */
import { currentHelloLine, currentReadingLine } from '../core/devices/index.ts';
import { serveLines, type StandIn } from './line-server.ts';
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

export async function startCurrentUnit({
  port = 0,
  plan = PLAN,
}: { port?: number; plan?: Plan } = {}): Promise<StandIn> {
  let levelUa = LEVEL_UA;
  return serveLines(port, (socket, open) => {
    // Switched off it stays, for as long as anybody listens.
    if (open.size === 0) levelUa = LEVEL_UA;
    const began = performance.now();
    const random = numbersFrom('current');
    const timer = setInterval(() => {
      const atMs = Math.round(performance.now() - began);
      const hasContact = hasContactAt(atMs, plan);
      const flowsUa = hasContact && levelUa ? Math.max(0, Math.round(levelUa + NOISE_UA * spread(random))) : 0;
      socket.write(`${currentReadingLine({ atMs, levelUa, flowsUa, hasContact })}\n`);
    }, EVERY_MS);
    return {
      hello: currentHelloLine({ mostUa: 600, isStandIn: true, name: 'stand-in unit' }),
      onLine: (line) => {
        if (line === 'OFF') levelUa = 0;
      },
      onGone: () => clearInterval(timer),
    };
  });
}

/**
 * A stand-in for a pressure gauge with a round tip of 1 cm², for practice, demonstration and tests: it speaks the line
 * protocol of docs/formats/algometer.md over TCP on loopback and presses by itself: an uneven ramp, noise, now and then
 * a slip, and a made-up client who speaks at a made-up threshold. None of its figures is a measurement.
 */
import type { GaugeSession } from '../core/devices/index.ts';
import type { Socket } from 'node:net';
import { serveLines, type StandIn } from './line-server.ts';
import { numbersFrom, spread } from './made-up.ts';

const TIP_CM2 = 1;
export const GAUGE_HELLO = `GAUGE protocol=1 tip=${TIP_CM2} name=stand-in_gauge`;
const SAMPLE_MS = 20;
/** Noise of the gauge, one SD in kPa; spread of one client's trials, as a share. Invented. */
const NOISE_KPA = 0.8;
const TRIAL_SPREAD = 0.06;

interface Invented {
  thresholdKpa: number;
  rampKpaPerSecond: number;
  slips: boolean;
}

/** What the stand-in will do for a target ("masseter-superficial.left") and a trial from 1. */
export function inventedPress(target: string, trial: number): Invented {
  const own = numbersFrom(target);
  const each = numbersFrom(`${target}#${trial}`);
  const usual = 150 + own() * 130;
  return {
    thresholdKpa: usual * (1 + (each() - 0.5) * 4 * TRIAL_SPREAD),
    rampKpaPerSecond: 34 + each() * 14,
    slips: each() < 0.15,
  };
}

/** The lines of one press at the times they are sent, from putting the tip down to letting go. */
export function* pressLines(target: string, trial: number): Generator<{ atMs: number; line: string }> {
  const { thresholdKpa, rampKpaPerSecond, slips } = inventedPress(target, trial);
  const random = numbersFrom(`noise ${target}#${trial}`);
  const noise = () => spread(random) * NOISE_KPA;
  let kpa = 0;
  let atMs = 0;
  const slipAtKpa = slips ? thresholdKpa * 0.5 : Infinity;
  let slipped = false;
  for (; kpa < thresholdKpa; atMs += SAMPLE_MS) {
    // The hand is never quite steady: the ramp swells and sinks by a sixth.
    kpa += (rampKpaPerSecond * (1 + Math.sin(atMs / 600) / 6) * SAMPLE_MS) / 1000;
    if (!slipped && kpa > slipAtKpa) {
      slipped = true;
      kpa *= 0.7;
    }
    yield { atMs, line: `P ${atMs} ${Math.max(0, kpa + noise()).toFixed(1)}` };
  }
  yield { atMs, line: `MARK ${atMs} ${kpa.toFixed(1)}` };
  for (atMs += SAMPLE_MS; kpa > 1; atMs += SAMPLE_MS) {
    kpa *= 0.7;
    yield { atMs, line: `P ${atMs} ${kpa.toFixed(1)}` };
  }
  yield { atMs, line: 'END let-go' };
}

/** A recorded session plays its presses one after the other, whatever is asked for; the last of them again and again. */
const recorded = ({ presses }: GaugeSession, nth: number) => presses[Math.min(nth, presses.length - 1)]!.lines;

/** A press under way on one connection. `speed` hurries it in tests; the times inside the lines stay those of the device. */
function play(socket: Socket, of: Iterable<{ atMs: number; line: string }>, speed: number): () => void {
  const lines = of[Symbol.iterator]();
  const startedMs = performance.now();
  let next = lines.next();
  const timer = setInterval(() => {
    while (!next.done && next.value.atMs <= (performance.now() - startedMs) * speed) {
      socket.write(`${next.value.line}\n`);
      next = lines.next();
    }
    if (next.done) clearInterval(timer);
  }, SAMPLE_MS);
  return () => clearInterval(timer);
}

export async function startAlgometer({
  port = 0,
  speed = 1,
  session,
}: { port?: number; speed?: number; session?: GaugeSession } = {}): Promise<StandIn> {
  let played = 0;
  return serveLines(port, (socket) => {
    let halt = () => {};
    return {
      hello: session?.hello ?? GAUGE_HELLO,
      onLine: (line) => {
        const press = /^PRESS target=([\w.-]{1,80}) trial=(\d{1,3})$/.exec(line);
        if (press || line === 'STOP') halt();
        if (press)
          halt = play(socket, session ? recorded(session, played++) : pressLines(press[1]!, Number(press[2])), speed);
      },
      onGone: () => halt(),
    };
  });
}

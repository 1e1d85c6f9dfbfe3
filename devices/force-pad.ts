/**
 * A stand-in for a force pad of 16 × 16 cells, for practice, demonstration and tests: it speaks the line protocol of
 * docs/formats/force-pad.md over TCP on loopback. What presses on it is a made-up hand, led by a key or by a script, with
 * the noise, drift, creep and lost readings of a made-up sensor. None of its figures is a measurement.
 */
import { padFrameLine, padHelloLine, readPadCommand, type PadCommand, type PadShape } from '../core/devices/index.ts';
import { serveLines, type StandIn } from './line-server.ts';
import { numbersFrom } from './made-up.ts';
import { cellsUnder, STAND_IN_PAD } from './pad-cells.ts';
import { LedHand, workingHand, type Patch } from './pad-hand.ts';

/** Readings that get lost on the way. */
const LOST = 0.004;
/** A weight stands on a round foot of this area. */
const FOOT_CM2 = 8;

/** @param lost share of the readings that get lost; `onHours` for how long the pad seems to be on */
export async function startForcePad({
  port = 0,
  lost = LOST,
  onHours = 0,
  shape = STAND_IN_PAD,
}: { port?: number; lost?: number; onHours?: number; shape?: PadShape } = {}): Promise<StandIn> {
  const began = performance.now();
  const random = numbersFrom('pad');
  const led = new LedHand();
  let worked: { since: number; hand: (ms: number) => Patch[] } | null = null;
  let grams = 0;
  let tries = 0;
  let heldSince: number | null = null;
  let sequence = 0;

  const obey = (command: PadCommand): void => {
    const ms = performance.now() - began;
    if (command.kind === 'down') {
      worked = null;
      led.lead(command.kpa, command.areaCm2, ms);
    } else if (command.kind === 'up') {
      worked = null;
      led.lead(0, 1, ms);
    } else if (command.kind === 'work') {
      led.lead(0, 1, ms);
      worked = { since: ms, hand: workingHand(command.script, command, `try ${tries++}`) };
    } else if (command.kind === 'weight') grams = command.grams;
    // Who stops listening leaves the hand to others.
  };
  const frame = (ms: number): string => {
    const hand = worked?.hand(ms - worked.since) ?? led.at(ms);
    const patches = grams
      ? [...hand, { xMm: 40, yMm: 40, areaCm2: FOOT_CM2, kpa: ((grams / 1000) * 9.80665 * 10) / FOOT_CM2 }]
      : hand;
    heldSince = patches.length ? (heldSince ?? ms) : null;
    const cells = cellsUnder(patches, shape, random, {
      heldSeconds: heldSince === null ? 0 : (ms - heldSince) / 1000,
      onHours,
    });
    return padFrameLine({ sequence: sequence++, atMs: Math.round(ms), cells });
  };
  const server = await serveLines(port, () => ({
    hello: padHelloLine(shape),
    onLine: (line) => {
      try {
        const command = readPadCommand(line);
        if (command) obey(command);
      } catch {
        // A command that is none is not obeyed.
      }
    },
  }));
  const everyMs = 1000 / shape.ratePerSecond;
  let sentMs = 0;
  const timer = setInterval(() => {
    const now = performance.now() - began;
    // Nobody looks: nothing is read, and nothing is made up for a time that has passed.
    if (!server.open.size) return void (sentMs = now);
    for (; sentMs + everyMs <= now; sentMs += everyMs) {
      const line = frame(sentMs + everyMs);
      if (random() >= lost) for (const socket of server.open) socket.write(`${line}\n`);
    }
  }, everyMs);
  return {
    address: server.address,
    close: () => {
      clearInterval(timer);
      return server.close();
    },
  };
}

import type { AskedOfHand, HandScript } from '../../core/devices/index.ts';
import { touchOf, type Touch, type Wanted } from '../../core/touch/index.ts';
import { numbersFrom } from '../../devices/made-up.ts';
import { cellsUnder, STAND_IN_PAD } from '../../devices/pad-cells.ts';
import { workingHand, type Patch } from '../../devices/pad-hand.ts';

/** What a pad reads of a hand, a reading each 10 ms; `lost` says which readings never came. */
export function traceOf(
  hand: (ms: number) => Patch[],
  lengthMs: number,
  { seed = 'trace', lost = () => false }: { seed?: string; lost?: (ms: number) => boolean } = {},
): Touch[] {
  const random = numbersFrom(seed);
  const trace: Touch[] = [];
  for (let ms = 0; ms <= lengthMs; ms += 10)
    if (!lost(ms))
      trace.push(
        touchOf({ sequence: ms / 10, atMs: ms, cells: cellsUnder(hand(ms), STAND_IN_PAD, random) }, STAND_IN_PAD),
      );
  return trace;
}
/** A hand that works through a try by a script. */
export const worked = (script: HandScript, asked: AskedOfHand, seed = 'one'): Touch[] =>
  traceOf(workingHand(script, asked, seed), asked.count * (asked.pressMs + asked.restMs) + 1000, { seed });

export const wantedOf = ({ pressMs, restMs, count }: AskedOfHand): Wanted[] =>
  Array.from({ length: count }, (_, i) => ({
    startMs: i * (pressMs + restMs),
    endMs: i * (pressMs + restMs) + pressMs,
  }));

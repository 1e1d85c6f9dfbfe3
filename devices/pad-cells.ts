import type { PadShape } from '../core/devices/index.ts';
import { spread } from './made-up.ts';
import type { Patch } from './pad-hand.ts';

export const STAND_IN_PAD: PadShape = {
  rows: 16,
  columns: 16,
  cellMm: 5,
  ratePerSecond: 100,
  fullKpa: 400,
  isStandIn: true,
  name: 'stand-in pad',
};

/** A cell is looked at in this many places each way. */
const LOOKS = 4;
/** What is made up of the sensor: SD of a cell's noise, what an hour adds to it, what holding adds for each tenfold second. */
const NOISE_KPA = 0.15;
const NOISE_SHARE = 0.01;
const DRIFT_PER_HOUR = 0.03;
const CREEP_PER_DECADE = 0.012;

/** Pressure of a round, soft contact as a rounded body presses (Hertz 1882): 1.5 times its mean in the middle, none at the rim. */
function pressureIn(patch: Patch, xMm: number, yMm: number): number {
  const radius2 = (patch.areaCm2 * 100) / Math.PI;
  const r2 = (xMm - patch.xMm) ** 2 + (yMm - patch.yMm) ** 2;
  return r2 < radius2 ? 1.5 * patch.kpa * Math.sqrt(1 - r2 / radius2) : 0;
}

/**
 * What the cells read of what touches the pad.
 * @param heldSeconds for how long it has been held: a loaded pad creeps
 * @param onHours for how long the pad is on: it drifts
 */
export function cellsUnder(
  patches: readonly Patch[],
  shape: PadShape,
  random: () => number,
  { heldSeconds = 0, onHours = 0 }: { heldSeconds?: number; onHours?: number } = {},
): [index: number, kpa: number][] {
  const { rows, columns, cellMm, fullKpa } = shape;
  const gain = (1 + DRIFT_PER_HOUR * onHours) * (1 + CREEP_PER_DECADE * Math.log10(1 + heldSeconds));
  const sums = new Map<number, number>();
  for (const patch of patches) {
    const radius = Math.sqrt((patch.areaCm2 * 100) / Math.PI);
    const within = (mm: number, most: number) => Math.min(most - 1, Math.max(0, Math.floor(mm / cellMm)));
    for (let row = within(patch.yMm - radius, rows); row <= within(patch.yMm + radius, rows); row++)
      for (let column = within(patch.xMm - radius, columns); column <= within(patch.xMm + radius, columns); column++) {
        let sum = 0;
        for (let i = 0; i < LOOKS; i++)
          for (let j = 0; j < LOOKS; j++)
            sum += pressureIn(patch, (column + (j + 0.5) / LOOKS) * cellMm, (row + (i + 0.5) / LOOKS) * cellMm);
        const index = row * columns + column;
        sums.set(index, (sums.get(index) ?? 0) + sum / LOOKS ** 2);
      }
  }
  const found: [number, number][] = [];
  for (const [index, exact] of sums) {
    if (exact === 0) continue;
    const kpa = Math.min(fullKpa, exact * gain + spread(random) * (NOISE_KPA + NOISE_SHARE * exact));
    if (kpa >= 0.3) found.push([index, kpa]);
  }
  return found;
}

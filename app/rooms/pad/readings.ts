import type { Touch } from '../../../core/touch';

const digits = (value: number | null, power: number): number | null =>
  value === null ? null : Math.round(value * power) / power;

/** What was read, as it is sent: six numbers a reading. */
export const sentOf = (trace: readonly Touch[]): (number | null)[][] =>
  trace.map((t) => [
    Math.round(t.atMs),
    digits(t.kpa, 10),
    digits(t.forceN, 100),
    digits(t.xMm, 10),
    digits(t.yMm, 10),
    digits(t.leftN, 100),
  ]);

const areaOf = (kpa: number, forceN: number): number => (kpa > 0 ? (10 * forceN) / kpa : 0);
/** The same again; null where the times are not in order. */
export function traceSent(readings: readonly (readonly (number | null)[])[]): Touch[] | null {
  const trace = readings.map(([atMs, kpa, forceN, xMm, yMm, leftN]): Touch => ({
    atMs: atMs ?? 0,
    kpa: kpa ?? 0,
    forceN: forceN ?? 0,
    areaCm2: areaOf(kpa ?? 0, forceN ?? 0),
    xMm: xMm ?? null,
    yMm: yMm ?? null,
    leftN: leftN ?? 0,
  }));
  return trace.some((t, i) => i > 0 && t.atMs <= trace[i - 1]!.atMs) ? null : trace;
}

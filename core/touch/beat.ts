import { averageOf } from './interval.ts';
import type { Touch } from './touch.ts';

/** A beat found in a trace. */
export interface Beat {
  perMinute: number;
  /** What of the whole up and down of the pressure it makes up, 0 to 1. */
  share: number;
}
/** Readings are set on an even clock first; faster beats than this clock tells are not looked for. */
const STEP_MS = 50;
/** Beats that are looked for, a minute. */
const SLOWEST = 3;
const QUICKEST = 240;
/** So fine, a minute. */
const FINE = 0.25;
/** Less than this of the whole is no beat. Our choice. */
const LEAST_SHARE = 0.15;

/** Pressure at even times, between readings by a straight line. */
function evenly(trace: readonly Touch[]): number[] {
  const values: number[] = [];
  let i = 0;
  for (let ms = trace[0]!.atMs; ms <= trace.at(-1)!.atMs; ms += STEP_MS) {
    while (i + 1 < trace.length - 1 && trace[i + 1]!.atMs < ms) i++;
    const [a, b] = [trace[i]!, trace[Math.min(i + 1, trace.length - 1)]!];
    const part = b.atMs > a.atMs ? (ms - a.atMs) / (b.atMs - a.atMs) : 0;
    values.push(a.kpa + (b.kpa - a.kpa) * Math.min(1, Math.max(0, part)));
  }
  return values;
}
/** Power of one frequency, with a window that begins and ends at nothing (Hann). */
function powerAt(values: readonly number[], perMinute: number): number {
  const turn = (2 * Math.PI * perMinute * STEP_MS) / 60_000;
  let re = 0;
  let im = 0;
  values.forEach((v, i) => {
    re += v * Math.cos(turn * i);
    im += v * Math.sin(turn * i);
  });
  return re ** 2 + im ** 2;
}

/**
 * The beat of a trace by its spectrum, also where presses run into each other: the strongest frequency of the pressure.
 * @returns null for a trace of less than three of its beats, or without a clear one
 */
export function beatOf(trace: readonly Touch[]): Beat | null {
  if (trace.length < 20) return null;
  const plain = evenly(trace);
  const n = plain.length;
  const mean = averageOf(plain);
  const window = plain.map((_, i) => Math.sin((Math.PI * i) / (n - 1)) ** 2);
  const values = plain.map((v, i) => (v - mean) * window[i]!);
  // A sine of amplitude a has power (a Σw / 2)² and a variance of a² / 2.
  const whole = 2 * (averageOf(window) * n * 0.5) ** 2 * averageOf(plain.map((v) => (v - mean) ** 2));
  if (whole === 0) return null;
  const slowest = Math.max(SLOWEST, (3 * 60_000) / (n * STEP_MS));
  let best = { perMinute: 0, power: 0 };
  for (let perMinute = slowest; perMinute <= QUICKEST; perMinute += FINE) {
    const power = powerAt(values, perMinute);
    if (power > best.power) best = { perMinute, power };
  }
  // At an edge nothing rises on both sides: that is no beat.
  if (best.perMinute <= slowest || best.perMinute > QUICKEST - FINE) return null;
  const [a, b, c] = [-FINE, 0, FINE].map((by) => powerAt(values, best.perMinute + by)) as [number, number, number];
  const perMinute = best.perMinute + (FINE * (a - c)) / (2 * (a - 2 * b + c));
  const share = Math.min(1, best.power / whole);
  return share < LEAST_SHARE ? null : { perMinute, share };
}

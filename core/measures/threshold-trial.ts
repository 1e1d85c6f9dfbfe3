import { RAMP_KPA_PER_SECOND, type ThresholdTrial } from './pressure-threshold.ts';

/** One press with a device, sample by sample, until the client says that pressure became pain. */
export interface PressSample {
  /** Milliseconds of the device's own clock. */
  atMs: number;
  /** Pressure, kPa. */
  kpa: number;
}

/** A press counts from this pressure on; below, the tip is only being put down. Our choice. */
const PRESS_FROM_KPA = 5;
/** The meter shows the rise over the last so many milliseconds. Our choice. */
const METER_MS = 500;
/** A fall of more than this share below the highest so far is a slip, or a lifted tip; softer presses are all noise. Our choice. */
const SLIP_SHARE = 0.15;
const SLIP_FROM_KPA = 40;

/** Rise in kPa/s by least squares over samples; null with fewer than three, or no time between them. */
export function risePerSecond(samples: readonly PressSample[]): number | null {
  if (samples.length < 3) return null;
  const n = samples.length;
  const meanT = samples.reduce((s, p) => s + p.atMs, 0) / n;
  const meanP = samples.reduce((s, p) => s + p.kpa, 0) / n;
  const over = samples.reduce((s, p) => s + (p.atMs - meanT) * (p.kpa - meanP), 0);
  const under = samples.reduce((s, p) => s + (p.atMs - meanT) ** 2, 0);
  return under === 0 ? null : (over / under) * 1000;
}

/** How the press goes right now. */
export function meterOf(samples: readonly PressSample[]): {
  kpa: number;
  rise: number | null;
  hint: 'slower' | 'steady' | 'faster' | null;
} {
  const last = samples[samples.length - 1];
  if (!last) return { kpa: 0, rise: null, hint: null };
  const rise = last.kpa < PRESS_FROM_KPA ? null : risePerSecond(samples.filter((s) => s.atMs > last.atMs - METER_MS));
  return {
    kpa: last.kpa,
    rise,
    hint:
      rise === null
        ? null
        : rise > RAMP_KPA_PER_SECOND.most
          ? 'slower'
          : rise < RAMP_KPA_PER_SECOND.least
            ? 'faster'
            : 'steady',
  };
}

/** What a press came to when the client spoke at `markMs`: the highest pressure until then; null when nothing pressed. */
export function pressUntil(samples: readonly PressSample[], markMs: number): ThresholdTrial | null {
  const first = samples.findIndex((s) => s.kpa >= PRESS_FROM_KPA);
  const pressed = first < 0 ? [] : samples.slice(first).filter((s) => s.atMs <= markMs);
  if (!pressed.length) return null;
  let highest = 0;
  let slipped = false;
  for (const { kpa } of pressed) {
    highest = Math.max(highest, kpa);
    if (highest > SLIP_FROM_KPA && kpa < highest * (1 - SLIP_SHARE)) slipped = true;
  }
  return {
    kpa: Math.round(highest * 10) / 10,
    rampKpaPerSecond: risePerSecond(pressed),
    ...(slipped ? { slipped } : {}),
  };
}

import { type Estimated, meanEstimate, middleOf, varianceOf, averageOf } from './interval.ts';

/** How steadily and how quickly somebody taps along. */
export interface TapScore {
  taps: number;
  perMinute: number;
  /** How much quicker (more than 0) or slower than asked, with its 95 % interval (Student). */
  tempoError: Estimated;
  /** SD of the time between taps, of its mean. */
  unevenness: number;
  /** Median of the taps against the beats that sounded, s; minus is early. Null where none sounded. */
  offBeatS: number | null;
}
/** From so many taps on. */
const FEWEST = 4;

/**
 * @param tapsMs when it was tapped, in order
 * @param everyMs time between beats that was asked for
 * @param beatsMs when beats sounded
 */
export function tapScore(tapsMs: readonly number[], everyMs: number, beatsMs: readonly number[]): TapScore | null {
  if (tapsMs.length < FEWEST) return null;
  const apart = tapsMs.slice(1).map((at, i) => at - tapsMs[i]!);
  const mean = averageOf(apart);
  const error = meanEstimate(
    apart.map((ms) => everyMs / ms - 1),
    FEWEST - 1,
  )!;
  const off = beatsMs.length
    ? middleOf(
        tapsMs.map((at) => {
          const near = beatsMs.reduce((best, b) => (Math.abs(at - b) < Math.abs(at - best) ? b : best));
          return at - near;
        }),
      )
    : null;
  return {
    taps: tapsMs.length,
    perMinute: 60_000 / mean,
    tempoError: error,
    unevenness: Math.sqrt(varianceOf(apart)) / mean,
    offBeatS: off === null ? null : off / 1000,
  };
}

/** How a breath was led: held while it goes in, let go while it goes out. */
export interface BreathScore {
  breaths: number;
  inSeconds: number;
  /** From one breath in to the next, s. */
  cycleSeconds: number;
  /** How much longer (more than 0) or shorter each was than asked. */
  inError: number;
  cycleError: number;
  perMinute: number;
}
/**
 * @param holds when it was held, ms, in order
 * @param asked seconds of the breath in, and of the whole breath with its pauses
 */
export function breathScore(
  holds: readonly { startMs: number; endMs: number }[],
  asked: { inSeconds: number; cycleSeconds: number },
): BreathScore | null {
  if (holds.length < 3) return null;
  const inSeconds = middleOf(holds.map((h) => h.endMs - h.startMs))! / 1000;
  const cycleSeconds = middleOf(holds.slice(1).map((h, i) => h.startMs - holds[i]!.startMs))! / 1000;
  return {
    breaths: holds.length,
    inSeconds,
    cycleSeconds,
    inError: inSeconds / asked.inSeconds - 1,
    cycleError: cycleSeconds / asked.cycleSeconds - 1,
    perMinute: 60 / cycleSeconds,
  };
}

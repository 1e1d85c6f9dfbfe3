import { breathScore, tapScore, type BreathScore, type TapScore } from './taps.ts';

/** So many beats sound, then so many are tapped on alone; so many breaths are led, then so many go on alone. Our choice. */
export const TEMPO_ROUND = { ledBeats: 8, aloneTaps: 12, ledBreaths: 2, aloneBreaths: 4 } as const;

/** Taps while the beat sounded, and after it had gone silent. */
export interface TapRound {
  led: TapScore;
  alone: TapScore;
}
/**
 * @param tapsMs from when the first beat sounded, in order
 * @returns null where fewer than four were tapped in either half
 */
export function tapRound(tapsMs: readonly number[], perMinute: number): TapRound | null {
  const everyMs = 60_000 / perMinute;
  const beats = Array.from({ length: TEMPO_ROUND.ledBeats }, (_, i) => i * everyMs);
  // The last beat that sounded is tapped along; half a beat later it is silent.
  const silentMs = beats.at(-1)! + everyMs / 2;
  const led = tapScore(
    tapsMs.filter((t) => t < silentMs),
    everyMs,
    beats,
  );
  const alone = tapScore(
    tapsMs.filter((t) => t >= silentMs),
    everyMs,
    [],
  );
  return led && alone && { led, alone };
}

/** The breaths that went on alone; null where there were too few. */
export const breathRound = (
  holds: readonly { startMs: number; endMs: number }[],
  asked: { inSeconds: number; cycleSeconds: number },
): BreathScore | null => breathScore(holds.slice(TEMPO_ROUND.ledBreaths), asked);

import type { Motion } from '../words/index.ts';
import type { Wanted } from './score.ts';

/** What is judged of a motion beside its pressure. */
export const PAD_KINDS = ['hold', 'pulse', 'circle', 'glide', 'tap', 'pump'] as const;
export type PadKind = (typeof PAD_KINDS)[number];
const KIND_OF: Readonly<Partial<Record<Motion, PadKind>>> = {
  hold: 'hold',
  'press-pulse': 'pulse',
  pinch: 'pulse',
  circle: 'circle',
  shear: 'circle',
  rub: 'circle',
  glide: 'glide',
  sweep: 'glide',
  roll: 'glide',
  tap: 'tap',
  pump: 'pump',
  contract: 'hold',
  resist: 'hold',
  stretch: 'hold',
};
/** As what a motion is rehearsed; null where nothing presses on a pad. */
export const padKindOf = (motion: Motion): PadKind | null => KIND_OF[motion] ?? null;

/** How one try goes: so many presses, so long, with so much time between them. */
export interface Pace {
  pressMs: number;
  restMs: number;
  count: number;
}
/** Of each kind: the part of a beat that is pressed, and how many make a try. Our choice. */
const OF_KIND: Readonly<Record<PadKind, { pressed: number; count: number }>> = {
  hold: { pressed: 0.75, count: 5 },
  pulse: { pressed: 2 / 3, count: 10 },
  circle: { pressed: 0.8, count: 5 },
  glide: { pressed: 2 / 3, count: 10 },
  tap: { pressed: 0.4, count: 20 },
  pump: { pressed: 0.5, count: 15 },
};
/** Presses a minute that a pad is worked with. */
export const PAD_TEMPO = { least: 4, most: 90 } as const;
/** Seconds of one press that is held, at most: longer says nothing more about the hand. */
const HELD_MOST_S = 8;

/**
 * The pace of a technique on the pad.
 * @param perMinute how often it is counted; null where it is held
 * @param holdSeconds how long it is held; null where it is counted
 */
export function paceOf(
  kind: PadKind,
  perMinute: number | null,
  holdSeconds: number | null,
): Pace & { perMinute: number } {
  const { pressed, count } = OF_KIND[kind];
  // A circle is pressed all the way round: one press holds several of its counts.
  const counted = kind === 'circle' ? null : perMinute;
  const usual = counted ?? 60 / (Math.min(HELD_MOST_S, holdSeconds ?? 6) / pressed);
  const tempo = Math.round(Math.min(PAD_TEMPO.most, Math.max(PAD_TEMPO.least, usual)));
  const everyMs = 60_000 / tempo;
  const pressMs = Math.round(everyMs * pressed);
  return { pressMs, restMs: Math.round(everyMs) - pressMs, count, perMinute: tempo };
}
/** The same presses at another tempo. */
export const atTempo = (pace: Pace, perMinute: number): Pace => {
  const factor = 60_000 / perMinute / (pace.pressMs + pace.restMs);
  return { ...pace, pressMs: Math.round(pace.pressMs * factor), restMs: Math.round(pace.restMs * factor) };
};
/** When it is to be pressed, ms from the beginning of a try. */
export const wantedAt = ({ pressMs, restMs, count }: Pace): Wanted[] =>
  Array.from({ length: count }, (_, i) => ({
    startMs: i * (pressMs + restMs),
    endMs: i * (pressMs + restMs) + pressMs,
  }));
export const tryMs = (pace: Pace): number => pace.count * (pace.pressMs + pace.restMs);

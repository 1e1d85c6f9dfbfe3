import type { GuideEvent, PlainKind } from '../../core/guide/index.ts';
import { expandRoutine } from '../../core/routine/index.ts';
import { bareStep, beats, hold, routineOf } from './routines.ts';

/** A run of three steps: a hold on each side after finding the place, ten counts in 20 s, a hold on the midline. */
const routine = routineOf([
  bareStep('a', [hold(30)], {
    mode: 'each',
    pauses: { findPlaceSeconds: 4, sideChangeSeconds: 3 },
    pressure: 'medium',
  }),
  bareStep('b', [beats(10, 30)], { pressure: 'firm' }),
  bareStep('c', [hold(20)], { mode: 'midline', pressure: null }),
]);
export const cues = expandRoutine(routine);
export const WHOLE_MS = 4000 + 30_000 + 3000 + 30_000 + 20_000 + 20_000;

export type Pressed = [PlainKind, number] | ['stop' | 'note', number, string];
/** What was pressed, as a log. */
export const log = (...events: Pressed[]): GuideEvent[] =>
  events.map(([kind, atMs, text], i): GuideEvent => {
    const at = { id: `event-${i}`, atMs };
    return kind === 'stop'
      ? { ...at, kind, reason: text }
      : kind === 'note'
        ? { ...at, kind, words: text }
        : { ...at, kind };
  });

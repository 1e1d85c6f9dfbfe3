import type { Touch } from '../../../core/touch';
import type { Pressure } from '../../../core/words';
import { useCallback, useRef, useState } from 'react';

/** Under this nothing presses, kPa; a press is over when nothing has for so long. */
const SILENT_KPA = 0.25;
const OVER_MS = 500;
/** Shorter is a slip of the hand, no press. */
const LEAST_MS = 500;

export interface PressedWord {
  word: Pressure;
  trace: Touch[];
}
interface Round {
  words: readonly Pressure[];
  pressed: PressedWord[];
  trace: Touch[];
  startMs: number | null;
  lastMs: number;
}

/** One round of words: each is pressed and let go, one after the other, and nothing is shown in between. */
export function useWordRound(onOver: (pressed: PressedWord[]) => void) {
  const round = useRef<Round | null>(null);
  /** Which word is asked for; null between rounds. */
  const [at, setAt] = useState<number | null>(null);
  const begin = useCallback((words: readonly Pressure[]) => {
    round.current = { words, pressed: [], trace: [], startMs: null, lastMs: 0 };
    setAt(0);
  }, []);
  const stop = useCallback(() => {
    round.current = null;
    setAt(null);
  }, []);
  const hear = (touch: Touch) => {
    const now = round.current;
    if (!now) return;
    now.trace.push(touch);
    if (touch.kpa >= SILENT_KPA) {
      now.startMs ??= touch.atMs;
      now.lastMs = touch.atMs;
      return;
    }
    if (now.startMs === null || touch.atMs - now.lastMs < OVER_MS) return;
    if (now.lastMs - now.startMs < LEAST_MS) {
      now.startMs = null;
      now.trace = [];
      return;
    }
    now.pressed.push({ word: now.words[now.pressed.length]!, trace: now.trace });
    now.trace = [];
    now.startMs = null;
    if (now.pressed.length < now.words.length) return setAt(now.pressed.length);
    const { pressed } = now;
    stop();
    onOver(pressed);
  };
  return { at, begin, stop, hear };
}

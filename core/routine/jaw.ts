import type { Body } from './model.ts';

/** How far a jaw opens in each way of holding it, mm between the incisors: our choice, within what jaws do easily. */
const USUAL_MM = { 'slightly-open': 10, 'opens-and-closes': 25, wide: 40, 'o-shape': 22 } as const;
/** An opening stops so far before the click that was measured, mm. Our choice. */
const BEFORE_CLICK_MM = 2;

/** What was measured of a client's opening, mm; nothing where nobody measured. */
export interface JawLimits {
  /** Comfortable opening. */
  comfortableMm?: number | undefined;
  /** Where it clicks while opening, the earlier of both sides. */
  clickMm?: number | undefined;
}

export interface StepOpening {
  /** To which the client opens, or which is held, mm. */
  openingMm: number;
  /** Lips drawn into an O. */
  isRound: boolean;
  /** Opens and closes again and again. */
  moves: boolean;
  /** What it stops at: the usual opening of such a step, what is comfortable, or the click. */
  stopsAt: 'usual' | 'comfortable' | 'click';
}

/** How far the mouth opens in a step; null where it stays shut. Never beyond what is comfortable, nor into a click. */
export function stepOpening(
  { jaw }: Pick<Body, 'jaw'>,
  { comfortableMm, clickMm }: JawLimits = {},
): StepOpening | null {
  if (!(jaw in USUAL_MM)) return null;
  const usual = USUAL_MM[jaw as keyof typeof USUAL_MM];
  const beforeClick = clickMm === undefined ? Infinity : Math.max(0, clickMm - BEFORE_CLICK_MM);
  const openingMm = Math.min(usual, comfortableMm ?? Infinity, beforeClick);
  return {
    openingMm,
    isRound: jaw === 'o-shape',
    moves: jaw === 'opens-and-closes',
    stopsAt: openingMm === usual ? 'usual' : openingMm === beforeClick ? 'click' : 'comfortable',
  };
}

import type { AskedOfHand, HandScript } from '../core/devices/index.ts';
import { numbersFrom, spread } from './made-up.ts';

/** Where a hand touches at a moment: a round contact with its middle, in mm from the upper left corner of the pad. */
export interface Patch {
  xMm: number;
  yMm: number;
  areaCm2: number;
  /** Mean over the contact. */
  kpa: number;
}

/** What is made up of each hand: how much harder its left is, how hard it presses of what is asked, how quickly it goes down, how late and how long. */
const HANDS: Record<
  HandScript,
  { hardness: number; riseMs: number; lateMs: number; pace: number; leftHarder: number }
> = {
  steady: { hardness: 1, riseMs: 250, lateMs: 0, pace: 1, leftHarder: 0 },
  hard: { hardness: 1.2, riseMs: 250, lateMs: 0, pace: 1, leftHarder: 0 },
  slow: { hardness: 0.97, riseMs: 700, lateMs: 180, pace: 1.15, leftHarder: 0 },
  fast: { hardness: 1.03, riseMs: 90, lateMs: -150, pace: 0.85, leftHarder: 0 },
  uneven: { hardness: 1, riseMs: 250, lateMs: 0, pace: 1, leftHarder: 0.3 },
};
const MIDDLE_MM = 40;
/** Between two hands. */
const APART_MM = 40;

/** How steadily a made-up hand holds: it trembles a little and swells and sinks slowly. Shares of the pressure. */
const TREMBLE = 0.03;
const SWELL = 0.05;

/** A hand that works through a try by itself. `seed` makes one try differ from the next. */
export function workingHand(script: HandScript, asked: AskedOfHand, seed: string): (ms: number) => Patch[] {
  const { hardness, riseMs, lateMs, pace, leftHarder } = HANDS[script];
  const random = numbersFrom(`${script} ${seed}`);
  const each = Array.from({ length: asked.count }, () => ({
    hardness: hardness * (1 + spread(random) * 0.05),
    lateMs: lateMs + spread(random) * 60,
    phase: random() * 6,
  }));
  const pressMs = asked.pressMs * pace;
  const everyMs = (asked.pressMs + asked.restMs) * (script === 'slow' || script === 'fast' ? pace : 1);
  return (ms) => {
    const n = Math.floor((ms - lateMs) / everyMs);
    const one = each[n];
    if (ms < 0 || !one) return [];
    const into = ms - n * everyMs - one.lateMs;
    if (into < 0 || into > pressMs) return [];
    // A short press leaves no time for a slow rise.
    const up = Math.min(1, into / Math.min(riseMs, pressMs / 5));
    const down = Math.min(1, (pressMs - into) / Math.min(120, pressMs / 5));
    const kpa =
      asked.kpa *
      one.hardness *
      Math.min(up, down) *
      (1 + SWELL * Math.sin(into / 500 + one.phase) + TREMBLE * spread(random));
    const { areaCm2, hands = 1 } = asked;
    const at = placeAt(asked.motion, into, pressMs, hands);
    if (hands === 1) return [{ ...at, areaCm2, kpa }];
    const left = 1 + leftHarder / 2;
    return [
      { ...at, xMm: at.xMm - APART_MM / 2, areaCm2, kpa: kpa * left },
      { ...at, xMm: at.xMm + APART_MM / 2, areaCm2, kpa: kpa * (2 - left) },
    ];
  };
}

/** Where it is: on its place, round it, or on its way over the pad. */
function placeAt(motion: string, intoMs: number, pressMs: number, hands: 1 | 2): Pick<Patch, 'xMm' | 'yMm'> {
  const part = intoMs / pressMs;
  if (motion === 'circle') {
    const angle = 2 * Math.PI * (intoMs / 1500);
    return { xMm: MIDDLE_MM + 8 * Math.cos(angle), yMm: MIDDLE_MM + 8 * Math.sin(angle) };
  }
  if (motion === 'glide' || motion === 'sweep')
    // Two hands side by side go away from oneself, one goes across.
    return hands === 2
      ? { xMm: MIDDLE_MM, yMm: 60 - 40 * part }
      : { xMm: 20 + 40 * part, yMm: MIDDLE_MM + 1.5 * Math.sin(part * 7) };
  return { xMm: MIDDLE_MM, yMm: MIDDLE_MM };
}

/** A hand that somebody leads by a key: it goes down when told, towards the pressure that was said, and up again. */
export class LedHand {
  private from = 0;
  private atMs = -Infinity;
  private goal = { kpa: 0, areaCm2: 2 };
  private readonly random = numbersFrom('led');

  /** As hard as it is at a moment: nine tenths of the way in a quarter of a second. */
  private kpaAt(ms: number): number {
    return this.goal.kpa + (this.from - this.goal.kpa) * Math.exp(-Math.max(0, ms - this.atMs) / 110);
  }
  lead(kpa: number, areaCm2: number, ms: number): void {
    this.from = this.kpaAt(ms);
    this.atMs = ms;
    this.goal = { kpa, areaCm2: kpa > 0 ? areaCm2 : this.goal.areaCm2 };
  }
  at(ms: number): Patch[] {
    const kpa =
      this.kpaAt(ms) * (1 + (this.goal.kpa > 0 ? SWELL : 0) * Math.sin(ms / 480) + TREMBLE * spread(this.random));
    return kpa < 0.3 ? [] : [{ xMm: MIDDLE_MM, yMm: MIDDLE_MM, areaCm2: this.goal.areaCm2, kpa }];
  }
}

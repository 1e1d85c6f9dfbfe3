import { type Estimated, meanEstimate } from './interval.ts';
import { pressesOf } from './presses.ts';
import type { Touch } from './touch.ts';

/** A hand that bears less than this of a press is not on the pad. */
const LEAST_SHARE = 0.05;
/** From so many presses with both hands on something is said of them. */
const FEWEST = 3;

/**
 * How the force of both hands is shared: of each press, what the left hand of the one who presses bore, 0 to 1. Everything
 * left of the middle of the pad is the left hand's.
 * @param aimKpa the least of the aim
 */
export function evennessOf(trace: readonly Touch[], aimKpa: number): Estimated | null {
  const shares = pressesOf(trace, aimKpa).flatMap(({ startMs, endMs }) => {
    let left = 0;
    let all = 0;
    for (const { atMs, forceN, leftN } of trace)
      if (atMs >= startMs && atMs <= endMs) {
        left += leftN;
        all += forceN;
      }
    const share = left / all;
    return share > LEAST_SHARE && share < 1 - LEAST_SHARE ? [share] : [];
  });
  return meanEstimate(shares, FEWEST);
}

/** Hands that differ by less than this are called even: a hand tells forces apart from about a tenth on (Jones 1989, from memory). */
const EVEN_WITHIN = 0.1;
/** How much harder one hand presses than the other: 0.2 is a fifth. */
export const harderBy = (leftShare: number): number => {
  const less = Math.min(leftShare, 1 - leftShare);
  return (1 - less) / less - 1;
};
export type HandsVerdict = 'left' | 'right' | 'even' | 'not-known';
/** Which hand presses harder; nothing that its interval does not hold. */
export function handsVerdict(share: Estimated | null): HandsVerdict {
  if (!share) return 'not-known';
  if (harderBy(share.value) > EVEN_WITHIN && (share.least > 0.5 || share.most < 0.5))
    return share.value > 0.5 ? 'left' : 'right';
  const widest = Math.max(harderBy(share.least), harderBy(share.most));
  return widest < 2 * EVEN_WITHIN ? 'even' : 'not-known';
}

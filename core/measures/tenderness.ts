import { InputError, type OneSide, otherSide, type Side } from '../words/index.ts';

/**
 * Tenderness on pressing: 0 none or pressure only, 1 mild (says so, no sign), 2 moderate (says so, winces), 3 severe
 * (strong grimace or draws away). Langemark and Olesen, Cephalalgia 1987;7:249–255; sure.
 */
export const TENDERNESS_WORDS = ['nothing', 'mild', 'moderate', 'severe'] as const;
export type Tenderness = 0 | 1 | 2 | 3;

/** @throws InputError unless the value is 0, 1, 2 or 3. */
export function tenderness(value: unknown, field = 'tenderness'): Tenderness {
  if (value !== 0 && value !== 1 && value !== 2 && value !== 3) throw new InputError(field, '0, 1, 2 or 3 is accepted');
  return value;
}

/** Muscles of the published total: eight pairs. */
export const TOTAL_SITES = 16;

/**
 * Total over tested sites; a site that was not tested makes it a mean of those that were. Over eight muscle pairs it is
 * the total tenderness score, 0–48 (Langemark and Olesen, as above; sure).
 */
export function tendernessTotal(sites: readonly (number | null)[]): {
  total: number | null;
  mean: number | null;
  tested: number;
} {
  const tested = sites.filter((s): s is number => s !== null).map((s) => tenderness(s));
  const sum = tested.reduce<number>((a, b) => a + b, 0);
  return {
    total: tested.length === sites.length && sites.length ? sum : null,
    mean: tested.length ? sum / tested.length : null,
    tested: tested.length,
  };
}

/** One muscle pressed on both of the client’s sides, 0 to 3. */
export interface SideGap {
  /** Id of the muscle. */
  place: string;
  left: number;
  right: number;
}

/** Muscles that were pressed on both sides, in the order in which they were first pressed. */
export function pressedOnBoth(pressed: readonly { place: string; side: Side; value: number }[]): SideGap[] {
  const muscles = new Map<string, Partial<Record<Side, number>>>();
  for (const { place, side, value } of pressed) muscles.set(place, { ...muscles.get(place), [side]: value });
  return [...muscles].flatMap(([place, { left, right }]) =>
    left === undefined || right === undefined ? [] : [{ place, left, right }],
  );
}

/** "Left more tender: masseter by 2. The same: temporalis." What differs most comes first. */
export function sideGapWords(gaps: readonly SideGap[], nameOf: (place: string) => string): string {
  const sorer = (side: OneSide) =>
    gaps
      .filter((g) => g[side] > g[otherSide(side)])
      .sort((a, b) => b[side] - b[otherSide(side)] - (a[side] - a[otherSide(side)]))
      .map((g) => `${nameOf(g.place)} by ${g[side] - g[otherSide(side)]}`);
  const same = gaps.filter((g) => g.left === g.right).map((g) => nameOf(g.place));
  return [
    ...(['left', 'right'] as const).map((side) =>
      sorer(side).length ? `${side === 'left' ? 'Left' : 'Right'} more tender: ${sorer(side).join(', ')}.` : '',
    ),
    same.length ? `The same: ${same.join(', ')}.` : '',
  ]
    .filter(Boolean)
    .join(' ');
}

import { InputError } from '../words/index.ts';

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

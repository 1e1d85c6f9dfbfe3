/** The five pressure words, lightest first. */
export const PRESSURES = ['feather', 'light', 'medium', 'firm', 'deep'] as const;
export type Pressure = (typeof PRESSURES)[number];

/** 1 feather … 5 deep. */
export const pressureRank = (pressure: Pressure): number => PRESSURES.indexOf(pressure) + 1;
export const lighterOf = (a: Pressure, b: Pressure): Pressure => (pressureRank(a) <= pressureRank(b) ? a : b);

/**
 * Contact pressure in kPa for each word: nominal value and range. `light` is the taught pressure of manual lymph
 * drainage, 30–45 mmHg = 4.0–6.0 kPa; `medium` and `firm` lie near the published palpation forces of 0.5 and 1.0 kgf
 * on 1 cm² (DC/TMD, Schiffman et al. 2014); `feather` and `deep` are our choice.
 */
export const PRESSURE_KPA: Record<Pressure, { nominal: number; least: number; most: number }> = {
  feather: { nominal: 1, least: 0.5, most: 3 },
  light: { nominal: 5, least: 4, most: 15 },
  medium: { nominal: 50, least: 15, most: 70 },
  firm: { nominal: 100, least: 70, most: 120 },
  deep: { nominal: 150, least: 120, most: 200 },
};

/** Round half away from zero to `digits` decimals: 1.005 → 1.01, −2.5 → −3. */
export function roundHalfAway(value: number, digits = 0): number {
  const scaled = Number(`${Math.abs(value)}e${digits}`);
  const rounded = Number(`${Math.round(scaled)}e-${digits}`);
  return value < 0 ? -rounded : rounded;
}

/** m:ss from seconds, rounded half up to the second: 1118 → "18:38". */
export function clock(seconds: number): string {
  const whole = Math.round(seconds);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

/** "1 step", "3 steps", "2 entries": a number with its noun, in one of the two forms English has. */
export const counted = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;

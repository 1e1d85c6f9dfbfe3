/** Interval of a share by Wilson 1927, without continuity correction; 0 to 1. Null without trials. */
export function wilson(times: number, of: number, z = 1.959963984540054): { low: number; high: number } | null {
  if (of <= 0) return null;
  const share = times / of;
  const middle = share + (z * z) / (2 * of);
  const half = z * Math.sqrt((share * (1 - share)) / of + (z * z) / (4 * of * of));
  const scale = 1 + (z * z) / of;
  return { low: Math.max(0, (middle - half) / scale), high: Math.min(1, (middle + half) / scale) };
}

/** All ribbons at one scale: the longest, rounded up to 5 minutes. */
export const scaleOf = (lines: readonly { seconds: number }[]): number =>
  Math.max(5, Math.ceil(Math.max(0, ...lines.map((l) => l.seconds)) / 300) * 5);

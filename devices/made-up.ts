/** Deterministic numbers from a text, 0 to 1, so that the same run is the same every time. */
export function numbersFrom(text: string): () => number {
  let state = 2166136261;
  for (const letter of text) state = Math.imul(state ^ letter.charCodeAt(0), 16777619);
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
/** About normal with mean 0 and SD 1: the sum of three even ones. */
export const spread = (random: () => number): number => (random() + random() + random() - 1.5) * 2;

import type { Catalogue } from '../../../core/routine';

/** A breath that can be led: how long it goes in, and how long the whole of it takes. */
export interface BreathAsked {
  technique: string;
  /** "4 s in, 6 s out". */
  words: string;
  inSeconds: number;
  cycleSeconds: number;
}

/** The breaths of the library and of the practice, each pattern once. */
export function breathsOf({ techniques }: Pick<Catalogue, 'techniques'>): BreathAsked[] {
  const found = new Map<string, BreathAsked>();
  for (const { id, defaults, retired } of techniques.values()) {
    const part = defaults.dose.parts.find((p) => p.kind === 'breath');
    if (retired || part?.kind !== 'breath') continue;
    const words = part.phases.map((p) => `${p.seconds} s ${p.what.replace('-', ' ')}`).join(', ');
    const sum = (of: typeof part.phases) => of.reduce((all, p) => all + p.seconds, 0);
    const inSeconds = sum(part.phases.filter((p) => p.what === 'in' || p.what === 'in-again'));
    if (inSeconds > 0 && !found.has(words))
      found.set(words, { technique: id, words, inSeconds, cycleSeconds: sum(part.phases) });
  }
  return [...found.values()];
}

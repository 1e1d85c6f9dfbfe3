import type { Routine } from '../routine/index.ts';
import { readingKey } from '../measures/index.ts';
import type { VisitPatch } from './patch.ts';
import type { Working } from './working.ts';

/**
 * The change that takes another one back: applied after it, it gives the state from before. Null for what is not taken
 * back: a step onward is no entry.
 * @param nothing The routine that stands for "none composed yet".
 */
export function inverseOf(patch: VisitPatch, before: Working, nothing: Routine): VisitPatch | null {
  switch (patch.kind) {
    case 'screen':
      return { kind: 'screen', screen: before.screen };
    case 'routine':
      return { kind: 'routine', routine: before.routine ?? nothing, origin: before.origin };
    case 'record':
      return { kind: 'record', record: before.record };
    case 'findings':
      return { kind: 'findings', findings: before.findings };
    case 'answers':
      return {
        kind: 'answers',
        measure: patch.measure,
        answers: before.scores.find((s) => s.measure === patch.measure)?.answers ?? null,
      };
    case 'readings':
      return {
        kind: 'readings',
        entries: patch.entries.map((e) => ({
          ...e,
          value: before.readings.find((r) => r.phase === e.phase && readingKey(r) === readingKey(e))?.value ?? null,
        })),
      };
    case 'stage':
      return null;
  }
}

import { differences, stepsOf, type Routine } from '../../../core/routine';

/** What a proposal does differently from the routine there is. */
export interface Against {
  /** By step of the proposal: "as now", "new", or what changed. */
  words: ReadonlyMap<string, string>;
  added: number;
  gone: number;
  changed: number;
}

export function against(now: Routine, proposed: Routine): Against {
  const found = differences(now, proposed);
  const words = new Map(stepsOf(proposed).map((s) => [s.id, 'as now']));
  for (const d of found) if (d.now) words.set(d.now.id, d.before ? d.words.join(', ') : 'new');
  return {
    words,
    added: found.filter((d) => !d.before).length,
    gone: found.filter((d) => !d.now).length,
    changed: found.filter((d) => d.before && d.now).length,
  };
}

/** "1 new, 1 gone, 5 changed." */
export function againstWords({ added, gone, changed }: Against): string {
  const said = [added && `${added} new`, gone && `${gone} gone`, changed && `${changed} changed`].filter(Boolean);
  return said.length ? said.join(', ') : 'nothing changes';
}

import type { Pressure, Region, WorkWord } from '../words/index.ts';
import type { Caution } from './screen.ts';

/** A caution that a practice adds for itself. It can only take away. */
export interface LocalRule {
  title: string;
  /** Asked aloud; empty when it concerns everyone. */
  question: string;
  group: 'today' | 'standing';
  severity: 'avoid' | 'adapt' | 'note';
  /** Empty lists mean "anywhere", "any pressure", "any kind of work". */
  regions: Region[];
  pressures: Pressure[];
  works: WorkWord[];
  advice: string;
  seeWho: string;
}

/** Cautions of a practice carry this before their id, so that they can never be taken for one of ours. */
const LOCAL = 'local-';
export const isLocalKey = (key: string): boolean => key.startsWith(LOCAL);

/** What the rule closes, in the grammar of cautions; with nothing chosen it is the whole visit. */
export function appliesTo({
  regions,
  pressures,
  works,
}: {
  regions: readonly string[];
  pressures: readonly string[];
  works: readonly string[];
}): string {
  const terms = [
    regions.length ? `region:${regions.join('|')}` : '',
    works.length ? `technique:${works.join('|')}` : '',
    pressures.length ? `pressure:${pressures.join('|')}` : '',
  ].filter(Boolean);
  return terms.length ? terms.join('+') : 'technique:any';
}

export function cautionOf(id: string, rule: LocalRule): Caution {
  return {
    key: `${LOCAL}${id}`,
    title: rule.title,
    group: rule.question ? rule.group : 'everyone',
    who: 'As this practice decided.',
    question: rule.question || null,
    severity: rule.severity,
    appliesTo: appliesTo(rule),
    advice: rule.advice,
    seeWho: rule.seeWho,
    source: 'rule of this practice',
  };
}

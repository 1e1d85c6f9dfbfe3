import type { Pressure, Region, WorkWord } from '../words/index.ts';
import type { Clause } from './clause.ts';
import type { Caution } from './screen.ts';

/** A caution that a practice adds for itself. It can only take away. */
export interface LocalRule {
  /** Short name. */
  title: string;
  /** Asked aloud; empty when it concerns everyone. */
  question: string;
  /** With which questions it is asked. */
  group: 'today' | 'standing';
  /** How far it goes. */
  severity: 'avoid' | 'adapt' | 'note';
  /** Empty lists mean "anywhere", "any pressure", "any kind of work". */
  regions: Region[];
  /** Closed pressures. */
  pressures: Pressure[];
  /** Closed kinds of work. */
  works: WorkWord[];
  /** What to do instead. */
  advice: string;
  /** Who to see; empty when nobody. */
  seeWho: string;
}

/** Cautions of a practice carry this before their id, so that they can never be taken for one of ours. */
const LOCAL = 'local-';
export const isLocalKey = (key: string): boolean => key.startsWith(LOCAL);

/** What the rule closes; with nothing chosen it is the whole visit. */
export function clauseOf({
  regions,
  pressures,
  works,
}: {
  regions: readonly Region[];
  pressures: readonly Pressure[];
  works: readonly WorkWord[];
}): Clause {
  if (!regions.length && !pressures.length && !works.length) return { work: ['any'] };
  return {
    ...(regions.length ? { region: regions } : {}),
    ...(works.length ? { work: works } : {}),
    ...(pressures.length ? { pressure: pressures } : {}),
  };
}

export function cautionOf(id: string, rule: LocalRule): Caution {
  return {
    key: `${LOCAL}${id}`,
    title: rule.title,
    group: rule.question ? rule.group : 'everyone',
    who: 'As this practice decided.',
    question: rule.question || null,
    severity: rule.severity,
    appliesTo: [clauseOf(rule)],
    advice: rule.advice,
    seeWho: rule.seeWho,
    source: 'rule of this practice',
  };
}

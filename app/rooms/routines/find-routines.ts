import { COMPLAINT_NAMES, type ComplaintKind } from '../../../core/words';
import MiniSearch from 'minisearch';

/** What the list is searched and filtered by. */
export interface RoutineLine {
  id: string;
  name: string;
  serves: readonly ComplaintKind[];
  school: string;
  seconds: number;
  updatedAt: string;
  usedAt: string | null;
  /** Names of its steps. */
  steps: readonly string[];
}
export interface RoutineAsk {
  text: string;
  serves: string;
  school: string;
  upTo: number | null;
  sort: 'name' | 'length' | 'changed' | 'used';
}

/** Slips of the hand are forgiven, beginnings are enough, the name counts most. */
export function searchOf(lines: readonly RoutineLine[]): (text: string) => Map<string, number> {
  const index = new MiniSearch<{ id: string; name: string; serves: string; school: string; steps: string }>({
    fields: ['name', 'serves', 'school', 'steps'],
    searchOptions: { boost: { name: 4, serves: 2 }, fuzzy: 0.25, prefix: true, combineWith: 'AND' },
  });
  index.addAll(
    lines.map(({ id, name, serves, school, steps }) => ({
      id,
      name,
      school,
      serves: serves.map((s) => COMPLAINT_NAMES[s]).join(' '),
      steps: steps.join(' '),
    })),
  );
  return (text) => new Map(index.search(text).map((hit) => [String(hit.id), hit.score]));
}

const SORTS: Record<RoutineAsk['sort'], (a: RoutineLine, b: RoutineLine) => number> = {
  name: (a, b) => a.name.localeCompare(b.name),
  length: (a, b) => a.seconds - b.seconds,
  used: (a, b) => (b.usedAt ?? '').localeCompare(a.usedAt ?? ''),
  changed: (a, b) => b.updatedAt.localeCompare(a.updatedAt),
};

/** The lines that answer, best first while something is typed, else as sorted. */
export function found<T extends RoutineLine>(
  lines: readonly T[],
  ask: RoutineAsk,
  search: (text: string) => Map<string, number>,
): T[] {
  const hits = ask.text.trim() ? search(ask.text) : null;
  return lines
    .filter(
      (l) =>
        (!hits || hits.has(l.id)) &&
        (!ask.serves || l.serves.includes(ask.serves as ComplaintKind)) &&
        (!ask.school || l.school === ask.school) &&
        (ask.upTo === null || l.seconds <= ask.upTo * 60),
    )
    .sort((a, b) => (hits ? hits.get(b.id)! - hits.get(a.id)! : 0) || SORTS[ask.sort](a, b));
}

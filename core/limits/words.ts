import {
  FACE_REGIONS,
  POSITION_NAMES,
  type Region,
  TOOL_NAMES,
  WORK_NAMES,
  type WorkWord,
  counted,
} from '../words/index.ts';
import { closes, type Clause } from './clause.ts';
import { effectOf } from './effect.ts';
import type { Caution } from './screen.ts';

const FACE = FACE_REGIONS.filter((r) => r !== 'whole-face');
type Names = { region: (id: string) => string };
const some = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} or ${words.at(-1)!}`;

function where({ region, point, muscle }: Clause, names: Names): string {
  const regions = region ?? [];
  const wholeFace = FACE.every((r) => regions.includes(r));
  const rest = wholeFace ? regions.filter((r) => !FACE_REGIONS.includes(r)) : regions;
  return [
    ...(wholeFace ? ['the face'] : []),
    ...rest.map((r: Region) => names.region(r)),
    ...(point ? [point.length > 4 ? `${point.length} points` : point.join(', ')] : []),
    ...(muscle ? [counted(muscle.length, 'muscle')] : []),
  ].join(', ');
}

/** The kinds of work a clause speaks of: "scraping or vibration", "more than light pressure". */
export function workWords(clause: Clause): string {
  const { work, tool, position, pressure, cap } = clause;
  const kinds = [
    ...(work ?? []).map((w) => WORK_NAMES[w as WorkWord]),
    ...(tool ?? []).map((t) => TOOL_NAMES[t]),
    ...(position ?? []).map((p) => POSITION_NAMES[p]),
  ];
  const hard = cap ? `more than ${cap} pressure` : pressure ? `${pressure.join(' and ')} pressure` : '';
  return [some([...new Set(kinds)]), hard].filter(Boolean).join(' with ');
}

/** In short words what a caution takes away, for the list beside each answer. Few points are named, many are counted. */
export function takesAway(caution: Caution, names: Names): string {
  if (caution.severity === 'refer-out') return 'the whole visit';
  const bans = caution.appliesTo.filter((clause) => effectOf(caution.severity, clause) === 'ban');
  if (bans.some((clause) => closes(clause).wholeVisit)) return 'the whole visit';
  if (!bans.length) return 'nothing; work with care';
  const parts = bans.map((clause) => [where(clause, names), workWords(clause)].filter(Boolean).join(': '));
  return [...new Set(parts)].join('; ');
}

import { CONTACT_NAMES } from '../words/index.ts';
import isEqual from 'fast-deep-equal';
import { type Routine, type Step, stepsOf } from './model.ts';
import { doseWords, pressureWords } from './words.ts';

/** What one step is in two routines. */
export interface StepDifference {
  /** Of the step before and now; null where it is only in one. */
  before: Step | null;
  now: Step | null;
  /** What differs of a step that is in both, in words: "medium → light". */
  words: string[];
}

/** Pairs of equal technique, in order: the longest row of steps that both routines have (by technique). */
function pairs(before: readonly Step[], now: readonly Step[]): [Step | null, Step | null][] {
  const same = (i: number, j: number) => before[i]!.technique === now[j]!.technique;
  const longest = Array.from({ length: before.length + 1 }, () => new Array<number>(now.length + 1).fill(0));
  for (let i = before.length - 1; i >= 0; i--)
    for (let j = now.length - 1; j >= 0; j--)
      longest[i]![j] = same(i, j) ? longest[i + 1]![j + 1]! + 1 : Math.max(longest[i + 1]![j]!, longest[i]![j + 1]!);
  const out: [Step | null, Step | null][] = [];
  let [i, j] = [0, 0];
  while (i < before.length || j < now.length) {
    if (i < before.length && j < now.length && same(i, j)) out.push([before[i++]!, now[j++]!]);
    else if (j >= now.length || (i < before.length && longest[i + 1]![j]! > longest[i]![j + 1]!))
      out.push([before[i++]!, null]);
    else out.push([null, now[j++]!]);
  }
  return out;
}

const SIDE_WORDS: Record<Step['sides']['mode'], string> = {
  together: 'both',
  midline: 'midline',
  each: 'each side',
  left: 'left',
  right: 'right',
};

function changesOf(a: Step, b: Step): string[] {
  const told = (was: string, is: string) => (was === is ? [] : [`${was} → ${is}`]);
  const words = [
    ...told(pressureWords(a), pressureWords(b)),
    ...told(doseWords(a), doseWords(b)),
    ...told(SIDE_WORDS[a.sides.mode], SIDE_WORDS[b.sides.mode]),
    ...told(CONTACT_NAMES[a.contact], CONTACT_NAMES[b.contact]),
  ];
  const { id: _a, ...restA } = a;
  const { id: _b, ...restB } = b;
  return words.length || isEqual(restA, restB) ? words : ['details'];
}

/** What differs between two routines, in the order of the later one; equal steps are left out. */
export function differences(before: Pick<Routine, 'items'>, now: Pick<Routine, 'items'>): StepDifference[] {
  return pairs(stepsOf(before), stepsOf(now)).flatMap(([a, b]): StepDifference[] => {
    if (a && b) {
      const words = changesOf(a, b);
      return words.length ? [{ before: a, now: b, words }] : [];
    }
    return [{ before: a, now: b, words: [] }];
  });
}

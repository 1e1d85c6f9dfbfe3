import { describe, expect, test } from 'vitest';
import { CATALOGUE } from '../../../reference/catalogue';
import { STARTING_ROUTINES } from '../../../reference/routines';
import { readRoutine, routineSeconds, servesOf, stepNames } from '../../../core/routine';
import { scaleOf } from '../../parts/ribbon/scale';
import { found, searchOf, type RoutineAsk, type RoutineLine } from './find-routines';

const lines: RoutineLine[] = STARTING_ROUTINES.map((s, i) => {
  const routine = readRoutine(s.routine);
  return {
    id: s.id,
    name: routine.name,
    serves: servesOf(routine, CATALOGUE),
    school: CATALOGUE.schools.get(routine.school)?.name ?? '',
    seconds: routineSeconds(routine),
    updatedAt: `2026-11-${String(10 + i)}T10:00:00Z`,
    usedAt: i % 2 ? `2026-11-${String(30 - i)}T10:00:00Z` : null,
    steps: [...stepNames(routine, CATALOGUE).values()],
  };
});
const search = searchOf(lines);
const ask = (over: Partial<RoutineAsk>) =>
  found(lines, { text: '', serves: '', school: '', upTo: null, sort: 'name', ...over }, search);

describe('finding a routine', () => {
  test('all of them by name, by length, and the last changed first', () => {
    expect(ask({}).map((l) => l.name)).toEqual(lines.map((l) => l.name).sort((a, b) => a.localeCompare(b)));
    const lengths = ask({ sort: 'length' }).map((l) => l.seconds);
    expect(lengths).toEqual([...lengths].sort((a, b) => a - b));
    expect(ask({ sort: 'changed' })[0]!.id).toBe(lines.at(-1)!.id);
    const used = ask({ sort: 'used' });
    expect(used[0]!.id).toBe(lines[1]!.id);
    // Those never used come last.
    expect(used.findLastIndex((l) => l.usedAt)).toBe(used.filter((l) => l.usedAt).length - 1);
  });
  test('each is found by its own name, with a slip of the hand as well', () => {
    for (const { name, id } of lines) {
      expect(ask({ text: name })[0]!.id, name).toBe(id);
      const word = name.split(/[^\p{L}]+/u).sort((a, b) => b.length - a.length)[0]!;
      const slipped = `${word.slice(0, 2)}${word.slice(3)}`;
      if (word.length > 5)
        expect(
          ask({ text: slipped }).map((l) => l.id),
          slipped,
        ).toContain(id);
    }
    expect(ask({ text: 'levitation' })).toEqual([]);
  });
  test('filters hold for every line and lose none that answers', () => {
    for (const l of ask({ serves: 'jaw' })) expect(l.serves).toContain('jaw');
    expect(ask({ serves: 'jaw' })).toHaveLength(lines.filter((l) => l.serves.includes('jaw')).length);
    expect(ask({ serves: 'jaw' }).length).toBeGreaterThan(0);
    for (const l of ask({ upTo: 15 })) expect(l.seconds).toBeLessThanOrEqual(900);
    expect(scaleOf([{ seconds: 301 }, { seconds: 20 }])).toBe(10);
    expect(scaleOf([])).toBe(5);
  });
});

import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { TECHNIQUES } from '../../reference/catalogue.ts';
import { newStep, readRoutine, readTypedLine, stepFromLine, stepsOf, techniquesForLine } from '../routine/index.ts';
import { writeTypedLine } from '../routine/index.ts';
import { beats, stepOf } from '../../tests/support/routines.ts';
import { readLines, writeLines } from './lines.ts';

const read = (line: string) => {
  const typed = readTypedLine(line);
  const [technique] = techniquesForLine(typed, TECHNIQUES);
  return { technique: technique!, ...stepFromLine(typed, technique!, 'n') };
};

describe('a step as a line', () => {
  test('of every technique, as it begins: the line finds it, and it alone', () => {
    for (const technique of TECHNIQUES) {
      const { line, left } = writeTypedLine(newStep(technique, 'n'), TECHNIQUES);
      expect(left, line).toEqual([]);
      expect(read(line), line).toMatchObject({ technique: { id: technique.id }, ignored: [] });
      expect(read(line).step).toEqual(newStep(technique, 'n'));
    }
  });
  const TYPED = [
    '11s',
    'hold 13s',
    '7x',
    '3-9x 47/min',
    '8x 5s',
    'both ways',
    'there and back firm back feather',
    'one way',
    'per place',
    'until it gives ~21s 11-61',
    'breath 3+1-5-2 x2',
    '4 sets',
    '2 places',
    'right first',
    'left',
    '+2 right because it is the sorer one',
    'deep knuckles',
  ];
  test.each(TYPED)('what was typed as “%s” is written so that it reads back the same', (typed) => {
    // Every technique meets one of them at least, so that each is tried on more than thirty.
    const some = TECHNIQUES.filter((_, i) => i % TYPED.length === TYPED.indexOf(typed));
    for (const technique of some) {
      const { step } = stepFromLine(readTypedLine(`x ${typed}`), technique, 'n');
      const { line, left } = writeTypedLine(step, TECHNIQUES);
      expect(left, `${technique.id}: ${line}`).toEqual([]);
      const again = read(line).step;
      expect({ ...again, sides: { ...again.sides, first: step.sides.first } }, line).toEqual(step);
      if (step.sides.mode === 'each') expect(again.sides.first, line).toBe(step.sides.first);
    }
  });
  test('what no line can say is told, field by field', () => {
    const step = stepOf('temple-circles', 'n', (s) => ({
      ...s,
      label: 'Mine',
      note: 'slowly',
      body: { ...s.body, jaw: 'wide' },
      dose: { ...s.dose, parts: [beats(5, 30), beats(9, 30)], pauses: { ...s.dose.pauses, restSeconds: 17 } },
    }));
    expect(writeTypedLine(step, TECHNIQUES).left.sort()).toEqual(['body', 'label', 'note', 'parts', 'pauses']);
  });
  test('a technique that is not here is refused', () =>
    expect(() => writeTypedLine({ ...stepOf('temple-circles'), technique: 'elsewhere' }, TECHNIQUES)).toThrow(
      'technique: elsewhere is not known',
    ));
});

describe('a routine as lines', () => {
  const example = readRoutine(JSON.parse(readFileSync('docs/formats/routine.example.json', 'utf8')));
  test('written, read and written again it is the same text', () => {
    const text = writeLines(example, TECHNIQUES);
    const again = readLines(text, TECHNIQUES);
    expect(again.name).toBe(example.name);
    expect(stepsOf(again).map((s) => s.technique)).toEqual(stepsOf(example).map((s) => s.technique));
    const lines = (t: string) => t.split('\n').filter((l) => !/^# [NB]/.test(l));
    expect(lines(writeLines(again, TECHNIQUES))).toEqual(lines(text));
    expect(readRoutine(JSON.parse(JSON.stringify(again)))).toEqual(again);
  });
  test('what no line says of the routine itself is told, and only that', () => {
    const remarks = (routine: typeof example) =>
      writeLines(routine, TECHNIQUES).match(/^# Not in these lines: .*$/m)?.[0];
    expect(remarks({ ...example, notes: 'With the window open.', order: null })).toBe(
      '# Not in these lines: budgetMinutes, notes',
    );
    expect(remarks(readLines('# Bare\ntemple circles', TECHNIQUES))).toBeUndefined();
  });
  test('the text told in docs/formats reads', () => {
    const told = /```\n(# Jaw[^]+?)```/.exec(readFileSync('docs/formats/typed-line.md', 'utf8'))![1]!;
    expect(stepsOf(readLines(told, TECHNIQUES)).map((s) => s.technique)).toEqual([
      'slow-deep-breaths',
      'temple-circles',
      'masseter-pin-open',
    ]);
  });
  test.each([
    ['temple circles', 'line 1: the name'],
    ['# A\ntemple circles\n\nzzzz', 'line 4, step: nothing answers to “zzzz”'],
    ['# A\r\ntemple circles 201x', 'line 2, count: 201 is outside'],
    ['# A\ntemple circles breath 4-6', 'line 2, step: .* has no place for breath'],
    ['# A\ntemple circles last', 'line 2, step: its place is where it stands'],
    [`# ${'A'.repeat(121)}\ntemple circles`, 'line 1: the name is too long; at most 120'],
    [`# A\n${'temple circles\n'.repeat(121)}`, 'line 122: at most 120 steps'],
  ])('%j is refused with its place', (text, words) =>
    expect(() => readLines(text, TECHNIQUES)).toThrow(new RegExp(words)),
  );
});

import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { readRoutine, stepsOf } from '../../../core/routine';
import { exchange, routineFromFile } from './import-routine';

const EXAMPLE = JSON.parse(readFileSync('docs/formats/routine.example.json', 'utf8')) as Record<string, unknown>;
const file = (content: string) => new File([content], 'routine.json');

describe('a routine out of a file', () => {
  test('comes as it is in the file', async () =>
    expect(await routineFromFile(file(JSON.stringify(EXAMPLE)))).toEqual(readRoutine(EXAMPLE)));
  test.each([
    ['no JSON', 'hello', 'no JSON file'],
    ['a list', '[]', 'must be an object'],
    ['a later version', JSON.stringify({ ...EXAMPLE, schemaVersion: 7 }), 'up to version 2'],
    ['a field that is not known', JSON.stringify({ ...EXAMPLE, colour: 'red' }), 'colour'],
    ['a name that is a list', JSON.stringify({ ...EXAMPLE, name: ['x'] }), 'name'],
    ['121 steps', JSON.stringify({ ...EXAMPLE, items: Array(121).fill({}) }), 'at most 120'],
    ['brackets without end', '['.repeat(300_000), 'Not taken in'],
    ['a prototype', '{"__proto__":{"schemaVersion":2}}', 'Not taken in'],
  ])('%s is refused with what is accepted', async (_name, content, told) =>
    expect(await routineFromFile(file(content))).toContain(told),
  );
  test('more than 10 MB is not read', async () =>
    expect(await routineFromFile(file('x'.repeat(10_000_001)))).toContain('up to 10 MB is accepted'));
});

test('what a practice does not know is exchanged or left out, and all else stays', () => {
  const routine = readRoutine(EXAMPLE);
  const [first, second] = stepsOf(routine);
  const exchanged = exchange(routine, { [first!.technique]: 'temple-circles', [second!.technique]: 'leave-out' });
  expect(stepsOf(exchanged)[0]).toEqual({ ...first, technique: 'temple-circles' });
  expect(stepsOf(exchanged).some((s) => s.id === second!.id)).toBe(false);
  expect(exchange(routine, {})).toEqual(routine);
});

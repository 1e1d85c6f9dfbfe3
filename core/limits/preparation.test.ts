import { describe, expect, test } from 'vitest';
import { CATALOGUE, TECHNIQUES } from '../../reference/catalogue.ts';
import { PREPARATION } from '../../reference/facts/preparation.ts';
import { stepOf } from '../../tests/support/routines.ts';
import { preparationFor } from './preparation.ts';

const keys = (...techniques: string[]) =>
  preparationFor(PREPARATION, { items: techniques.map((t, i) => stepOf(t, `s${i}`)) }, CATALOGUE).map(
    (p) => p.key as string,
  );
const always = PREPARATION.filter((p) => p.neededFor === null).map((p) => p.key as string);
const withTool = (tool: string) => TECHNIQUES.find((t) => t.tool === tool)!.id;

describe('preparation', () => {
  test('without a routine, what is always needed', () =>
    expect(preparationFor(PREPARATION, null, CATALOGUE).map((p) => p.key)).toEqual(always));
  test.each(['ball', 'probe'])('a %s has to be clean', (tool) => expect(keys(withTool(tool))).toContain(tool));
  test('current needs its gloves and gel', () => expect(keys(withTool('microcurrent-device'))).toContain('current'));
  test('a tool that is not planned asks for nothing', () => expect(keys('masseter-pin-open')).toEqual(always));
  test('work at the eyes washes the hands again', () => {
    const atTheEyes = TECHNIQUES.find((t) => t.regions.includes('under-eye'))!;
    expect(keys(atTheEyes.id)).toContain('eyes');
  });
  test('each condition is met by some technique', () => {
    const met = new Set(TECHNIQUES.flatMap((t) => keys(t.id)));
    const unmet = PREPARATION.map((p) => p.key).filter((k) => !met.has(k));
    expect(unmet).toEqual([]);
  });
});

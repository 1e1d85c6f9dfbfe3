import { parseRoutine, ROUTINE_JSON_SCHEMA } from '../../core/routine/index.ts';
import { Ajv2020 } from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { ROUTINES } from '../../demo/routines.ts';
import { TECHNIQUES } from '../../reference/catalogue.ts';
import { routineFrom } from '../support/routines.ts';

/** The published schema and our own reader must agree; the judge of the schema is Ajv, which we did not write. */
const published = JSON.parse(readFileSync('docs/formats/routine.schema.json', 'utf8')) as object;
const example = JSON.parse(readFileSync('docs/formats/routine.example.json', 'utf8')) as unknown;
const valid = new Ajv2020({ strict: true, allErrors: false }).compile(published);
const reads = (value: unknown): boolean => {
  try {
    parseRoutine(value);
    return true;
  } catch {
    return false;
  }
};

describe('the files in docs/formats', () => {
  test('are what the program writes today', () => {
    expect(published).toEqual(JSON.parse(JSON.stringify(ROUTINE_JSON_SCHEMA)));
    expect(example).toEqual(JSON.parse(JSON.stringify(ROUTINES.jaw)));
  });
  test('the example is valid by Ajv and by our reader', () =>
    expect([valid(example), reads(example)]).toEqual([true, true]));
  test('every technique’s own step is valid', () => {
    for (const t of TECHNIQUES) expect(valid(routineFrom([t.id])), t.id).toBe(true);
  });
});

describe('schema and reader agree on damaged files', () => {
  /** Every path to a leaf of the example. */
  const paths: string[][] = [];
  const walk = (value: unknown, path: string[]): void => {
    if (value && typeof value === 'object')
      for (const [key, inner] of Object.entries(value)) walk(inner, [...path, key]);
    else paths.push(path);
  };
  walk(example, []);
  const damage = fc.constantFrom<unknown>('nonsense', -1, 0, 1e9, 1.5, null, true, [], {}, 'x'.repeat(600));

  test('a file with one leaf replaced is taken or refused by both', () => {
    fc.assert(
      fc.property(fc.constantFrom(...paths), damage, (path, value) => {
        const copy = structuredClone(example) as Record<string, unknown>;
        let at = copy;
        for (const key of path.slice(0, -1)) at = at[key] as Record<string, unknown>;
        at[path.at(-1)!] = value;
        // What the schema cannot say is said by the reader alone: it may be the stricter one in these fields only.
        const readerKnowsMore = ['id', 'estimateSeconds', 'leastSeconds', 'mostSeconds', 'countMost', 'count'].includes(
          path.at(-1)!,
        );
        if (!valid(copy)) expect(reads(copy), `${path.join('.')} = ${JSON.stringify(value)}`).toBe(false);
        else if (!readerKnowsMore) expect(reads(copy), `${path.join('.')} = ${JSON.stringify(value)}`).toBe(true);
      }),
      { numRuns: 250 },
    );
  });
});

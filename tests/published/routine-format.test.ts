import {
  ownFileOf,
  ownFrom,
  readOwnFile,
  readRoutine,
  ROUTINE_JSON_SCHEMA,
  TECHNIQUES_JSON_SCHEMA,
} from '../../core/routine/index.ts';
import { Ajv2020 } from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from 'vitest';
import { ROUTINES } from '../../demo/routines.ts';
import { CASE_JSON_SCHEMA, readCase } from '../../core/proposal/index.ts';
import { PROPOSAL_CASE } from '../../demo/proposal-case.ts';
import { MUSCLES } from '../../reference/facts/muscles/index.ts';
import { OWN_TECHNIQUES, TECHNIQUES_FILE } from '../../demo/techniques.ts';
import { CATALOGUE, TECHNIQUES } from '../../reference/catalogue.ts';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';
import { routineFrom } from '../support/routines.ts';

/** The published schema and our own reader must agree; the judge of the schema is Ajv, which we did not write. */
const read = (name: string): unknown => JSON.parse(readFileSync(`docs/formats/${name}`, 'utf8'));
const published = read('routine.schema.json') as object;
const example = read('routine.example.json');
const ajv = new Ajv2020({ strict: true, allErrors: false });
const valid = ajv.compile(published);
const reads = (value: unknown): boolean => {
  try {
    readRoutine(value);
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
  test('those of techniques too, and their example is valid by Ajv and by our reader', () => {
    const schema = read('techniques.schema.json');
    const file = read('techniques.example.json');
    expect(schema).toEqual(JSON.parse(JSON.stringify(TECHNIQUES_JSON_SCHEMA)));
    expect(file).toEqual(JSON.parse(JSON.stringify(TECHNIQUES_FILE)));
    const fits = ajv.compile(schema as object);
    expect(fits(file)).toBe(true);
    const known = { catalogue: CATALOGUE, cautions: new Set(CAUTIONS.map((c) => c.key)) };
    expect(readOwnFile(file, known)).toHaveLength(OWN_TECHNIQUES.length);
    for (const t of TECHNIQUES)
      expect(fits(JSON.parse(JSON.stringify(ownFileOf([ownFrom(t, 'own-1', t.name)]))))).toBe(true);
  });
  test('those of a proposal’s case, valid by Ajv and by our reader', () => {
    const schema = read('proposal-case.schema.json');
    const file = read('proposal-case.example.json');
    expect(schema).toEqual(JSON.parse(JSON.stringify(CASE_JSON_SCHEMA)));
    expect(file).toEqual(JSON.parse(JSON.stringify(PROPOSAL_CASE)));
    expect(ajv.compile(schema as object)(file)).toBe(true);
    expect(readCase(file, { catalogue: CATALOGUE, muscles: MUSCLES }, CAUTIONS).ask.minutes).toBe(20);
  });
  test('the example is valid by Ajv and by our reader', () =>
    expect([valid(example), reads(example)]).toEqual([true, true]));
  test('every technique’s own step is valid', () => {
    for (const t of TECHNIQUES) expect(valid(routineFrom([t.id])), t.id).toBe(true);
  });
});

/** Files written by hand, one for each thing the document can say, and one for each thing it must not. */
describe('hand-made files', () => {
  const folder = 'tests/published/routine-files';
  const first = (name: string) => JSON.parse(readFileSync(join(folder, name), 'utf8')) as unknown;
  const names = readdirSync(folder);
  test.each(names.filter((n) => n.startsWith('good-')))('%s is taken by Ajv and by our reader', (name) =>
    expect([valid(first(name)), reads(first(name))], JSON.stringify(valid.errors)).toEqual([true, true]),
  );
  test.each(names.filter((n) => n.startsWith('bad-')))('%s is refused by Ajv and by our reader', (name) =>
    expect([valid(first(name)), reads(first(name))]).toEqual([false, false]),
  );
  test('there are good ones and bad ones', () => {
    expect(names.filter((n) => n.startsWith('good-')).length).toBeGreaterThanOrEqual(3);
    expect(names.filter((n) => n.startsWith('bad-')).length).toBeGreaterThanOrEqual(10);
  });
  test('a file of version 3 is refused with its number', () =>
    expect(() => readRoutine(first('bad-version-3.json'))).toThrow('this file has version 3'));
});

describe('version 1', () => {
  const schema1 = JSON.parse(readFileSync('docs/formats/routine-1.schema.json', 'utf8')) as object;
  const example1 = JSON.parse(readFileSync('docs/formats/routine-1.example.json', 'utf8')) as unknown;
  test('its own schema stands beside the present one, and what it takes is read', () => {
    expect(new Ajv2020({ strict: true }).compile(schema1)(example1)).toBe(true);
    expect(valid(example1)).toBe(false);
    expect(reads(example1)).toBe(true);
    expect(valid(JSON.parse(JSON.stringify(readRoutine(example1))))).toBe(true);
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
        const readerKnowsMore = ['id', 'usualSeconds', 'leastSeconds', 'mostSeconds', 'most', 'count', 'what'].includes(
          path.at(-1)!,
        );
        if (!valid(copy)) expect(reads(copy), `${path.join('.')} = ${JSON.stringify(value)}`).toBe(false);
        else if (!readerKnowsMore) expect(reads(copy), `${path.join('.')} = ${JSON.stringify(value)}`).toBe(true);
      }),
      { numRuns: 250 },
    );
  });
});

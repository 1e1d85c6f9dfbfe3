import { describe, expect, test } from 'vitest';
import { CATALOGUE, TECHNIQUES } from '../../reference/catalogue.ts';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';
import { InputError } from '../words/index.ts';
import { catalogueWith, newStep } from './technique.ts';
import {
  emptyOwn,
  fromOwn,
  OWN_MOST,
  ownFileOf,
  ownFrom,
  readOwnFile,
  readOwnTechnique,
  type OwnTechnique,
} from './own.ts';

const known = { catalogue: CATALOGUE, cautions: new Set(CAUTIONS.map((c) => c.key)) };
const jaw = (): OwnTechnique => ({
  ...ownFrom(CATALOGUE.techniques.get('masseter-pin-open')!, 'own-1', 'My jaw press'),
  perDayMost: 3,
});
const read = (change: object, work: object = {}) =>
  readOwnTechnique(JSON.parse(JSON.stringify({ ...jaw(), ...change, work: { ...jaw().work, ...work } })), known);
const field = (run: () => unknown): string => {
  try {
    run();
  } catch (error) {
    if (error instanceof InputError) return error.field;
    throw error;
  }
  return 'taken';
};

test('every technique of the library can be the beginning of an own one, and comes back as it was', () => {
  for (const t of TECHNIQUES) {
    const own = readOwnTechnique(JSON.parse(JSON.stringify(ownFrom(t, 'own-1', t.name))), known);
    const made = fromOwn(own, CATALOGUE);
    expect(made.defaults, t.id).toEqual(t.defaults);
    expect({ ...made, id: t.id }).toMatchObject({
      name: t.name,
      cue: t.cue,
      heed: t.heed,
      pressure: t.pressure,
      own: true,
    });
    // Where it works follows from its path: nothing of the path is forgotten.
    for (const place of t.defaults.path) expect(made.regions).toContain(CATALOGUE.regionOf(place));
  }
});

describe('what is wrong is refused at its field', () => {
  test('one that is right is taken', () => expect(field(() => read({}))).toBe('taken'));
  test.each([
    ['name', { name: '' }],
    ['name', { name: '   ' }],
    ['name', { name: 'x'.repeat(71) }],
    ['cue', { cue: '' }],
    ['feelFor', { feelFor: '  ' }],
    ['avoid', { avoid: '' }],
    ['name', { name: 'a\u0000b' }],
    ['phase', { phase: 'cure' }],
    ['craft', { craft: 'magic' }],
    ['id', { id: '../../etc' }],
    ['heed[0]', { heed: ['no-such-caution'] }],
    ['comesWith[0]', { comesWith: ['detox'] }],
    ['perDayMost', { perDayMost: 0 }],
    ['pressure', { pressure: null }],
    ['pressure.most', { pressure: { least: 'firm', most: 'light' } }],
    ['work.pressure.there', { pressure: { least: 'feather', most: 'feather' } }],
    ['document', { extra: 1 }],
  ])('%s in %j', (path, change) => expect(field(() => read(change))).toBe(path));
  test.each([
    ['work.path', { path: [] }],
    ['work.path[0]', { path: [{ kind: 'point', id: 'XX99' }] }],
    ['work.path[0].kind', { path: [{ kind: 'planet', id: 'LI4' }] }],
    [
      'work.path[1]',
      {
        path: [
          { kind: 'point', id: 'ST6' },
          { kind: 'keep-off', id: 'tmj' },
        ],
      },
    ],
    ['work.still.place', { still: { contact: 'palm', place: { kind: 'landmark', id: 'nowhere' } } }],
    ['work.pressure.back', { pressure: { there: 'medium', back: 'deep' } }],
    ['work.dose.parts', { dose: { ...jaw().work.dose, parts: [] } }],
    ['work.dose.parts[0].seconds', { dose: { ...jaw().work.dose, parts: [{ kind: 'hold', seconds: 9999 }] } }],
    [
      'work.dose.parts[0].most',
      {
        dose: { ...jaw().work.dose, parts: [{ kind: 'beats', count: 9, most: 3, perMinute: 30, unit: 'x' }] },
      },
    ],
    ['work.sides.sets', { sides: { ...jaw().work.sides, sets: 99 } }],
  ])('%s in work %j', (path, work) => expect(field(() => read({}, work))).toBe(path));
});

describe('a file of techniques', () => {
  const file = (...own: OwnTechnique[]) => JSON.parse(JSON.stringify(ownFileOf(own))) as object;
  test('comes back as it was', () => expect(readOwnFile(file(jaw()), known)).toEqual([jaw()]));
  test('names the technique and the field', () =>
    expect(field(() => readOwnFile(file(jaw(), { ...jaw(), id: 'own-2', cue: '' }), known))).toBe('techniques[1].cue'));
  test('an id that is taken is refused, by the library and by the file itself', () => {
    expect(field(() => readOwnFile(file(jaw(), jaw()), known))).toBe('techniques[1].id');
    expect(field(() => readOwnFile(file({ ...jaw(), id: 'temple-circles' }), known))).toBe('techniques[0].id');
  });
  test.each([
    ['file', null],
    ['file', []],
    ['format', { ...file(), format: 'other' }],
    ['schemaVersion', { ...file(), schemaVersion: 2 }],
    ['techniques', { ...file(), techniques: Array.from({ length: OWN_MOST + 1 }, () => 0) }],
    ['techniques', { ...file(), techniques: 'all' }],
  ])('%s', (path, value) => expect(field(() => readOwnFile(value, known))).toBe(path));
});

test('in the catalogue it stands after the library and makes steps like any other', () => {
  const made = fromOwn(jaw(), CATALOGUE);
  const mine = catalogueWith(CATALOGUE, [made]);
  expect([...mine.techniques.keys()].at(-1)).toBe('own-1');
  expect(newStep(mine.techniques.get('own-1')!, 's')).toMatchObject({ id: 's', technique: 'own-1' });
  expect(CATALOGUE.techniques.has('own-1')).toBe(false);
  expect(catalogueWith(CATALOGUE, [])).toBe(CATALOGUE);
});

test('an empty one misses its words and its place', () => {
  expect(field(() => readOwnTechnique(emptyOwn('own-1'), known))).toBe('name');
});

import { reachOfPlace, reachOfTechnique } from '../limits/index.ts';
import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { ATLAS_ENTRIES } from '../../reference/atlas-entries.ts';
import { CATALOGUE } from '../../reference/catalogue.ts';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';
import { DRAINAGE_PATHS, LYMPH_NODES } from '../../reference/facts/lymph.ts';
import { basinsOf, drainageOf, wayToTerminus } from './drainage.ts';
import { entryScore, searchAtlas, type AtlasAsk } from './search.ts';
import { bearingOf, fibreBearing, strokeToBasin, strokeToFibres } from './stroke.ts';

describe('a stroke and the fibres under it', () => {
  test.each([
    [0, 0, 0, 'along'],
    [180, 0, 0, 'along'],
    [90, 0, 90, 'across'],
    [45, 0, 45, 'oblique'],
    [350, 10, 20, 'along'],
    [30, 150, 60, 'across'],
  ] as const)('%s° on fibres of %s°: %s°, %s', (stroke, fibre, degrees, relation) =>
    expect(strokeToFibres(stroke, fibre)).toEqual({ degrees, relation }),
  );
  test('turning both or reversing the stroke changes nothing', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 360, noNaN: true }),
        fc.double({ min: 0, max: 180, noNaN: true }),
        fc.double({ min: 0, max: 360, noNaN: true }),
        (stroke, fibre, turn) => {
          const { degrees } = strokeToFibres(stroke, fibre);
          expect(strokeToFibres(stroke + turn, fibre + turn).degrees).toBeCloseTo(degrees, 6);
          expect(strokeToFibres(stroke + 180, fibre).degrees).toBeCloseTo(degrees, 6);
          expect(degrees).toBeGreaterThanOrEqual(0);
          expect(degrees).toBeLessThanOrEqual(90);
        },
      ),
    );
  });
  test('bearings: outward 0, up 90; none for no way', () => {
    expect(bearingOf([0, 0], [5, 0])).toBe(0);
    expect(bearingOf([0, 0], [0, 5])).toBe(90);
    expect(bearingOf([0, 0], [-5, -5])).toBe(225);
    expect(bearingOf([1, 1], [1, 1])).toBeNull();
  });
  test('table angles: in front values over 90 rise outward, behind values under 90 do', () => {
    expect(fibreBearing(123, 'front')).toBe(57);
    expect(fibreBearing(58, 'back')).toBe(58);
    expect(fibreBearing(90, 'front')).toBe(90);
  });
});

describe('a stroke and its basin', () => {
  test('toward when it has a part in the way to the node, else away', () => {
    expect(strokeToBasin(0, [0, 0], [10, 0])).toEqual({ degrees: 0, toward: true });
    expect(strokeToBasin(89, [0, 0], [10, 0])).toMatchObject({ toward: true });
    expect(strokeToBasin(91, [0, 0], [10, 0])).toMatchObject({ toward: false });
    expect(strokeToBasin(10, [0, 0], [10, 0])).toMatchObject({ degrees: 10 });
    expect(strokeToBasin(180, [0, 0], [10, 0])).toEqual({ degrees: 180, toward: false });
    expect(strokeToBasin(0, [3, 3], [3, 3])).toBeNull();
  });
});

describe('the lymph graph', () => {
  test('from the forehead by the ear down the neck to the veins', () =>
    expect(wayToTerminus(LYMPH_NODES, 'preauricular')).toEqual([
      'preauricular',
      'deep-cervical-upper',
      'deep-cervical-lower',
      'supraclavicular',
      'terminus',
    ]));
  test('unknown groups and rings are refused', () => {
    expect(() => wayToTerminus(LYMPH_NODES, 'tonsil')).toThrow(/tonsil/);
    const ring = LYMPH_NODES.map((n) => (n.id === 'terminus' ? { ...n, next: ['preauricular'] } : n));
    expect(() => wayToTerminus(ring, 'preauricular')).toThrow(/ring/);
  });
  test('regions with two ways have two accepted basins', () => {
    expect(basinsOf(DRAINAGE_PATHS, 'under-eye')).toEqual(['preauricular', 'buccal']);
    expect(drainageOf(DRAINAGE_PATHS, 'temple')).toHaveLength(1);
  });
});

const ask = (over: Partial<AtlasAsk>): AtlasAsk => ({
  text: '',
  kind: null,
  region: null,
  complaint: null,
  muscle: null,
  ...over,
});
const first = (text: string, over: Partial<AtlasAsk> = {}) => searchAtlas(ATLAS_ENTRIES, ask({ text, ...over }))[0]?.id;

describe('searching the atlas', () => {
  test.each([
    ['gb20', 'GB20'],
    ['fengchi', 'GB20'],
    ['masseter', 'masseter-superficial'],
    ['collarbone nodes', 'supraclavicular'],
    ['taiyang', 'EX-HN5'],
    ['wind pool', 'GB20'],
    ['gonion', 'gonion'],
    ['yin tang', 'EX-HN3'],
  ])('“%s” finds %s first', (text, id) => expect(first(text)).toBe(id));
  test('every word must be found, in any order, marks and case aside', () => {
    expect(entryScore(ATLAS_ENTRIES[0]!, 'JINGMING bl1')).toBeGreaterThan(0);
    expect(entryScore(ATLAS_ENTRIES[0]!, 'jingming zzz')).toBe(0);
    expect(searchAtlas(ATLAS_ENTRIES, ask({ text: 'zzzz' }))).toEqual([]);
  });
  test('filters narrow and combine', () => {
    const jaw = searchAtlas(ATLAS_ENTRIES, ask({ kind: 'point', complaint: 'jaw', region: 'ear' }));
    expect(jaw.map((e) => e.id)).toContain('SI19');
    expect(jaw.every((e) => e.kind === 'point' && e.serves.includes('jaw') && e.regions.includes('ear'))).toBe(true);
    expect(searchAtlas(ATLAS_ENTRIES, ask({ kind: 'point', muscle: 'frontalis' })).map((e) => e.id)).toContain('GB14');
  });
  test('every row of the tables is found by its own id', () => {
    for (const e of ATLAS_ENTRIES)
      expect(
        searchAtlas(ATLAS_ENTRIES, ask({ text: e.id, kind: e.kind })).map((x) => x.id),
        e.id,
      ).toContain(e.id);
  });
});

describe('what a caution touches', () => {
  const caution = (key: string) => CAUTIONS.find((c) => c.key === key)!;
  test('pregnancy closes the traditional points and no others', () => {
    for (const id of ['LI4', 'GB21', 'ST12', 'LR3'])
      expect(reachOfPlace(caution('pregnancy'), { region: null, point: id })).toEqual({ effect: 'off', what: '' });
    expect(reachOfPlace(caution('pregnancy'), { region: 'forehead', point: 'GB14' })).toBeNull();
  });
  test('a ban that hangs on pressure limits; advice for the whole visit is care; a red flag closes everything', () => {
    expect(reachOfPlace(caution('carotid-history'), { region: 'neck-back' })).toEqual({
      effect: 'capped',
      what: 'more than light pressure',
    });
    expect(reachOfPlace(caution('children'), { region: 'cheek' })).toEqual({ effect: 'care', what: '' });
    expect(reachOfPlace(caution('thunderclap'), { region: 'cheek' })).toEqual({
      effect: 'off',
      what: 'the whole visit',
    });
  });
  test('techniques by what they are', () => {
    const reach = (key: string, id: string) =>
      reachOfTechnique([caution(key)], CATALOGUE.techniques.get(id)!, CATALOGUE).get(key) ?? null;
    expect(reach('implanted-electronics', 'glove-masseter-split')).toMatchObject({ effect: 'off' });
    expect(reach('implanted-electronics', 'temple-circles')).toBeNull();
    expect(reach('thyroid', 'glove-scm-split')).not.toBeNull();
  });
});

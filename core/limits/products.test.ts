import { describe, expect, test } from 'vitest';
import { ALLERGEN_FAMILIES } from '../../reference/facts/allergens.ts';
import { allergyHits, checkProduct, familiesOf, type Product } from './products.ts';

const almond: Product = {
  name: 'Silk glide',
  kind: 'oil',
  ingredients: ['Prunus Amygdalus Dulcis (Sweet Almond) Oil', 'Tocopherol'],
  essentialPercent: null,
};
const plain: Product = {
  name: 'Plain jojoba',
  kind: 'oil',
  ingredients: ['Simmondsia chinensis seed oil'],
  essentialPercent: null,
};
const tested = { testedOn: '2026-11-01', reacted: false };
const check = (product: Product, client: Partial<Parameters<typeof checkProduct>[1]> = {}) =>
  checkProduct(product, { allergies: [], patchTest: tested, answers: {}, ...client }, ALLERGEN_FAMILIES);
const avoided = (product: Product, client: Partial<Parameters<typeof checkProduct>[1]> = {}) =>
  check(product, client)
    .filter((f) => f.severity === 'avoid')
    .map((f) => f.words);

describe('ingredients against allergies', () => {
  test.each([
    ['nuts', almond.ingredients[0]!],
    ['Nut', 'argania spinosa kernel oil'],
    ['almonds', 'PRUNUS DULCIS OIL'],
    ['peanut', 'Arachis hypogaea oil'],
    ['lavender', 'Lavandula angustifolia oil'],
    ['perfume', 'Parfum (fragrance)'],
    ['perfume', 'linalool'],
    ['bees', 'Cera alba'],
    ['jojoba', 'jojoba esters'],
    ['Nüsse', 'Nusse extract'],
  ])('%s is found in %s', (allergy, ingredient) =>
    expect(allergyHits({ name: 'X', ingredients: [ingredient] }, [allergy], ALLERGEN_FAMILIES)).toHaveLength(1),
  );
  test.each([
    ['nuts', 'Minute quantities of water'],
    ['nuts', 'Simmondsia chinensis seed oil'],
    ['nuts', 'Nutrient complex'],
    ['tea tree', 'green tea extract'],
    ['', 'water'],
    ['soy', 'soya-free base of sunflower'],
  ])('%j is not found in %s', (allergy, ingredient) => {
    const hits = allergyHits({ name: 'X', ingredients: [ingredient] }, [allergy], ALLERGEN_FAMILIES);
    // A label that names what it is free of is held against it all the same: the cautious side.
    expect(hits).toHaveLength(ingredient.includes('-free') ? 1 : 0);
  });
  test('the name of the product counts as well', () =>
    expect(allergyHits({ name: 'Honey balm', ingredients: [] }, ['honey'], ALLERGEN_FAMILIES)).toEqual([
      { ingredient: 'Honey balm', allergy: 'honey' },
    ]));
  test('a word nobody knows belongs to no family', () =>
    expect(familiesOf('moon dust', ALLERGEN_FAMILIES)).toEqual([]));
  test('nuts stand for tree nuts, peanut and shea', () =>
    expect(familiesOf('nuts', ALLERGEN_FAMILIES).map((f) => f.key)).toEqual(['tree-nut', 'peanut', 'shea']));
});

describe('a product on a client', () => {
  test('nothing speaks against a plain, tested one', () => expect(check(plain)).toEqual([]));
  test('an allergy does', () =>
    expect(avoided(almond, { allergies: ['nuts'] })).toEqual([
      '“Prunus Amygdalus Dulcis (Sweet Almond) Oil”: the client reacts to nuts.',
    ]));
  test('so does a patch test that went wrong', () =>
    expect(avoided(plain, { patchTest: { testedOn: '2026-11-01', reacted: true } })[0]).toContain(
      'reacted to the patch test',
    ));
  test('without a patch test it is said; with a sensitive skin it has to wait', () => {
    expect(check(plain, { patchTest: null })).toEqual([{ severity: 'note', words: 'No patch test on file.' }]);
    expect(avoided(plain, { patchTest: null, allergies: ['wool'] })[0]).toContain('test on the forearm first');
    expect(avoided(plain, { patchTest: null, answers: { 'oil-allergy': 'yes' } })[0]).toContain(
      'test on the forearm first',
    );
  });
  test('without ingredients it is never called safe', () => {
    expect(check({ ...plain, ingredients: [] })[0]).toMatchObject({ severity: 'note' });
    expect(avoided({ ...plain, ingredients: [] }, { allergies: ['wool'] })).toHaveLength(1);
  });
  test.each([
    [null, 'oil', 0],
    [1, 'oil', 0],
    [1.1, 'oil', 1],
    [null, 'essential-oil', 1],
  ] as const)('%s percent in an %s', (essentialPercent, kind, count) =>
    expect(avoided({ ...plain, kind, essentialPercent })).toHaveLength(count),
  );
  test.each(['essential-oil', 'pregnancy', 'epilepsy'])('any scent is off with %s', (answer) =>
    expect(avoided({ ...plain, essentialPercent: 0.5 }, { answers: { [answer]: 'yes' } })).toEqual([
      'No essential oil with today’s answers.',
    ]),
  );
  test('the worst comes first', () =>
    expect(
      check(
        { ...almond, ingredients: [...almond.ingredients], essentialPercent: 5 },
        { allergies: ['nuts'], patchTest: null },
      ).map((f) => f.severity),
    ).toEqual(['avoid', 'avoid', 'avoid']));
});

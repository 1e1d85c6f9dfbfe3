import { isYes, type Answers } from './screen.ts';

export const PRODUCT_KINDS = ['oil', 'cream', 'lotion', 'gel', 'essential-oil', 'other'] as const;
type ProductKind = (typeof PRODUCT_KINDS)[number];

/** Something a practice puts on skin. */
export interface Product {
  /** As on the shelf. */
  name: string;
  /** What it is. */
  kind: ProductKind;
  /** As on the label, in any language the label uses. */
  ingredients: string[];
  /** Share of essential oil in what goes on the skin, in percent; null when there is none in it. */
  essentialPercent: number | null;
}

/** Names under which one thing to react to appears on labels. */
export interface AllergenFamily {
  /** Kept for good. */
  key: string;
  /** What people call it. */
  called: readonly string[];
  /** Parts of label names. */
  onLabels: readonly string[];
}

export interface PatchTest {
  /** YYYY-MM-DD. */
  testedOn: string;
  /** The skin reacted. */
  reacted: boolean;
}

export interface ProductFinding {
  /** How far it goes. */
  severity: 'avoid' | 'note';
  /** As it is shown. */
  words: string;
}

/** Essential oil on the face, percent at most: the cautious end of 0.5 to 1 (Tisserand and Young 2014, from memory). */
export const ESSENTIAL_ON_FACE_PERCENT = 1;
/** Scents stay away with any of these. */
const NO_SCENT = ['essential-oil', 'pregnancy', 'epilepsy'];

const plain = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();
/** Whole words only: "nut" is not in "minute". Endings of the plural are let go. */
const hasWords = (text: string, words: string): boolean =>
  ` ${text} `.replace(/s /g, ' ').includes(` ${words} `.replace(/s /g, ' '));

/** Families that a client's own word stands for. */
export const familiesOf = (allergy: string, families: readonly AllergenFamily[]): AllergenFamily[] => {
  const said = plain(allergy);
  return said ? families.filter((f) => [...f.called, ...f.onLabels].some((c) => hasWords(said, plain(c)))) : [];
};

/** Ingredients of a product that a client's allergies speak against. */
export function allergyHits(
  product: Pick<Product, 'ingredients' | 'name'>,
  allergies: readonly string[],
  families: readonly AllergenFamily[],
): { ingredient: string; allergy: string }[] {
  const out: { ingredient: string; allergy: string }[] = [];
  for (const ingredient of [...product.ingredients, product.name]) {
    const label = plain(ingredient);
    for (const allergy of allergies) {
      const said = plain(allergy);
      if (!said) continue;
      const named =
        hasWords(label, said) ||
        familiesOf(allergy, families).some((f) => [...f.onLabels, ...f.called].some((n) => hasWords(label, plain(n))));
      if (named) out.push({ ingredient, allergy });
    }
  }
  return out;
}

/**
 * What speaks against a product on this client today, worst first. An empty list never means "safe": without
 * ingredients or a patch test that is said.
 */
export function checkProduct(
  product: Product,
  client: { allergies: readonly string[]; patchTest: PatchTest | null; answers: Answers },
  families: readonly AllergenFamily[],
): ProductFinding[] {
  const { allergies, patchTest, answers } = client;
  const out: ProductFinding[] = [];
  const said = (severity: ProductFinding['severity'], words: string) => out.push({ severity, words });
  for (const { ingredient, allergy } of allergyHits(product, allergies, families))
    said('avoid', `“${ingredient}”: the client reacts to ${allergy}.`);
  if (patchTest?.reacted) said('avoid', `The skin reacted to the patch test of ${patchTest.testedOn}.`);
  const percent = product.essentialPercent ?? (product.kind === 'essential-oil' ? 100 : 0);
  if (percent > ESSENTIAL_ON_FACE_PERCENT)
    said('avoid', `${percent} % essential oil: dilute to ${ESSENTIAL_ON_FACE_PERCENT} % or less for the face.`);
  if (percent > 0 && NO_SCENT.some((key) => isYes(answers[key])))
    said('avoid', 'No essential oil with today’s answers.');
  const sensitive = isYes(answers['oil-allergy']) || allergies.length > 0;
  if (!product.ingredients.length)
    said(sensitive ? 'avoid' : 'note', 'No ingredients on file: read the label, and type them in.');
  if (!patchTest)
    said(
      sensitive ? 'avoid' : 'note',
      sensitive
        ? 'No patch test on file: test on the forearm first and wait a day (common practice).'
        : 'No patch test on file.',
    );
  return out.sort((a, b) => Number(a.severity === 'note') - Number(b.severity === 'note'));
}

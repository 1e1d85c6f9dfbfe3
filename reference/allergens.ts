import type { AllergenFamily } from '../core/screening/products.ts';

/** Names on labels, from memory; not complete. What a client names that is not here is looked for word by word. */
export const ALLERGEN_FAMILIES: readonly AllergenFamily[] = [
  { key: 'tree-nut', called: ['nut', 'tree nut', 'almond', 'hazelnut', 'walnut', 'cashew', 'pistachio'], onLabels: ['almond', 'prunus amygdalus', 'prunus dulcis', 'hazelnut', 'corylus', 'walnut', 'juglans', 'macadamia', 'argan', 'argania', 'cashew', 'anacardium', 'pistachio', 'pistacia', 'brazil nut', 'bertholletia'] },
  { key: 'peanut', called: ['peanut', 'groundnut', 'nut'], onLabels: ['peanut', 'arachis'] },
  { key: 'shea', called: ['shea', 'nut'], onLabels: ['shea', 'butyrospermum', 'vitellaria'] },
  { key: 'sesame', called: ['sesame'], onLabels: ['sesame', 'sesamum'] },
  { key: 'soy', called: ['soy', 'soya'], onLabels: ['soy', 'soya', 'glycine soja', 'glycine max'] },
  { key: 'wheat', called: ['wheat', 'gluten'], onLabels: ['wheat', 'triticum'] },
  { key: 'coconut', called: ['coconut'], onLabels: ['coconut', 'cocos', 'coco'] },
  { key: 'lavender', called: ['lavender'], onLabels: ['lavender', 'lavandula'] },
  { key: 'tea-tree', called: ['tea tree'], onLabels: ['tea tree', 'melaleuca'] },
  { key: 'daisies', called: ['chamomile', 'ragweed', 'arnica', 'calendula', 'daisy'], onLabels: ['chamomile', 'chamomilla', 'anthemis', 'matricaria', 'arnica', 'calendula'] },
  { key: 'citrus', called: ['citrus', 'lemon', 'orange', 'bergamot'], onLabels: ['citrus', 'lemon', 'orange', 'bergamot', 'limonene', 'citral'] },
  { key: 'scent', called: ['perfume', 'fragrance', 'scent'], onLabels: ['parfum', 'perfume', 'fragrance', 'aroma', 'limonene', 'linalool', 'geraniol', 'citronellol', 'eugenol', 'coumarin', 'citral'] },
  { key: 'bees', called: ['bee', 'beeswax', 'honey', 'propolis'], onLabels: ['beeswax', 'cera alba', 'propolis', 'honey', 'mel'] },
  { key: 'wool', called: ['lanolin', 'wool'], onLabels: ['lanolin', 'wool'] },
  { key: 'latex', called: ['latex', 'rubber'], onLabels: ['latex', 'hevea', 'rubber'] },
  { key: 'preservatives', called: ['preservative', 'paraben', 'isothiazolinone'], onLabels: ['methylparaben', 'propylparaben', 'paraben', 'methylisothiazolinone', 'methylchloroisothiazolinone', 'imidazolidinyl urea', 'quaternium 15'] },
];

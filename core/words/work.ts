/** Words by which cautions speak of kinds of work. */
export type WorkWord =
  | 'strong-stimulation'
  | 'microcurrent'
  | 'essential-oil'
  | 'gua-sha'
  | 'cupping'
  | 'lymph-stroke'
  | 'light-stroke'
  | 'circular-friction'
  | 'press-hold'
  | 'heat'
  | 'cold'
  | 'oil'
  | 'vibration'
  | 'intraoral'
  | 'jaw-mobilisation'
  | 'neck-rotation'
  | 'neck-traction'
  | 'stretch'
  | 'pincer'
  | 'light-therapy'
  // What touches, and how: followed from the step.
  | 'touch'
  | 'standing-contact'
  | 'moving-stroke'
  | 'both-sides-standing'
  | 'both-sides-moving'
  | 'long-hold'
  | 'taps'
  | 'knuckle'
  | 'palm-press'
  | 'ball-on-it'
  | 'spreading'
  | 'dry-slide'
  | 'lid'
  | 'lid-pinched'
  | 'on-eye'
  | 'shields-eye'
  | 'on-joint'
  | 'on-spine'
  | 'upper-rim'
  | 'mental-nerve'
  | 'palms-over-eyes'
  | 'scent-at-eye'
  // What the client does meanwhile: followed from the step.
  | 'head-turns'
  | 'head-tips'
  | 'head-back'
  | 'head-hangs'
  | 'head-nods'
  | 'jaw-wide'
  | 'jaw-moves'
  | 'jaw-bites'
  | 'jaw-drops'
  | 'tool-on-moving-jaw'
  | 'finding-out'
  | 'eyes-squeezed'
  | 'eyes-shut'
  | 'effort'
  | 'face-exercise'
  | 'double-breath'
  | 'current-across'
  | 'oil-under-current'
  // What the technique says of itself.
  | 'jaw-load'
  | 'shakes-head'
  | 'chest-stretch'
  | 'arms-raised'
  | 'whole-limb-stroke'
  | 'heat-pack'
  | 'nut-oil'
  | 'latex-gloves'
  | 'into-ear'
  | 'into-orbit'
  | 'forced-opening'
  | 'sideways';

/** Tools by which cautions speak of work. */
export type ToolWord =
  | 'roller'
  | 'stone-tool'
  | 'light-device'
  | 'ball'
  | 'probe'
  | 'cup'
  | 'gua-sha-tool'
  | 'metal-tool'
  | 'magnetic-tool'
  | 'vibration-device'
  | 'microcurrent-device';

/** How the client lies or sits, as far as cautions speak of it. */
export type PositionWord = 'face-down' | 'head-low' | 'lying';

/** How the client lies or sits; `any` = it does not matter, `upright` = sitting or standing. */
export const CLIENT_POSITIONS = [
  'any',
  'seated',
  'upright',
  'standing',
  'lying',
  'side-lying',
  'face-down',
  'head-low',
] as const;
export type ClientPosition = (typeof CLIENT_POSITIONS)[number];

/** Who can do it: only a practitioner, only the client (own weight, own muscles, own breath), or either. */
export const DOERS = ['practitioner', 'client', 'both'] as const;
export type Doer = (typeof DOERS)[number];
export const DOER_NAMES: Record<Doer, string> = {
  practitioner: 'the practitioner',
  client: 'the client',
  both: 'practitioner or client',
};

/** What has to be there before it begins. */
export const NEEDS = ['glide', 'warmth', 'opened-hollow', 'washed-hands', 'bare-skin'] as const;
export type Need = (typeof NEEDS)[number];
export const NEED_NAMES: Record<Need, string> = {
  glide: 'a glide product',
  warmth: 'warm palms',
  'opened-hollow': 'the hollows above the collarbones opened',
  'washed-hands': 'freshly washed hands',
  'bare-skin': 'bare, dry skin',
};

/** What goes on the skin: `water-based` for current, `either` where both are done. */
export const GLIDES = ['dry', 'oil-or-cream', 'water-based', 'either'] as const;
export type Glide = (typeof GLIDES)[number];
export const GLIDE_NAMES: Record<Glide, string> = {
  dry: 'dry',
  'oil-or-cream': 'with oil or cream',
  'water-based': 'with gel or water, no oil',
  either: 'dry or with a product',
};

/** Where a figure comes from: said by practitioners, timed at work, or chosen by us. */
export const GROUNDS = ['stated', 'observed', 'choice'] as const;
export type Ground = (typeof GROUNDS)[number];
export const GROUND_NAMES: Record<Ground, string> = {
  stated: 'stated by practitioners',
  observed: 'timed at work',
  choice: 'our choice',
};

/** What people also come for: searched by, promised by nobody. */
export const SOUGHT_FOR = ['migraine', 'sleep', 'asymmetry', 'brow-lines', 'tone'] as const;
export type SoughtFor = (typeof SOUGHT_FOR)[number];

/** Ways of teaching and working; where they differ is a setting, not a truth. */
export const CRAFTS = [
  'hand-massage',
  'breathwork',
  'lymph-drainage',
  'point-holding',
  'shiatsu-press',
  'fascia-release',
  'neck-stretch',
  'tapping-qigong',
  'resisted-exercise',
  'ball-release',
  'reflex-probe',
  'microcurrent-glide',
] as const;
export type Craft = (typeof CRAFTS)[number];

/** Tools of a technique. */
export const TECHNIQUE_TOOLS = [
  'ball',
  'cup',
  'gua-sha-tool',
  'light-device',
  'magnetic-tool',
  'metal-tool',
  'microcurrent-device',
  'probe',
  'roller',
  'stone-tool',
  'vibration-device',
] as const satisfies readonly ToolWord[];
export type TechniqueTool = (typeof TECHNIQUE_TOOLS)[number];

/** What comes with a technique that its movement does not tell: cautions close work by these words. */
export const COMES_WITH = [
  'heat',
  'cold',
  'oil',
  'essential-oil',
  'vibration',
  'intraoral',
  'neck-traction',
  'gua-sha',
  'cupping',
  'light-therapy',
  'heat-pack',
  'nut-oil',
  'latex-gloves',
  'jaw-load',
  'shakes-head',
  'chest-stretch',
  'forced-opening',
  'into-ear',
  'into-orbit',
  'sideways',
] as const satisfies readonly WorkWord[];
export const COMES_WITH_NAMES: Record<(typeof COMES_WITH)[number], string> = {
  heat: 'heat',
  cold: 'cold',
  oil: 'oil or cream',
  'essential-oil': 'scent or essential oil',
  vibration: 'vibration',
  intraoral: 'fingers inside the mouth',
  'neck-traction': 'a pull on the neck',
  'gua-sha': 'a scraping tool',
  cupping: 'cups',
  'light-therapy': 'light',
  'heat-pack': 'a heat pack',
  'nut-oil': 'nut oil',
  'latex-gloves': 'latex gloves',
  'jaw-load': 'pressure on the jaw from in front',
  'shakes-head': 'rocking or shaking the head',
  'chest-stretch': 'a strong stretch of the chest',
  'forced-opening': 'a hand that opens the mouth',
  'into-ear': 'something into the ear canal',
  'into-orbit': 'pressure toward the eye',
  sideways: 'a sideways push on thin skin',
};

/** What a technique does for a routine, so that no rule has to name a technique. */
export type Role =
  /** Opens the collarbone hollow before anything is drained there. */
  | 'opens-collarbone'
  /** Ends a drainage at the collarbone hollow. */
  | 'closes-collarbone'
  /** Puts oil or cream on. */
  | 'spreads-glide'
  /** Calms after firm work. */
  | 'soothes'
  /** Makes the palms warm. */
  | 'warms-hands'
  /** Sets the current up before any glove glides. */
  | 'sets-up-current'
  /** Eases muscles that have just been exercised. */
  | 'eases-after-exercise'
  /** Takes the jaw opening again. */
  | 'retests-opening';

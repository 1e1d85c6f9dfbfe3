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
  | 'light-therapy';

/** Tools by which cautions speak of work. */
export type ToolWord =
  | 'roller'
  | 'ball'
  | 'probe'
  | 'cup'
  | 'gua-sha-tool'
  | 'metal-tool'
  | 'magnetic-tool'
  | 'vibration-device'
  | 'microcurrent-device';

/** How the client lies or sits. */
export type PositionWord = 'face-down' | 'head-low';

/**
 * Words of cautions that no technique has yet: they take nothing away today, and stand here so that nobody takes them for
 * protection. A test holds this list against the library.
 */
export const PLANNED_WORDS = [
  'cold',
  'cup',
  'cupping',
  'face-down',
  'gua-sha',
  'gua-sha-tool',
  'head-low',
  'light-therapy',
  'magnetic-tool',
  'metal-tool',
  'neck-traction',
  'roller',
  'vibration',
  'vibration-device',
] as const satisfies readonly (WorkWord | ToolWord | PositionWord)[];

/** Ways of teaching and working; where they differ is a setting, not a truth. */
export type Craft =
  | 'hand-massage'
  | 'breathwork'
  | 'lymph-drainage'
  | 'point-holding'
  | 'shiatsu-press'
  | 'fascia-release'
  | 'neck-stretch'
  | 'tapping-qigong'
  | 'resisted-exercise'
  | 'ball-release'
  | 'reflex-probe'
  | 'microcurrent-glide';

/** What a technique does for a routine, so that no rule has to name a technique. */
export type Role =
  /** Opens the collarbone hollow before anything is drained there. */
  | 'opens-collarbone'
  /** Ends a drainage at the collarbone hollow. */
  | 'closes-collarbone'
  /** Puts oil or cream on. */
  | 'spreads-glide'
  /** Calms after firm work. */
  | 'soothes';

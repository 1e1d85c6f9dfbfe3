import { CONTACTS, MOTIONS, PLACE_KINDS, pressureRank, PRESSURES, type Pressure } from '../words/index.ts';
import {
  constant,
  id,
  kinds,
  list,
  number,
  object,
  oneOf,
  orNull,
  text,
  whole,
  yesNo,
  type Value,
} from '../documents/index.ts';

/**
 * The routine document, version 2: what is stored, exchanged and checked, described once. It is made for the whole
 * trade: holds that turn into pulses, strokes there and back, circles both ways, paths of several places, sides one
 * after the other with unequal sets, blocks that are done on one side and then on the other, hands that swap, a still
 * hand beside a moving one, a head or jaw that moves under a still contact, breath with a second sip, open doses in
 * their own words, and steps that re-test. Sides are the client's; lengths of time are in seconds.
 */
export const ROUTINE_FORMAT = 'velvet-compass/routine';
export const ROUTINE_VERSION = 2;

/** Bounds of every number in a routine, inclusive. Holds, counts, tempo and length are the trade's; the rest our choice. */
export const BOUNDS = {
  holdSeconds: [1, 600],
  count: [1, 200],
  perMinute: [6, 180],
  cycles: [1, 100],
  breathSeconds: [0.5, 30],
  sets: [1, 20],
  pauseSeconds: [0, 120],
  budgetMinutes: [1, 120],
  /** Steps in all, those in blocks among them. */
  steps: [0, 120],
  routineMinutes: 120,
} as const;

/** Most characters of every text and most entries of every list in a routine. Our choice. */
export const LENGTHS = {
  name: 120,
  label: 80,
  note: 500,
  notes: 2000,
  unit: 24,
  until: 120,
  check: 60,
  reason: 200,
  words: 80,
  path: 20,
  parts: 6,
  phases: 8,
} as const;

const seconds = (range: readonly [number, number], words: string) => number(range, 's', words);
const SIDE = oneOf(['left', 'right'] as const, 'The client’s.');

const PLACE = object({ kind: oneOf(PLACE_KINDS), id: id('Id of the place.') }, 'A place of the charts.');

const BREATH_PHASES = ['in', 'in-again', 'hold', 'out', 'rest'] as const;
const PHASES = list(
  object({
    what: oneOf(BREATH_PHASES, 'in-again = a second sip of air on top; rest = empty, before the next breath.'),
    seconds: seconds(BOUNDS.breathSeconds, 'Length.'),
  }),
  [2, LENGTHS.phases],
  'One breath, phase by phase.',
);

const PARTS = kinds({
  hold: object({ kind: constant('hold'), seconds: seconds(BOUNDS.holdSeconds, 'Length.') }, 'Stay still.'),
  beats: object(
    {
      kind: constant('beats'),
      count: whole(BOUNDS.count, 'How often. Of a stroke there and back, one count is there and back.'),
      most: orNull(whole(BOUNDS.count, '“Up to”: the most it may become, not less than count.')),
      perMinute: number(BOUNDS.perMinute, 'per min', 'Tempo.'),
      unit: text(LENGTHS.unit, 'What is counted: circles, pulses, openings.', 1),
    },
    'Counted repetitions.',
  ),
  open: object(
    {
      kind: constant('open'),
      until: text(LENGTHS.until, 'What is waited for: “it softens”.', 1),
      usualSeconds: seconds(BOUNDS.holdSeconds, 'Usual length, between least and most.'),
      leastSeconds: seconds(BOUNDS.holdSeconds, 'Shortest.'),
      mostSeconds: seconds(BOUNDS.holdSeconds, 'Longest.'),
    },
    'As long as it takes.',
  ),
  breath: object(
    { kind: constant('breath'), cycles: whole(BOUNDS.cycles, 'Breaths.'), phases: PHASES },
    'Paced breathing.',
  ),
  check: object(
    {
      kind: constant('check'),
      what: text(LENGTHS.check, 'What is looked at or compared.', 1),
      seconds: seconds(BOUNDS.holdSeconds, 'Length.'),
    },
    'Look, compare.',
  ),
  test: object(
    {
      kind: constant('test'),
      measure: id('What is measured: a measure of a single number.'),
      place: text(64, 'Muscle or region it is read at; empty where the measure has none.'),
      seconds: seconds(BOUNDS.holdSeconds, 'Usual length.'),
    },
    'Take a reading and keep it.',
  ),
});

export const STROKES = [
  'still',
  'one-way',
  'to-and-fro',
  'one-way-then-other',
  'circles-one-way',
  'circles-both-ways',
  'in-place',
] as const;
export const SIDE_MODES = ['together', 'midline', 'each', 'left', 'right'] as const;
const SIDES = object({
  mode: oneOf(SIDE_MODES, 'together = both at once; each = one after the other; left, right = that side only.'),
  first: SIDE,
  sets: whole(BOUNDS.sets, 'Rounds a side.'),
  extra: orNull(
    object({
      side: SIDE,
      sets: whole(BOUNDS.sets, 'More rounds on that side.'),
      reason: text(LENGTHS.reason, 'Why it is intended; empty = not said.'),
    }),
  ),
  sequence: oneOf(['side-complete', 'alternate'] as const, 'One side wholly, then the other; or set by set.'),
});

const PAUSES = object(
  {
    findPlaceSeconds: seconds(BOUNDS.pauseSeconds, 'Finding the place before the work.'),
    nextPlaceSeconds: seconds(BOUNDS.pauseSeconds, 'On to the next place of the path.'),
    directionChangeSeconds: seconds(BOUNDS.pauseSeconds, 'Turning to the other way.'),
    restSeconds: seconds(BOUNDS.pauseSeconds, 'Between sets.'),
    sideChangeSeconds: seconds(BOUNDS.pauseSeconds, 'To the other side.'),
    swapSeconds: seconds(BOUNDS.pauseSeconds, 'Hands swap; in place of the rest.'),
  },
  'Time that nobody counts by hand.',
);

const HEADS = ['still', 'turns-away', 'turns-toward', 'drops', 'tips-back', 'tips-aside', 'nods'] as const;
const JAWS = ['loose', 'closed', 'slightly-open', 'wide', 'opens-and-closes', 'o-shape', 'clenches'] as const;
const EYES = ['any', 'shut', 'open', 'blink', 'squeeze'] as const;
const TONGUES = ['rest', 'palate', 'presses-palate', 'out', 'circles'] as const;

/** What the client does meanwhile, part by part. */
export const BODY_WAYS = { head: HEADS, jaw: JAWS, eyes: EYES, tongue: TONGUES } as const;

/** What is done, whatever it is called: all of a step but its name, its technique and its note. */
export const WORK_FIELDS = {
  path: list(PLACE, [0, LENGTHS.path], 'Places in the order they are worked, of one side; mirrored for the other.'),
  contact: oneOf(CONTACTS, 'What touches.'),
  still: orNull(object({ contact: oneOf(CONTACTS), place: orNull(PLACE) }, 'A second contact that stays put.')),
  motion: oneOf(MOTIONS, 'What the contact does.'),
  stroke: oneOf(STROKES, 'How it travels. The two “other way” strokes count every repetition once each way.'),
  pressure: orNull(
    object(
      {
        there: oneOf(PRESSURES),
        back: orNull(oneOf(PRESSURES, 'On the way back, where it differs.')),
      },
      'null where nothing presses.',
    ),
  ),
  sides: SIDES,
  dose: object({
    parts: list(PARTS, [1, LENGTHS.parts], 'What is done, one after the other.'),
    perPlace: yesNo('true = all of it at every place of the path; false = one pass over the path.'),
    pauses: PAUSES,
  }),
  swap: oneOf(['none', 'each-set', 'each-count'] as const, 'When the hands change over.'),
  body: object(
    {
      head: oneOf(HEADS, 'turns-away = from the side that is worked.'),
      jaw: oneOf(JAWS),
      eyes: oneOf(EYES),
      tongue: oneOf(TONGUES),
    },
    'What the client does meanwhile.',
  ),
  breath: orNull(
    object(
      {
        phases: orNull(PHASES),
        words: text(LENGTHS.words, 'How: “through the nose”.'),
      },
      'Goes on during the work; phases null = at the client’s own pace.',
    ),
  ),
};

export const STEP_FIELD = object(
  {
    kind: constant('step'),
    id: id('Unique in the routine.'),
    technique: id('Id of a technique; one the reader does not know is refused.'),
    label: orNull(text(LENGTHS.label, 'Own name of the step; null = the technique’s.')),
    ...WORK_FIELDS,
    glide: oneOf(['dry', 'product', 'either'] as const, 'Skin.'),
    note: text(LENGTHS.note, ''),
  },
  'One step.',
);

const BLOCK_SIDES = ['left-then-right', 'right-then-left', 'sorer-first'] as const;
const BLOCK = object(
  {
    kind: constant('block'),
    id: id('Unique in the routine.'),
    label: orNull(text(LENGTHS.label, 'Name of the block.')),
    sides: oneOf(BLOCK_SIDES, 'All steps on one side, then all on the other.'),
    steps: list(STEP_FIELD, [1, BOUNDS.steps[1]], 'Steps in order; those that are not one-sided are done once, first.'),
  },
  'Steps that change side together.',
);

/** What comes first, where schools differ. */
const ORDER = object(
  {
    begin: oneOf(['neck', 'any'] as const, 'Neck before face, or as it comes.'),
    exercise: oneOf(['after-release', 'any'] as const, 'Release before exercise, or as it comes.'),
    drainage: oneOf(['open-and-close', 'close-only', 'none'] as const, 'How drainage frames the work.'),
    reason: text(LENGTHS.reason, 'Why this routine departs from its school.'),
  },
  'Departs from the order of the school.',
);

/** The whole description. */
export const ROUTINE = object({
  format: constant(ROUTINE_FORMAT),
  schemaVersion: constant(ROUTINE_VERSION),
  name: text(LENGTHS.name, 'Name of the routine.', 1),
  budgetMinutes: orNull(number(BOUNDS.budgetMinutes, 'min', 'Minutes available; null when time does not matter.')),
  school: id('School of order; one the reader does not know is taken for the usual one.'),
  order: orNull(ORDER),
  items: list(kinds({ step: STEP_FIELD, block: BLOCK }), [0, BOUNDS.steps[1]], 'Steps and blocks in order.'),
  notes: text(LENGTHS.notes, 'What else belongs to it.'),
});

export interface Routine extends Value<typeof ROUTINE> {}
export interface Step extends Value<typeof STEP_FIELD> {}
export interface Block extends Value<typeof BLOCK> {}
export type Item = Step | Block;
export type DosePart = Value<typeof PARTS>;
export type BreathPhaseLength = Value<typeof PHASES>[number];
export interface Pauses extends Value<typeof PAUSES> {}
export interface SidePlan extends Value<typeof SIDES> {}
export type Stroke = Step['stroke'];
export type Body = Step['body'];
/** The three settings of order that a school decides and a routine may depart from. */
export type OrderProfile = Omit<Value<typeof ORDER>, 'reason'>;

/** Seconds between pieces of work that nobody counts by hand. Our choice, tried against stated lengths of whole routines. */
export const USUAL_PAUSES: Readonly<Pauses> = {
  findPlaceSeconds: 4,
  nextPlaceSeconds: 2,
  directionChangeSeconds: 1,
  restSeconds: 2,
  sideChangeSeconds: 4,
  swapSeconds: 2,
};

/** School of a routine that names none. */
export const USUAL_SCHOOL = 'neck-first';

/**
 * All steps in the order in which they stand, those of blocks among them. Everywhere else "the index of a step" is its
 * index here.
 */
export const stepsOf = (routine: Pick<Routine, 'items'>): Step[] =>
  routine.items.some((item) => item.kind === 'block')
    ? routine.items.flatMap((item) => (item.kind === 'block' ? item.steps : [item]))
    : (routine.items as Step[]);

/** The harder of a step's two pressures; null where nothing presses. */
export function hardestOf(step: Pick<Step, 'pressure'>): Pressure | null {
  if (!step.pressure) return null;
  const { there, back } = step.pressure;
  return back && pressureRank(back) > pressureRank(there) ? back : there;
}

/** The same pressure both ways. */
export const pressed = (there: Pressure | null): Step['pressure'] => there && { there, back: null };

/** Strokes that do every counted repetition once each way, one way after the other. */
export const goesBothWays = (stroke: Stroke): boolean =>
  stroke === 'one-way-then-other' || stroke === 'circles-both-ways';

/** What is taken where no school says anything. */
export const USUAL_ORDER: OrderProfile = { begin: 'neck', exercise: 'after-release', drainage: 'open-and-close' };

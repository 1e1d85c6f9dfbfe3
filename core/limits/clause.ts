import {
  pressureRank,
  PRESSURES,
  type PlaceRef,
  type PositionWord,
  type Pressure,
  type Region,
  type ToolWord,
  type WorkWord,
} from '../words/index.ts';

/**
 * What a caution closes: all that is named has to hold, of each list any one. `{ work: ['any'] }` is the whole visit;
 * places alone close the place for everything; places with work, tools or pressures close that work there only. A region
 * beside a muscle means "that muscle, where it lies in that region".
 * @example { region: ['neck-side'], pressure: ['firm', 'deep'] }
 */
export interface Clause {
  /** Kinds of work; `any` alone is the whole visit. */
  work?: readonly (WorkWord | 'any')[];
  /** Any of these pressures, on either way. */
  pressure?: readonly Pressure[];
  /** Any of these tools. */
  tool?: readonly ToolWord[];
  /** How the client lies or sits. */
  position?: readonly PositionWord[];
  /** Any of these regions. */
  region?: readonly Region[];
  /** Ids of points. */
  point?: readonly string[];
  /** Ids of muscles. */
  muscle?: readonly string[];
  /** Kinds of work to which it does not apply. */
  not?: readonly WorkWord[];
  /** At this pressure it is free again: what is harder is lowered to it. With `pressure`, those pressures only. */
  cap?: Pressure;
  /** What it does, where that does not follow from the caution. */
  effect?: 'stop' | 'warn' | 'note';
  /** No reason in writing lifts it. */
  final?: true;
  /** It holds on both sides although one was told. */
  bothSides?: true;
}
export type ClauseKind = Exclude<keyof Clause, 'not' | 'cap' | 'effect' | 'final' | 'bothSides'>;
/** Kinds of words in the order in which a clause is looked up by: the rarest first. */
export const CLAUSE_KINDS = [
  'point',
  'muscle',
  'region',
  'work',
  'tool',
  'position',
  'pressure',
] as const satisfies readonly ClauseKind[];
const PLACE_KINDS = ['region', 'point', 'muscle'] as const satisfies readonly ClauseKind[];
const WORK_KINDS = ['work', 'tool', 'position', 'pressure'] as const satisfies readonly ClauseKind[];

/** What is known about a step when it is held against cautions: the words of each kind that it has. */
export type StepFacts = Readonly<Record<ClauseKind, ReadonlySet<string>>>;

/** What is known about a place. */
export interface PlaceFacts {
  /** Region it lies in; null when it is unknown. */
  region: Region | null;
  /** Id, when it is a point. */
  point?: string;
  /** Id, when it is a muscle. */
  muscle?: string;
}

/**
 * What one clause closes, worked out once. Screening, chart, atlas and composer read this and nothing else, so that they
 * cannot differ.
 */
export interface Closed {
  /** Everything, everywhere. */
  wholeVisit: boolean;
  /** It speaks of places. */
  hasPlace: boolean;
  /** It closes all work there; false when only some of it. */
  allWork: boolean;
  /** Pressures it closes; null when it does not speak of pressure. */
  pressures: ReadonlySet<string> | null;
  /** Kinds of work to which it does not apply; null when it applies to all. */
  not: ReadonlySet<string> | null;
  /** The words it names, by kind; absent kinds do not matter. */
  words: Partial<Record<ClauseKind, ReadonlySet<string>>>;
  /** The same as a list, the rarest kind first, without the word that means any work. */
  all: readonly (readonly [ClauseKind, ReadonlySet<string>])[];
}

const known = new WeakMap<Clause, Closed>();

export function closes(clause: Clause): Closed {
  let closed = known.get(clause);
  if (closed) return closed;
  const words: Closed['words'] = {};
  for (const kind of CLAUSE_KINDS) if (clause[kind]) words[kind] = new Set<string>(clause[kind]);
  if (clause.cap && !words.pressure) words.pressure = new Set(PRESSURES.slice(pressureRank(clause.cap)));
  const named = Object.keys(words);
  closed = {
    wholeVisit: named.length === 1 && !!clause.work?.includes('any'),
    hasPlace: PLACE_KINDS.some((k) => words[k]),
    allWork: WORK_KINDS.every((k) => !words[k]) && !clause.not,
    pressures: words.pressure ?? null,
    not: clause.not ? new Set<string>(clause.not) : null,
    words,
    all: CLAUSE_KINDS.flatMap((kind) =>
      words[kind] && !(kind === 'work' && words.work!.has('any')) ? [[kind, words[kind]] as const] : [],
    ),
  };
  known.set(clause, closed);
  return closed;
}

/** Whether a step runs into what is closed. */
export function closesStep(closed: Closed, facts: StepFacts): boolean {
  if (closed.not && meets(facts.work, closed.not)) return false;
  for (const [kind, words] of closed.all) if (!meets(facts[kind], words)) return false;
  return true;
}
/** A step has few words, a clause may name many points. */
function meets(has: ReadonlySet<string>, words: ReadonlySet<string>): boolean {
  for (const word of has) if (words.has(word)) return true;
  return false;
}

/** Whether a place lies in what is closed there, whatever of the work it is. */
export function closesPlace({ hasPlace, words }: Closed, place: PlaceFacts): boolean {
  const holds = (kind: 'region' | 'point' | 'muscle'): boolean => {
    const of = words[kind];
    const has = place[kind];
    return !of || (typeof has === 'string' && of.has(has));
  };
  return hasPlace && PLACE_KINDS.every(holds);
}

/** Whether nothing at all may be done at a place: all work is closed there, or every contact that stays. */
export const closesAllThere = (clause: Clause): boolean =>
  closes(clause).allWork ||
  (!!clause.point && !closes(clause).pressures && !!clause.work?.includes('standing-contact'));

/** Places that a clause names and closes for everything: those that lie in all that it names. */
export function placesOf(clause: Clause, regionOf: (place: PlaceRef) => Region | null): PlaceRef[] {
  const closed = closes(clause);
  if (!closed.hasPlace || !closesAllThere(clause)) return [];
  return PLACE_KINDS.flatMap((kind) => (clause[kind] ?? []).map((id): PlaceRef => ({ kind, id }))).filter((place) =>
    closesPlace(closed, {
      region: place.kind === 'region' ? (place.id as Region) : regionOf(place),
      ...(place.kind === 'region' ? {} : { [place.kind]: place.id }),
    }),
  );
}

import {
  USUAL_PAUSES,
  type Body,
  type DosePart,
  type SidePlan,
  type Step,
  type Stroke,
  type Technique,
} from '../../../core/routine/index.ts';
import type {
  ComplaintKind,
  Contact,
  Craft,
  Motion,
  Phase,
  PlaceRef,
  Pressure,
  Region,
  Role,
  WorkWord,
} from '../../../core/words/index.ts';

export const point = (id: string): PlaceRef => ({ kind: 'point', id });
export const muscle = (id: string): PlaceRef => ({ kind: 'muscle', id });
export const node = (id: string): PlaceRef => ({ kind: 'node', id });
export const region = (id: Region): PlaceRef => ({ kind: 'region', id });
export const landmark = (id: string): PlaceRef => ({ kind: 'landmark', id });

export const hold = (seconds: number): DosePart => ({ kind: 'hold', seconds });
/** What one row says of a counted part: how far it may go, and whether it is done one way and then the other. */
export interface ShortBeats {
  most?: number;
  directions?: 1 | 2;
  per?: 'spot' | 'pass';
}
/** Parts as the rows write them: a counted part says how it travels, which the step turns into its stroke. */
type ShortPart = DosePart & { ways?: 1 | 2; pass?: boolean };
export const beats = (count: number, perMinute: number, unit: string, more: ShortBeats = {}): ShortPart => ({
  kind: 'beats',
  count,
  most: more.most ?? null,
  perMinute,
  unit,
  ways: more.directions ?? 1,
  pass: more.per === 'pass',
});
export const open = (until: string, usualSeconds: number, leastSeconds: number, mostSeconds: number): DosePart => ({
  kind: 'open',
  until,
  usualSeconds,
  leastSeconds,
  mostSeconds,
});
type Phases = Extract<DosePart, { kind: 'breath' }>['phases'];
/** Phases of one breath; a second sip of air after the first, where there is one. */
const phases = (inSeconds: number, outSeconds: number, holdSeconds = 0, sipSeconds = 0): Phases => [
  { what: 'in', seconds: inSeconds },
  ...(sipSeconds ? [{ what: 'in-again' as const, seconds: sipSeconds }] : []),
  ...(holdSeconds ? [{ what: 'hold' as const, seconds: holdSeconds }] : []),
  { what: 'out', seconds: outSeconds },
];
export const breaths = (
  cycles: number,
  inSeconds: number,
  outSeconds: number,
  holdSeconds = 0,
  sipSeconds = 0,
): DosePart => ({ kind: 'breath', cycles, phases: phases(inSeconds, outSeconds, holdSeconds, sipSeconds) });
export const check = (what: string, seconds: number): DosePart => ({ kind: 'check', what, seconds });

export interface Short {
  regions: Region[];
  muscles?: string[];
  points?: string[];
  places?: PlaceRef[];
  contacts: Contact[];
  still?: Contact;
  motion: Motion;
  direction: string;
  /** least, usual, most */
  press?: [Pressure, Pressure, Pressure];
  sides: SidePlan['mode'];
  parts: ShortPart[];
  sets?: number;
  spots?: number;
  swapHands?: boolean;
  /** Breathing that goes on during the work. */
  breath?: Phases;
  words?: WorkWord[];
  tool?: Technique['tool'];
  glide?: Step['glide'];
  head?: Body['head'];
  jaw?: Body['jaw'];
  eyes?: Body['eyes'];
  tongue?: Body['tongue'];
  serves: ComplaintKind[];
  cue: string;
  client?: string;
  perDayMost?: number;
  craft?: Craft;
  roles?: Role[];
  heed?: string[];
  leadInSeconds?: number;
}

/** The craft that most teaches such work, where the row does not say. */
function craftOf(phase: Phase, s: Short): Craft {
  if (s.craft) return s.craft;
  if (s.tool === 'ball' || s.tool === 'roller') return 'ball-release';
  if (s.tool === 'probe') return 'reflex-probe';
  if (s.tool === 'microcurrent-device') return 'microcurrent-glide';
  const byPhase: Partial<Record<Phase, Craft>> = {
    breathe: 'breathwork',
    'open-drainage': 'lymph-drainage',
    'close-drainage': 'lymph-drainage',
    press: 'point-holding',
    exercise: 'resisted-exercise',
    stretch: 'neck-stretch',
  };
  return byPhase[phase] ?? 'hand-massage';
}

const SLIDING: ReadonlySet<Motion> = new Set<Motion>(['glide', 'sweep', 'shear', 'rub', 'roll']);
function strokeOf({ motion, parts }: Short): Stroke {
  const bothWays = parts.some((p) => p.ways === 2);
  if (motion === 'circle') return bothWays ? 'circles-both-ways' : 'circles-one-way';
  if (bothWays) return 'one-way-then-other';
  if (SLIDING.has(motion)) return 'one-way';
  return motion === 'hold' ? 'still' : 'in-place';
}
/** So many spots: the places that are named, round and round. */
const pathOf = (places: PlaceRef[], { spots = 1 }: Short): PlaceRef[] =>
  spots > 1 ? Array.from({ length: spots }, (_, i) => places[i % places.length]!) : places;

/** Doses and directions are common practice of the trade without a published source; tempo and pauses are our choice. */
export function technique(id: string, name: string, phase: Phase, s: Short): Technique {
  const places = s.places ?? [
    ...(s.points ?? []).map(point),
    ...(s.points?.length ? [] : (s.muscles ?? []).slice(0, 1).map(muscle)),
  ];
  const placesOrRegion = places.length ? places : s.regions.slice(0, 1).map(region);
  return {
    id,
    name,
    phase,
    craft: craftOf(phase, s),
    roles: s.roles ?? [],
    regions: s.regions,
    muscles: s.muscles ?? [],
    points: s.points ?? [],
    places: placesOrRegion,
    contacts: s.contacts,
    motion: s.motion,
    direction: s.direction,
    pressure: s.press ? { least: s.press[0], most: s.press[2] } : null,
    words: s.words ?? [],
    tool: s.tool ?? null,
    glide: s.glide ?? 'either',
    serves: s.serves,
    cue: s.cue,
    clientCue: s.client ?? '',
    perDayMost: s.perDayMost ?? null,
    heed: s.heed ?? [],
    defaults: {
      kind: 'step',
      label: null,
      path: pathOf(placesOrRegion, s),
      contact: s.contacts[0]!,
      still: s.still ? { contact: s.still, place: null } : null,
      motion: s.motion,
      stroke: strokeOf(s),
      pressure: s.press ? { there: s.press[1], back: null } : null,
      sides: { mode: s.sides, first: 'left', sets: s.sets ?? 1, extra: null, sequence: 'side-complete' },
      dose: {
        parts: s.parts.map(({ ways: _ways, pass: _pass, ...part }): DosePart => part),
        perPlace: (s.spots ?? 1) > 1,
        pauses: { ...USUAL_PAUSES, findPlaceSeconds: s.leadInSeconds ?? USUAL_PAUSES.findPlaceSeconds },
      },
      swap: s.swapHands ? 'each-set' : 'none',
      body: { head: s.head ?? 'still', jaw: s.jaw ?? 'loose', eyes: s.eyes ?? 'any', tongue: s.tongue ?? 'rest' },
      breath: s.breath ? { phases: s.breath, words: '' } : null,
      glide: s.glide ?? 'either',
      note: '',
    },
  };
}

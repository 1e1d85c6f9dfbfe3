import type { BreathPattern, DosePart, SidePlan, Step, Technique } from '../../../core/routine/index.ts';
import type {
  ComplaintKind,
  Contact,
  Motion,
  Phase,
  PlaceRef,
  Pressure,
  Region,
  School,
  WorkWord,
} from '../../../core/words/index.ts';

export const point = (id: string): PlaceRef => ({ kind: 'point', id });
export const muscle = (id: string): PlaceRef => ({ kind: 'muscle', id });
export const node = (id: string): PlaceRef => ({ kind: 'node', id });
export const region = (id: Region): PlaceRef => ({ kind: 'region', id });
export const landmark = (id: string): PlaceRef => ({ kind: 'landmark', id });

export const hold = (seconds: number): DosePart => ({ kind: 'hold', seconds });
export const beats = (
  count: number,
  perMinute: number,
  unit: string,
  more: { most?: number; directions?: 1 | 2; per?: 'spot' | 'pass' } = {},
): DosePart => ({
  kind: 'beats',
  count,
  countMost: more.most ?? null,
  perMinute,
  unit,
  directions: more.directions ?? 1,
  per: more.per ?? 'spot',
});
export const open = (until: string, estimateSeconds: number, leastSeconds: number, mostSeconds: number): DosePart => ({
  kind: 'open',
  until,
  estimateSeconds,
  leastSeconds,
  mostSeconds,
});
export const breaths = (cycles: number, inSeconds: number, outSeconds: number, holdInSeconds = 0): DosePart => ({
  kind: 'breath',
  cycles,
  pattern: { inSeconds, holdInSeconds, outSeconds, holdOutSeconds: 0 },
});
export const check = (what: string, seconds: number): DosePart => ({ kind: 'check', what, seconds });

/** Seconds between pieces of work that nobody counts by hand. Our choice, to be learned from real runs. */
const PAUSES = {
  leadInSeconds: 4,
  restSeconds: 2,
  sideChangeSeconds: 4,
  directionChangeSeconds: 1,
  nextSpotSeconds: 2,
};

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
  parts: DosePart[];
  sets?: number;
  spots?: number;
  swapHands?: boolean;
  breath?: BreathPattern;
  words?: WorkWord[];
  tool?: Technique['tool'];
  glide?: Step['glide'];
  head?: Step['head'];
  jaw?: Step['jaw'];
  eyes?: Step['eyes'];
  serves: ComplaintKind[];
  cue: string;
  client?: string;
  perDayMost?: number;
  school?: School;
  heed?: string[];
  leadInSeconds?: number;
}

/** The school that most teaches such work, where the row does not say. */
function schoolOf(phase: Phase, s: Short): School {
  if (s.school) return s.school;
  if (s.tool === 'ball' || s.tool === 'roller') return 'ball-release';
  if (s.tool === 'probe') return 'reflex-probe';
  if (s.tool === 'microcurrent-device') return 'microcurrent-glide';
  const byPhase: Partial<Record<Phase, School>> = {
    breathe: 'breathwork',
    'open-drainage': 'lymph-drainage',
    'close-drainage': 'lymph-drainage',
    press: 'point-holding',
    exercise: 'resisted-exercise',
    stretch: 'neck-stretch',
  };
  return byPhase[phase] ?? 'hand-massage';
}

/** Doses and directions are common practice of the trade without a published source; tempo and pauses are our choice. */
export function technique(id: string, name: string, phase: Phase, s: Short): Technique {
  const places = s.places ?? [
    ...(s.points ?? []).map(point),
    ...(s.points?.length ? [] : (s.muscles ?? []).slice(0, 1).map(muscle)),
  ];
  return {
    id,
    name,
    phase,
    school: schoolOf(phase, s),
    regions: s.regions,
    muscles: s.muscles ?? [],
    points: s.points ?? [],
    places: places.length ? places : s.regions.slice(0, 1).map(region),
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
      label: null,
      places: places.length ? places : s.regions.slice(0, 1).map(region),
      contact: s.contacts[0]!,
      stillContact: s.still ?? null,
      motion: s.motion,
      pressure: s.press ? s.press[1] : null,
      returnPressure: null,
      sides: { mode: s.sides, first: 'left', sets: s.sets ?? 1, extra: null, sequence: 'side-complete' },
      dose: {
        parts: s.parts,
        spots: s.spots ?? 1,
        pauses: { ...PAUSES, leadInSeconds: s.leadInSeconds ?? PAUSES.leadInSeconds },
      },
      swapHands: s.swapHands ?? false,
      breath: s.breath ?? null,
      head: s.head ?? 'still',
      jaw: s.jaw ?? 'loose',
      eyes: s.eyes ?? 'any',
      glide: s.glide ?? 'either',
      note: '',
    },
  };
}

import {
  USUAL_PAUSES,
  type Body,
  type DosePart,
  type SidePlan,
  type Step,
  type Stroke,
  type Technique,
} from '../../../core/routine/index.ts';
import {
  contactsLike,
  type ClientPosition,
  type ComplaintKind,
  type Contact,
  type Craft,
  type Doer,
  type Glide,
  type Ground,
  type Motion,
  type Need,
  type Phase,
  type PlaceRef,
  type Pressure,
  type Region,
  type Role,
  type SoughtFor,
  type WorkWord,
} from '../../../core/words/index.ts';

/** A place as rows write it: "point:GB20". */
type PlaceWord = `${PlaceRef['kind']}:${string}`;
const placeOf = (word: PlaceWord): PlaceRef => {
  const colon = word.indexOf(':');
  return { kind: word.slice(0, colon) as PlaceRef['kind'], id: word.slice(colon + 1) };
};

export const hold = (seconds: number): DosePart => ({ kind: 'hold', seconds });
/** So many at so many a minute; `most` where it may become more. Of a stroke to and fro, one count is there and back. */
export const beats = (count: number, perMinute: number, unit: string, most: number | null = null): DosePart => ({
  kind: 'beats',
  count,
  most,
  perMinute,
  unit,
});
export const open = (usualSeconds: number, leastSeconds: number, mostSeconds: number, until: string): DosePart => ({
  kind: 'open',
  until,
  usualSeconds,
  leastSeconds,
  mostSeconds,
});
type PhaseWord = Extract<DosePart, { kind: 'breath' }>['phases'][number]['what'];
export const breath = (cycles: number, ...phases: readonly [what: PhaseWord, seconds: number][]): DosePart => ({
  kind: 'breath',
  cycles,
  phases: phases.map(([what, seconds]) => ({ what, seconds })),
});
export const check = (seconds: number, what: string): DosePart => ({ kind: 'check', what, seconds });

/** One technique as it stands in the tables. What is left out is usual: see `techniqueOf`. */
export interface Row {
  name: string;
  phase: Phase;
  roles?: readonly Role[];
  regions: readonly Region[];
  muscles?: readonly string[];
  points?: readonly string[];
  contact: Contact;
  /** A second contact that stays put, and where: "palm on landmark:trichion". */
  still?: `${Contact} on ${PlaceWord}`;
  motion: Motion;
  stroke: Stroke;
  direction?: string;
  /** Least, usual and most; left out where nothing presses. */
  press?: readonly [least: Pressure, usual: Pressure, most: Pressure];
  /** On the way back, where it differs. */
  back?: Pressure;
  /** In working order, of one side. */
  path: readonly PlaceWord[];
  /** For one side and one direction. */
  dose: readonly DosePart[];
  /** The dose anew at every place; else one pass covers the path. */
  perPlace?: true;
  sides?: 'each' | 'alternate' | 'midline';
  sets?: number;
  swap?: Step['swap'];
  body?: Partial<Body>;
  /** How one breathes meanwhile. */
  breath?: string;
  glide?: Glide;
  tool?: Technique['tool'];
  equipment?: string;
  by?: Doer;
  needs?: readonly Need[];
  isTest?: true;
  position?: ClientPosition;
  posture?: string;
  serves: readonly ComplaintKind[];
  soughtFor?: readonly SoughtFor[];
  words?: readonly WorkWord[];
  cue: string;
  client?: string;
  feel: string;
  avoid: string;
  perDayMost?: number;
  heed?: readonly string[];
  grounds: Ground;
  observedSeconds?: number;
  /** Of one point or muscle by itself. */
  plain?: true;
}

function sidesOf({ sides, sets = 1 }: Row): SidePlan {
  const mode = sides === 'alternate' ? 'each' : (sides ?? 'together');
  return { mode, first: 'left', sets, extra: null, sequence: sides === 'alternate' ? 'alternate' : 'side-complete' };
}
function stillOf(still: string | undefined): Step['still'] {
  if (!still) return null;
  const [contact, place] = still.split(' on ') as [Contact, PlaceWord];
  return { contact, place: placeOf(place) };
}

/** A row as the core wants it. */
export function techniqueOf(id: string, craft: Craft, row: Row): Technique {
  const { press, glide = 'either' } = row;
  const stepGlide = glide === 'dry' ? 'dry' : glide === 'either' ? 'either' : 'product';
  return {
    id,
    name: row.name,
    phase: row.phase,
    craft,
    roles: row.roles ?? [],
    regions: row.regions,
    muscles: row.muscles ?? [],
    points: row.points ?? [],
    contacts: contactsLike(row.contact),
    motion: row.motion,
    direction: row.direction ?? '',
    pressure: press ? { least: press[0], most: press[2] } : null,
    words: row.words ?? [],
    tool: row.tool ?? null,
    equipment: row.equipment ?? '',
    glide,
    by: row.by ?? 'both',
    needs: row.needs ?? [],
    isTest: row.isTest ?? false,
    position: row.position ?? 'any',
    posture: row.posture ?? '',
    serves: row.serves,
    soughtFor: row.soughtFor ?? [],
    cue: row.cue,
    clientCue: row.client ?? '',
    feelFor: row.feel,
    avoid: row.avoid,
    perDayMost: row.perDayMost ?? null,
    heed: row.heed ?? [],
    grounds: row.grounds,
    observedSeconds: row.observedSeconds ?? null,
    plain: row.plain ?? false,
    own: false,
    retired: false,
    defaults: {
      kind: 'step',
      label: null,
      path: row.path.map(placeOf),
      contact: row.contact,
      still: stillOf(row.still),
      motion: row.motion,
      stroke: row.stroke,
      pressure: press ? { there: press[1], back: row.back ?? null } : null,
      sides: sidesOf(row),
      dose: { parts: [...row.dose], perPlace: row.perPlace ?? false, pauses: { ...USUAL_PAUSES } },
      swap: row.swap ?? 'none',
      body: { head: 'still', jaw: 'loose', eyes: 'any', tongue: 'rest', ...row.body },
      breath: row.breath ? { phases: null, words: row.breath } : null,
      glide: stepGlide,
      note: '',
    },
  };
}

/** Rows of one kind of work, by id. */
export const rowsOf = (craft: Craft, rows: Readonly<Record<string, Row>>): readonly Technique[] =>
  Object.entries(rows).map(([id, row]) => techniqueOf(id, craft, row));

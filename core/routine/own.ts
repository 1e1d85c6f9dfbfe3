import {
  CLIENT_POSITIONS,
  COMES_WITH,
  COMPLAINT_KINDS,
  contactsLike,
  CRAFTS,
  DOERS,
  GLIDES,
  InputError,
  NEEDS,
  PHASES,
  pressureRank,
  PRESSURES,
  type Region,
  SOUGHT_FOR,
  TECHNIQUE_TOOLS,
} from '../words/index.ts';
import { checkParts } from './document.ts';
import { constant, id, list, object, oneOf, orNull, text, whole, yesNo, type Value } from '../documents/index.ts';
import { hardestOf, USUAL_PAUSES, WORK_FIELDS } from './model.ts';
import { readField } from '../documents/index.ts';
import type { Catalogue, Technique } from './technique.ts';

/** A practice's own techniques as a file, version 1. */
const OWN_FORMAT = 'velvet-compass/techniques';
const OWN_VERSION = 1;
/** Most techniques that a practice keeps of its own, and that one file holds. Our choice. */
export const OWN_MOST = 300;

/** Most characters of the words of a technique: a cue is read in the pace of a breath, a name on a phone. Our choice. */
export const TECHNIQUE_LENGTHS = {
  name: 70,
  direction: 120,
  equipment: 150,
  posture: 110,
  cue: 140,
  clientCue: 90,
  feelFor: 110,
  avoid: 90,
} as const;
const L = TECHNIQUE_LENGTHS;

/** One technique of a practice: the fields of the library's, with the work as a step has it. */
const OWN = object(
  {
    id: id('Kept for good; routines name it.'),
    name: text(L.name, 'As it is shown.', 1),
    phase: oneOf(PHASES, 'Where it usually stands in a routine.'),
    craft: oneOf(CRAFTS, 'The way of working it belongs to.'),
    pressure: orNull(
      object({ least: oneOf(PRESSURES), most: oneOf(PRESSURES) }, 'Range of pressure; null where nothing presses.'),
    ),
    direction: text(L.direction, 'The way the contact goes, in words.'),
    comesWith: list(oneOf(COMES_WITH), [0, COMES_WITH.length], 'What comes with it that its movement does not tell.'),
    tool: orNull(oneOf(TECHNIQUE_TOOLS, 'null for the bare hand.')),
    equipment: text(L.equipment, 'What has to be at hand.'),
    glide: oneOf(GLIDES, 'What goes on the skin.'),
    by: oneOf(DOERS, 'Who can do it.'),
    needs: list(oneOf(NEEDS), [0, NEEDS.length], 'What has to be there before.'),
    isTest: yesNo('It finds something out and treats nothing.'),
    position: oneOf(CLIENT_POSITIONS, 'How the client lies or sits.'),
    posture: text(L.posture, 'The rest of the posture, in words.'),
    serves: list(oneOf(COMPLAINT_KINDS), [0, COMPLAINT_KINDS.length], 'Complaints it is used for.'),
    soughtFor: list(oneOf(SOUGHT_FOR), [0, SOUGHT_FOR.length], 'What people also come for.'),
    cue: text(L.cue, 'What the practitioner reads while working.', 1),
    clientCue: text(L.clientCue, 'What the client is told.'),
    feelFor: text(L.feelFor, 'What the hands wait for.', 1),
    avoid: text(L.avoid, 'What goes wrong most easily.', 1),
    perDayMost: orNull(whole([1, 50], 'How often a day at most.')),
    heed: list(id('Key of a caution.'), [0, 40], 'Cautions that this work raises.'),
    work: object(WORK_FIELDS, 'The step as it begins.'),
  },
  'One technique of a practice.',
);
/** The whole file. */
export const OWN_FILE = object({
  format: constant(OWN_FORMAT),
  schemaVersion: constant(OWN_VERSION),
  techniques: list(OWN, [0, OWN_MOST], 'In any order; each id once.'),
});

/** One technique of a practice as it is stored and exchanged. */
export interface OwnTechnique extends Value<typeof OWN> {}

/** What a reader knows besides: places, and the cautions there are. */
export interface KnownHere {
  /** Region and name of places. */
  catalogue: Catalogue;
  /** Keys of all cautions. */
  cautions: ReadonlySet<string>;
}

/**
 * Read an unknown value as a technique of a practice.
 * @param path Put before the field of an error: "techniques[2]."; empty for one alone.
 * @throws InputError naming the first field that is wrong and what is accepted there: a place or a caution nobody knows,
 * a usual pressure outside its range, a dose out of bounds.
 */
export function readOwnTechnique(value: unknown, known: KnownHere, path = ''): OwnTechnique {
  const own = readField(OWN, value, path.replace(/\.$/, '')) as OwnTechnique;
  const refuse = (field: string, message: string): never => {
    throw new InputError(`${path}${field}`, message);
  };
  for (const field of ['name', 'cue', 'feelFor', 'avoid'] as const) if (!own[field].trim()) refuse(field, 'is missing');
  if (!own.work.path.length) refuse('work.path', 'at least one place is needed');
  own.work.path.forEach((place, i) => {
    if (!known.catalogue.regionOf(place)) refuse(`work.path[${i}]`, `"${place.id}" is no place of the charts`);
    if (place.kind === 'keep-off') refuse(`work.path[${i}]`, 'this place is never worked');
  });
  const still = own.work.still?.place;
  if (still && !known.catalogue.regionOf(still)) refuse('work.still.place', `"${still.id}" is no place of the charts`);
  own.heed.forEach((key, i) => {
    if (!known.cautions.has(key)) refuse(`heed[${i}]`, `"${key}" is no caution that is known here`);
  });
  checkParts(own.work, `${path}work`);
  checkPressure(own, refuse);
  return own;
}

function checkPressure({ pressure, work }: OwnTechnique, refuse: (field: string, message: string) => never): void {
  if (!pressure !== !work.pressure)
    refuse('pressure', 'range and usual pressure belong together: both are set, or nothing presses');
  if (!pressure || !work.pressure) return;
  if (pressureRank(pressure.least) > pressureRank(pressure.most))
    refuse('pressure.most', 'must not be less than least');
  const usual = pressureRank(work.pressure.there);
  if (usual < pressureRank(pressure.least) || usual > pressureRank(pressure.most))
    refuse('work.pressure.there', `${pressure.least} to ${pressure.most} is accepted`);
  if (pressureRank(hardestOf(work)!) > pressureRank(pressure.most))
    refuse('work.pressure.back', `at most ${pressure.most} is accepted`);
}

/** Read an unknown value as a file of techniques. @throws InputError with the path of the first thing that is wrong. */
export function readOwnFile(value: unknown, known: KnownHere): OwnTechnique[] {
  if (value === null || typeof value !== 'object' || Array.isArray(value))
    throw new InputError('file', 'must hold one object');
  const { format, schemaVersion, techniques } = value as Record<string, unknown>;
  if (format !== OWN_FORMAT) throw new InputError('format', `must be ${OWN_FORMAT}`);
  if (schemaVersion !== OWN_VERSION) throw new InputError('schemaVersion', `must be ${OWN_VERSION}`);
  if (Array.isArray(techniques) && techniques.length > OWN_MOST)
    throw new InputError('techniques', `holds too many; at most ${OWN_MOST} are accepted`);
  const file = readField(OWN_FILE, value, '') as Value<typeof OWN_FILE>;
  const seen = new Set<string>();
  return file.techniques.map((one, i) => {
    const own = readOwnTechnique(one, known, `techniques[${i}].`);
    if (seen.has(own.id) || known.catalogue.techniques.has(own.id))
      throw new InputError(`techniques[${i}].id`, `"${own.id}" is taken`);
    seen.add(own.id);
    return own;
  });
}

/** The file of some techniques. */
export const ownFileOf = (techniques: readonly OwnTechnique[]): Value<typeof OWN_FILE> => ({
  format: OWN_FORMAT,
  schemaVersion: OWN_VERSION,
  techniques: [...techniques],
});

/** A practice's technique as the rest of the core wants it: where it works follows from its path. */
export function fromOwn(own: OwnTechnique, catalogue: Catalogue, retired = false): Technique {
  const { work, comesWith, pressure, ...rest } = own;
  const regions = new Set<Region>();
  for (const place of work.path) regions.add(catalogue.regionOf(place)!);
  const idsOf = (kind: 'muscle' | 'point') => work.path.filter((p) => p.kind === kind).map((p) => p.id);
  const glide = own.glide === 'dry' || own.glide === 'either' ? own.glide : 'product';
  return {
    ...rest,
    roles: [],
    regions: [...regions],
    muscles: [...new Set(idsOf('muscle'))],
    points: [...new Set(idsOf('point'))],
    contacts: contactsLike(work.contact),
    motion: work.motion,
    pressure,
    words: comesWith,
    grounds: 'choice',
    observedSeconds: null,
    plain: false,
    own: true,
    retired,
    defaults: { kind: 'step', label: null, note: '', glide, ...work },
  };
}

/** A technique of the library or of the practice as the beginning of a new one of the practice. */
export function ownFrom(technique: Technique, newId: string, name: string): OwnTechnique {
  const { defaults } = technique;
  const comesWith = COMES_WITH.filter((w) => (technique.words as readonly string[]).includes(w));
  const { path, contact, still, motion, stroke, pressure, sides, dose, swap, body, breath } = structuredClone(defaults);
  return {
    id: newId,
    name: name.slice(0, L.name),
    phase: technique.phase,
    craft: technique.craft,
    pressure: technique.pressure && { ...technique.pressure },
    direction: technique.direction,
    comesWith,
    tool: technique.tool,
    equipment: technique.equipment,
    glide: technique.glide,
    by: technique.by,
    needs: [...technique.needs],
    isTest: technique.isTest,
    position: technique.position,
    posture: technique.posture,
    serves: [...technique.serves],
    soughtFor: [...technique.soughtFor],
    cue: technique.cue,
    clientCue: technique.clientCue,
    feelFor: technique.feelFor,
    avoid: technique.avoid,
    perDayMost: technique.perDayMost,
    heed: [...technique.heed],
    work: { path, contact, still, motion, stroke, pressure, sides, dose, swap, body, breath },
  };
}

/** A technique of a practice with nothing filled in yet. */
export const emptyOwn = (newId: string): OwnTechnique => ({
  id: newId,
  name: '',
  phase: 'release',
  craft: 'hand-massage',
  pressure: { least: 'feather', most: 'light' },
  direction: '',
  comesWith: [],
  tool: null,
  equipment: '',
  glide: 'either',
  by: 'both',
  needs: [],
  isTest: false,
  position: 'any',
  posture: '',
  serves: [],
  soughtFor: [],
  cue: '',
  clientCue: '',
  feelFor: '',
  avoid: '',
  perDayMost: null,
  heed: [],
  work: {
    path: [],
    contact: 'fingertips',
    still: null,
    motion: 'circle',
    stroke: 'circles-one-way',
    pressure: { there: 'light', back: null },
    sides: { mode: 'together', first: 'left', sets: 1, extra: null, sequence: 'side-complete' },
    dose: {
      parts: [{ kind: 'beats', count: 10, most: null, perMinute: 30, unit: 'circles' }],
      perPlace: false,
      pauses: { ...USUAL_PAUSES },
    },
    swap: 'none',
    body: { head: 'still', jaw: 'loose', eyes: 'any', tongue: 'rest' },
    breath: null,
  },
});

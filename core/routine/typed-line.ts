import { type Contact, CONTACTS, InputError, type Pressure, PRESSURES } from '../words/index.ts';
import { BOUNDS, type DosePart, type SidePlan, type Step } from './model.ts';
import { newStep, type Technique } from './technique.ts';

/**
 * A step typed as one line: "masseter knuckle firm 20x left", "temple circles 10s both", "skull base 4 spots each".
 * Words that are not a pressure, a dose, a side or a contact look for the technique.
 */
export interface TypedLine {
  words: string[];
  pressure: Pressure | null;
  mode: SidePlan['mode'] | null;
  count: number | null;
  seconds: number | null;
  perMinute: number | null;
  sets: number | null;
  spots: number | null;
  bothWays: boolean;
  contact: Contact | null;
}

const SIDES: Record<string, SidePlan['mode']> = {
  left: 'left',
  right: 'right',
  both: 'together',
  together: 'together',
  each: 'each',
  middle: 'midline',
  midline: 'midline',
};
const CONTACT_WORDS: Record<string, Contact> = {
  knuckle: 'knuckles',
  knuckles: 'knuckles',
  fist: 'fist',
  thumb: 'thumb',
  thumbs: 'thumb',
  palm: 'palm',
  palms: 'palm',
  heel: 'palm-heel',
  pinch: 'pinch',
  fingertips: 'fingertips',
  fingers: 'fingertips',
  ball: 'single-ball',
  balls: 'ball-pair',
  probe: 'probe',
};

function inRange(value: number, field: string, [least, most]: readonly [number, number], unit: string): number {
  if (value < least || value > most)
    throw new InputError(field, `${value}${unit} is outside ${least} to ${most}${unit}`);
  return value;
}

/** @throws InputError when a number is out of its range or nothing is left to look for. */
export function readTypedLine(line: string): TypedLine {
  const out: TypedLine = {
    words: [],
    pressure: null,
    mode: null,
    count: null,
    seconds: null,
    perMinute: null,
    sets: null,
    spots: null,
    bothWays: false,
    contact: null,
  };
  const text = line
    .trim()
    .toLowerCase()
    .replaceAll('×', 'x')
    .replace(/\bboth ways\b/g, 'bothways')
    .replace(/(\d)\s+(s|sec|spots?|sets?|x|min)\b/g, '$1$2');
  if (!text) throw new InputError('step', 'type the name of a technique, a point or a muscle');
  if (text.length > 120) throw new InputError('step', 'the line is too long; at most 120 characters are accepted');
  for (const word of text.split(/[\s,]+/)) {
    const dose = /^(\d+(?:\.\d+)?)(x|s|sec|min|spots?|sets?|\/min|bpm)$/.exec(word);
    if (dose) {
      const value = Number(dose[1]);
      const unit = dose[2]!;
      if (unit === 'x') out.count = inRange(Math.round(value), 'count', BOUNDS.count, '');
      else if (unit === 's' || unit === 'sec') out.seconds = inRange(value, 'hold', BOUNDS.holdSeconds, ' s');
      else if (unit === 'min') out.seconds = inRange(value * 60, 'hold', BOUNDS.holdSeconds, ' s');
      else if (unit === '/min' || unit === 'bpm') out.perMinute = inRange(value, 'tempo', BOUNDS.perMinute, ' per min');
      else if (unit.startsWith('spot')) out.spots = inRange(Math.round(value), 'spots', BOUNDS.spots, '');
      else out.sets = inRange(Math.round(value), 'sets', BOUNDS.sets, '');
    } else if ((PRESSURES as readonly string[]).includes(word)) out.pressure = word as Pressure;
    else if (word in SIDES) out.mode = SIDES[word]!;
    else if (word === 'bothways') out.bothWays = true;
    else {
      if (word in CONTACT_WORDS && !out.contact) out.contact = CONTACT_WORDS[word]!;
      out.words.push(word);
    }
  }
  if (!out.words.length)
    throw new InputError('step', 'name a technique, a point or a muscle, for example "masseter firm 10x left"');
  return out;
}

/** How well a technique answers the words: 0 = not at all. Words may stand for technique, muscle, point, region or complaint. */
function matchScore(technique: Technique, words: readonly string[]): number {
  const name = technique.name.toLowerCase();
  const where = [
    ...technique.regions,
    ...technique.muscles,
    ...technique.points,
    ...technique.places.map((p) => p.id),
    ...technique.serves,
  ]
    .join(' ')
    .toLowerCase();
  const how = [technique.id, technique.motion, ...technique.contacts, technique.direction].join(' ').toLowerCase();
  let score = 0;
  for (const word of words) {
    const stem = word.length > 4 ? word.replace(/s$/, '') : word;
    const s = name.split(/[\s,]+/).some((w) => w.startsWith(stem))
      ? 5
      : name.includes(stem)
        ? 4
        : where.includes(stem)
          ? 3
          : how.includes(stem)
            ? 2
            : 0;
    if (!s) return 0;
    score += s;
  }
  return score + 1 / (1 + technique.name.length / 100);
}

/** Techniques that answer the words, best first. */
export function searchTechniques(techniques: Iterable<Technique>, words: readonly string[]): Technique[] {
  return [...techniques]
    .map((technique) => ({ technique, score: matchScore(technique, words) }))
    .filter((m) => m.score > 0)
    .sort((a, b) => b.score - a.score || a.technique.name.localeCompare(b.technique.name))
    .map((m) => m.technique);
}

/** Techniques for a typed line: all words, or all but a contact word that no technique answers to. */
export function techniquesForLine(typed: TypedLine, techniques: Iterable<Technique>): Technique[] {
  const all = [...techniques];
  const exact = searchTechniques(all, typed.words);
  if (exact.length) return exact;
  const withoutContact = typed.words.filter((w) => !(w in CONTACT_WORDS));
  return withoutContact.length ? searchTechniques(all, withoutContact) : [];
}

/** The step that a typed line asks for: the technique's own, with what was typed put in. */
export function stepFromLine(typed: TypedLine, technique: Technique, id: string): Step {
  const step = newStep(technique, id);
  const dose = {
    ...step.dose,
    spots: typed.spots ?? step.dose.spots,
    parts: step.dose.parts.map((p) => adjusted(p, typed)),
  };
  if (typed.seconds !== null && !dose.parts.some((p) => p.kind === 'hold' || p.kind === 'open'))
    dose.parts = [{ kind: 'hold', seconds: typed.seconds }];
  const mayUse = typed.contact && CONTACTS.includes(typed.contact) && technique.contacts.includes(typed.contact);
  return {
    ...step,
    dose,
    contact: mayUse ? typed.contact! : step.contact,
    pressure: typed.pressure && step.pressure ? typed.pressure : step.pressure,
    sides: { ...step.sides, mode: typed.mode ?? step.sides.mode, sets: typed.sets ?? step.sides.sets },
  };
}

function adjusted(part: DosePart, typed: TypedLine): DosePart {
  if (part.kind === 'beats')
    return {
      ...part,
      count: typed.count ?? part.count,
      countMost: typed.count !== null ? null : part.countMost,
      perMinute: typed.perMinute ?? part.perMinute,
      directions: typed.bothWays ? 2 : part.directions,
    };
  if (part.kind === 'hold' && typed.seconds !== null) return { ...part, seconds: typed.seconds };
  if (part.kind === 'open' && typed.seconds !== null) return { kind: 'hold', seconds: typed.seconds };
  return part;
}

import { CONTACT_NAMES } from '../words/index.ts';
import { breathCyclesIn } from './cues.ts';
import { BOUNDS, type DosePart, type Step } from './model.ts';
import { newStep, type Technique } from './technique.ts';
import { CONTACT_WORDS, strokeFor, type TypedLine } from './typed-line.ts';

/** What a technique can be called by, in small letters. */
interface Callings {
  /** Its id as one word calls it and no other. */
  id: string;
  name: string;
  nameWords: readonly string[];
  /** Ids are tags of the trade: "masseter-two-knuckle-slide" is called for by "masseter". */
  tags: readonly string[];
  where: string;
  how: string;
}
/** Kept beside each technique: a line is searched at every keystroke. */
const CALLINGS = new WeakMap<Technique, Callings>();

function callingsOf(technique: Technique): Callings {
  const known = CALLINGS.get(technique);
  if (known) return known;
  const { id, regions, muscles, points, defaults, serves, motion, contacts, direction, soughtFor } = technique;
  const name = technique.name.toLowerCase();
  const where = [...regions, ...muscles, ...points, ...defaults.path.map((p) => p.id), ...serves];
  const how = [motion, contacts[0]!, direction, ...soughtFor];
  const made: Callings = {
    id: id.toLowerCase(),
    name,
    nameWords: name.split(/[\s,:]+/),
    tags: id.toLowerCase().split('-'),
    where: where.join(' ').toLowerCase(),
    how: how.join(' ').toLowerCase(),
  };
  CALLINGS.set(technique, made);
  return made;
}

/** How well a technique answers the words: 0 = not at all. Words may stand for technique, muscle, point, region or complaint. */
function matchScore(technique: Technique, words: readonly string[]): number {
  const { id, name, nameWords, tags, where, how } = callingsOf(technique);
  let score = 0;
  for (const word of words) {
    const stem = word.length > 4 ? word.replace(/s$/, '') : word;
    const s =
      word === id
        ? 9
        : nameWords.some((w) => w.startsWith(stem))
          ? 6
          : tags.some((w) => w.startsWith(stem))
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
  return score;
}

/** Techniques that answer the words, best first; equals in the order of the library, its own rows before plain work. */
export function searchTechniques(techniques: Iterable<Technique>, words: readonly string[]): Technique[] {
  return [...techniques]
    .map((technique) => ({ technique, score: matchScore(technique, words) }))
    .filter((m) => m.score > 0)
    .sort((a, b) => b.score - a.score)
    .map((m) => m.technique);
}

/** Techniques for a typed line: all words, or all but a contact word or "hold" that no technique answers to. */
export function techniquesForLine(typed: TypedLine, techniques: Iterable<Technique>): Technique[] {
  const all = [...techniques];
  const exact = searchTechniques(all, typed.words);
  if (exact.length) return exact;
  const fewer = typed.words.filter((w) => !Object.hasOwn(CONTACT_WORDS, w) && w !== 'hold');
  return fewer.length ? searchTechniques(all, fewer) : [];
}

/** A step as typed, and what of the line has no place in it: told, never dropped. */
export interface LineStep {
  /** As it would be added. */
  step: Step;
  /** As it could have been typed: "10x", "60/min". */
  ignored: string[];
}

/** The step that a typed line asks for: the technique's own, with what was typed put in. */
export function stepFromLine(typed: TypedLine, technique: Technique, id: string): LineStep {
  const step = newStep(technique, id);
  const ignored: string[] = [];
  const parts = partsFor(typed, step.dose.parts, ignored);
  const isCounted = parts.some((p) => p.kind === 'beats');
  const typedStroke = typed.stroke && isCounted ? strokeFor(typed.stroke, step.stroke) : null;
  if (typed.stroke && !typedStroke)
    ignored.push(typed.stroke === 'to-and-fro' ? 'there and back' : typed.stroke.replace('-', ' '));
  const stroke = typedStroke ?? step.stroke;
  if (typed.words.includes('hold') && !matchScore(technique, ['hold'])) ignored.push('hold');
  const mode = typed.mode ?? (typed.first || typed.extra ? 'each' : step.sides.mode);
  if (typed.pressure && !step.pressure) ignored.push(typed.pressure);
  const twoWays = stroke === 'to-and-fro' || stroke === 'one-way-then-other' || stroke === 'circles-both-ways';
  if (typed.pressureBack && !(step.pressure && twoWays)) ignored.push(`back ${typed.pressureBack}`);
  const mayUse = typed.contact && technique.contacts.includes(typed.contact);
  if (typed.contact && !mayUse && !matchScore(technique, [typed.contact])) ignored.push(CONTACT_NAMES[typed.contact]);
  const onOne = mode === 'left' || mode === 'right' ? mode : null;
  const extra = typed.extra && (mode === 'each' || onOne === typed.extra.side) ? typed.extra : null;
  if (typed.extra && !extra) ignored.push(`+${typed.extra.sets} ${typed.extra.side}`);
  if (typed.first && mode !== 'each') ignored.push(`${typed.first} first`);
  const path = pathFor(typed.places, step.path, ignored);
  if (typed.perPlace && path.length < 2) ignored.push('per place');
  return {
    step: {
      ...step,
      path,
      stroke,
      dose: {
        ...step.dose,
        parts,
        perPlace: (typed.perPlace && path.length > 1) || (typed.places ?? 0) > 1 || step.dose.perPlace,
      },
      contact: mayUse ? typed.contact! : step.contact,
      pressure: step.pressure && {
        there: typed.pressure ?? step.pressure.there,
        back: twoWays ? (typed.pressureBack ?? (typed.pressure ? null : step.pressure.back)) : null,
      },
      sides: {
        ...step.sides,
        mode,
        first: typed.first ?? step.sides.first,
        sets: typed.sets ?? step.sides.sets,
        extra: extra ?? step.sides.extra,
      },
    },
    ignored,
  };
}

/** So many places: the first ones of the path, or its one place again and again. */
function pathFor(places: number | null, path: Step['path'], ignored: string[]): Step['path'] {
  if (places === null || places === path.length) return path;
  if (places < path.length) return path.slice(0, places);
  if (path.length === 1) return Array.from({ length: places }, () => path[0]!);
  ignored.push(`${places} places`);
  return path;
}

/**
 * The dose with what was typed. "Until" and "hold" take the place of what the technique does; bare seconds give it that
 * length, by as many counts or breaths as fit.
 */
function partsFor(typed: TypedLine, own: readonly DosePart[], ignored: string[]): DosePart[] {
  const has = (kind: DosePart['kind']) => own.some((p) => p.kind === kind);
  const holdsAfter = typed.seconds !== null && has('beats') && typed.count !== null && !has('hold');
  let parts: DosePart[];
  if (typed.open && !has('open')) {
    const usualSeconds = typed.open.usualSeconds ?? 30;
    parts = [openPart({ kind: 'open', until: '', usualSeconds, leastSeconds: 10, mostSeconds: 90 }, typed)];
  } else if (typed.seconds !== null && (has('open') || (typed.isHold && !has('hold') && !holdsAfter))) {
    parts = [{ kind: 'hold', seconds: typed.seconds }];
  } else {
    parts = own.map((p) => adjusted(p, typed, own));
    // "10x 5s": repetitions that end in a hold.
    if (holdsAfter) parts.push({ kind: 'hold', seconds: typed.seconds! });
  }
  const made = (kind: DosePart['kind']) => parts.some((p) => p.kind === kind);
  const isTimed = typed.seconds === null || made('hold') || made('check') || made('test') || lasts(typed, own);
  if (!isTimed) ignored.push(`${typed.isHold ? 'hold ' : ''}${typed.seconds}s`);
  if (typed.open && !made('open')) ignored.push(`until ${typed.open.until}`);
  if (typed.count !== null && !made('beats') && !made('breath'))
    ignored.push(typed.most ? `${typed.count}-${typed.most}x` : `${typed.count}x`);
  if (typed.most !== null && !made('beats') && made('breath')) ignored.push(`up to ${typed.most}x`);
  if (typed.perMinute !== null && !made('beats')) ignored.push(`${typed.perMinute}/min`);
  if (typed.breath && !made('breath')) ignored.push('breath');
  return parts;
}

/** Bare seconds give the length of a count or of breaths, where nothing else in the dose has seconds of its own. */
const lasts = ({ seconds, count, open, breath }: TypedLine, own: readonly DosePart[]): boolean =>
  seconds !== null &&
  count === null &&
  !open &&
  !breath?.cycles &&
  own.length === 1 &&
  (own[0]!.kind === 'beats' || own[0]!.kind === 'breath');

function openPart(part: Extract<DosePart, { kind: 'open' }>, { open }: TypedLine): DosePart {
  const usualSeconds = open?.usualSeconds ?? part.usualSeconds;
  const leastSeconds = open?.leastSeconds ?? Math.min(part.leastSeconds, usualSeconds);
  const mostSeconds = open?.mostSeconds ?? Math.max(part.mostSeconds, usualSeconds);
  return {
    ...part,
    until: open?.until || part.until,
    leastSeconds,
    mostSeconds: Math.max(mostSeconds, leastSeconds),
    usualSeconds: Math.min(Math.max(usualSeconds, leastSeconds), Math.max(mostSeconds, leastSeconds)),
  };
}

function adjusted(part: DosePart, typed: TypedLine, own: readonly DosePart[]): DosePart {
  const seconds = lasts(typed, own) ? typed.seconds! : null;
  const within = (n: number, [least, most]: readonly [number, number]) =>
    Math.min(Math.max(Math.round(n), least), most);
  switch (part.kind) {
    case 'beats': {
      const perMinute = typed.perMinute ?? part.perMinute;
      const count = typed.count ?? (seconds === null ? part.count : within((seconds * perMinute) / 60, BOUNDS.count));
      return { ...part, count, most: typed.count !== null || seconds !== null ? typed.most : part.most, perMinute };
    }
    case 'hold':
    case 'check':
    case 'test':
      return { ...part, seconds: typed.seconds ?? part.seconds };
    case 'open':
      return typed.open ? openPart(part, typed) : part;
    case 'breath': {
      const phases = typed.breath?.phases ?? part.phases;
      const fitting = seconds === null ? part.cycles : within(breathCyclesIn(seconds, phases), BOUNDS.cycles);
      return { ...part, phases, cycles: typed.breath?.cycles ?? typed.count ?? fitting };
    }
  }
}

import { InputError, type Contact, type OneSide, type Pressure, PRESSURES } from '../words/index.ts';
import { BOUNDS, LENGTHS, type SidePlan, type Stroke } from './model.ts';

/**
 * A step typed as one line: "masseter knuckle firm 20x left", "temple hold 10s 3 sets", "forehead 10x there and back
 * light back feather". Words in any order; what is no dose, pressure, side or contact looks for the technique. The
 * grammar is told in docs/formats/typed-line.md.
 */
export interface TypedLine {
  /** What looks for a technique, point or muscle. */
  words: string[];
  /** "firm". */
  pressure: Pressure | null;
  /** "back feather". */
  pressureBack: Pressure | null;
  /** "left", "each". */
  mode: SidePlan['mode'] | null;
  /** "left first". */
  first: OneSide | null;
  /** More sets on one side, with the reason that makes the difference intended. */
  extra: { side: OneSide; sets: number; reason: string } | null;
  /** "10x". */
  count: number | null;
  /** "5-30x": the most it may become. */
  most: number | null;
  /** "60/min". */
  perMinute: number | null;
  /** "10s": so long, whatever the technique does. */
  seconds: number | null;
  /** "hold 10s": staying still. */
  isHold: boolean;
  /** "until it softens ~40s 20-90". */
  open: { until: string; usualSeconds: number | null; leastSeconds: number | null; mostSeconds: number | null } | null;
  /** "breath 4-6 x6". */
  breath: {
    phases: { what: 'in' | 'in-again' | 'hold' | 'out' | 'rest'; seconds: number }[];
    cycles: number | null;
  } | null;
  /** "3 sets". */
  sets: number | null;
  /** Places on the way, at one place or along the path. */
  places: number | null;
  /** "per place". */
  perPlace: boolean;
  /** "both ways", "there and back", "one way". */
  stroke: 'both-ways' | 'to-and-fro' | 'one-way' | null;
  /** "knuckle". */
  contact: Contact | null;
  /** "after 4", "first", "last": where among the steps it goes, 4 for after the fourth. */
  after: number | null;
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
export const CONTACT_WORDS: Readonly<Record<string, Contact>> = {
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
/** Most characters of a line. */
export const LINE_LETTERS = 200;

function inRange(value: number, field: string, [least, most]: readonly [number, number], unit: string): number {
  if (value < least || value > most)
    throw new InputError(field, `${value}${unit} is outside ${least} to ${most}${unit}`);
  return value;
}
const hold = (value: number) => inRange(value, 'hold', BOUNDS.holdSeconds, ' s');

/** `said` is what was found as it was typed, capitals and all. */
type Take = (out: TypedLine, found: RegExpExecArray, said: string) => void;
const N = '(\\d+(?:\\.\\d+)?)';

/** What is looked for in a line, in this order; what is found is taken out of it. */
const GRAMMAR: readonly [RegExp, Take][] = [
  [
    /\+\s?(\d+) (left|right)(?: because (.+))?$/,
    (out, [, sets, side, reason = ''], said) =>
      (out.extra = {
        side: side as OneSide,
        sets: inRange(Number(sets), 'extra sets', BOUNDS.sets, ''),
        reason: said
          .slice(said.length - reason.length)
          .trim()
          .slice(0, LENGTHS.reason),
      }),
  ],
  [
    new RegExp(
      `\\buntil ([^~\\d]+?)(?: ~${N} ?s?)?(?: ${N}-${N} ?s?)?(?=$| (?:${['left', 'right', 'both', 'each', 'midline', ...PRESSURES].join('|')}|\\d))`,
    ),
    (out, [, until, usual, least, most], said) =>
      (out.open = {
        until: said
          .slice('until '.length, 'until '.length + until!.length)
          .trim()
          .slice(0, LENGTHS.until),
        usualSeconds: usual ? hold(Number(usual)) : null,
        leastSeconds: least ? hold(Number(least)) : null,
        mostSeconds: most ? hold(Number(most)) : null,
      }),
  ],
  [
    new RegExp(`\\bbreaths? ${N}((?:[-/+]\\d+(?:\\.\\d+)?)+)(?: x ?(\\d+))?`),
    (out, [, first, rest, cycles]) => (out.breath = { phases: phasesOf(first!, rest!), cycles: cyclesOf(cycles) }),
  ],
  [
    /(\d+) ?- ?(\d+)x\b/,
    (out, [, count, most]) => {
      out.count = inRange(Number(count), 'count', BOUNDS.count, '');
      out.most = inRange(Number(most), 'count', [out.count, BOUNDS.count[1]], '');
    },
  ],
  [new RegExp(`${N}x(?!\\w)`), (out, [, n]) => (out.count = inRange(Math.round(Number(n)), 'count', BOUNDS.count, ''))],
  [
    new RegExp(`${N} ?(?:/ ?min|bpm)\\b`),
    (out, [, n]) => (out.perMinute = inRange(Number(n), 'tempo', BOUNDS.perMinute, ' per min')),
  ],
  [
    new RegExp(`(\\bhold )?${N}(min|s|sec)\\b`),
    (out, [, word, n, unit]) => {
      out.seconds = hold(Number(n) * (unit === 'min' ? 60 : 1));
      out.isHold = !!word;
    },
  ],
  [/\b(left|right) first\b/, (out, [, side]) => (out.first = side as OneSide)],
  [/\bafter (\d+)\b/, (out, [, n]) => (out.after = inRange(Number(n), 'after', BOUNDS.steps, ''))],
  // At the end only, where they are no words of a name; "left first" was taken before.
  [/ (first|last)$/, (out, [, where]) => (out.after = where === 'first' ? 0 : BOUNDS.steps[1])],
  [/(\d+)(?:spots?|places?)\b/, (out, [, n]) => (out.places = inRange(Number(n), 'places', [1, LENGTHS.path], ''))],
  [/(\d+)sets?\b/, (out, [, n]) => (out.sets = inRange(Number(n), 'sets', BOUNDS.sets, ''))],
  [/\bper place\b/, (out) => (out.perPlace = true)],
  [/\bboth ways\b/, (out) => (out.stroke = 'both-ways')],
  [/\bthere and back\b/, (out) => (out.stroke = 'to-and-fro')],
  [/\bone way\b/, (out) => (out.stroke = 'one-way')],
  [new RegExp(`\\bback (${PRESSURES.join('|')})\\b`), (out, [, p]) => (out.pressureBack = p as Pressure)],
];

/** "4-6", "4-7-8", "4-4-4-4" and, with a second sip, "2+1-6". */
function phasesOf(first: string, rest: string): NonNullable<TypedLine['breath']>['phases'] {
  const out: NonNullable<TypedLine['breath']>['phases'] = [{ what: 'in', seconds: Number(first) }];
  const others = [...rest.matchAll(/([-/+])(\d+(?:\.\d+)?)/g)];
  const later = others.filter(([, sign]) => sign !== '+');
  const names = later.length === 1 ? (['out'] as const) : (['hold', 'out', 'rest'] as const);
  if (later.length > names.length || !later.length)
    throw new InputError('breath', 'in-out, in-hold-out or in-hold-out-rest is accepted, for example breath 4-6');
  let n = 0;
  for (const [, sign, seconds] of others)
    out.push({ what: sign === '+' ? 'in-again' : names[n++]!, seconds: Number(seconds) });
  for (const p of out) inRange(p.seconds, 'breath', BOUNDS.breathSeconds, ' s');
  return out;
}
const cyclesOf = (typed: string | undefined): number | null =>
  typed === undefined ? null : inRange(Number(typed), 'breaths', BOUNDS.cycles, '');

/**
 * @throws InputError when a number is out of its range or nothing is left to look for.
 * @example readTypedLine('masseter knuckle firm 20x left').count // 20
 */
export function readTypedLine(line: string): TypedLine {
  const out: TypedLine = {
    words: [],
    pressure: null,
    pressureBack: null,
    mode: null,
    first: null,
    extra: null,
    count: null,
    most: null,
    perMinute: null,
    seconds: null,
    isHold: false,
    open: null,
    breath: null,
    sets: null,
    places: null,
    perPlace: false,
    stroke: null,
    contact: null,
    after: null,
  };
  let said = line
    .trim()
    .replaceAll('×', 'x')
    .replaceAll('–', '-')
    .replace(/[\s,]+/g, ' ')
    .replace(/(\d)\s+(s|sec|spots?|places?|sets?|x|min)\b/gi, '$1$2');
  // Letter for letter, so that what is found in small letters stands at the same place in what was typed.
  let text = said.replace(/[^]/gu, (letter) =>
    letter.toLowerCase().length === letter.length ? letter.toLowerCase() : letter,
  );
  if (!text) throw new InputError('step', 'type the name of a technique, a point or a muscle');
  if (text.length > LINE_LETTERS)
    throw new InputError('step', `the line is too long; at most ${LINE_LETTERS} characters are accepted`);
  for (const [pattern, take] of GRAMMAR) {
    const found = pattern.exec(text);
    if (!found) continue;
    const end = found.index + found[0].length;
    take(out, found, said.slice(found.index, end));
    const without = (all: string) => `${all.slice(0, found.index)} ${all.slice(end)}`.replace(/\s+/g, ' ').trim();
    text = without(text);
    said = without(said);
  }
  for (const word of text.split(' ').filter(Boolean)) {
    if ((PRESSURES as readonly string[]).includes(word) && !out.pressure) out.pressure = word as Pressure;
    else if (Object.hasOwn(SIDES, word) && !out.mode) out.mode = SIDES[word]!;
    else {
      if (Object.hasOwn(CONTACT_WORDS, word) && !out.contact) out.contact = CONTACT_WORDS[word]!;
      out.words.push(word);
    }
  }
  if (!out.words.length)
    throw new InputError('step', 'name a technique, a point or a muscle, for example "masseter firm 10x left"');
  return out;
}

/**
 * The typed form of a stroke as a technique does it; null where the technique does not travel that way: pulses stay in
 * their place, and circles do not go there and back.
 */
export function strokeFor(typed: NonNullable<TypedLine['stroke']>, usual: Stroke): Stroke | null {
  if (usual === 'in-place' || usual === 'still') return null;
  const circles = usual === 'circles-one-way' || usual === 'circles-both-ways';
  if (typed === 'both-ways') return circles ? 'circles-both-ways' : 'one-way-then-other';
  if (typed === 'one-way') return circles ? 'circles-one-way' : 'one-way';
  return circles ? null : 'to-and-fro';
}

import isEqual from 'fast-deep-equal';
import { InputError } from '../words/index.ts';
import { stepFromLine, techniquesForLine } from './line-step.ts';
import type { DosePart, SidePlan, Step } from './model.ts';
import { newStep, type Technique } from './technique.ts';
import { CONTACT_WORDS, readTypedLine, strokeFor, type TypedLine } from './typed-line.ts';

/** A step as a line that reads back as the same step, and what of it no line can say. */
export interface WrittenLine {
  line: string;
  /** Fields of the step that the line does not carry: "note", "pauses". */
  left: string[];
}

const MODE_WORDS: Record<SidePlan['mode'], string> = {
  together: 'both',
  each: 'each',
  left: 'left',
  right: 'right',
  midline: 'midline',
};
const STROKES_TYPED: readonly NonNullable<TypedLine['stroke']>[] = ['both-ways', 'to-and-fro', 'one-way'];
const STROKE_WORDS = { 'both-ways': 'both ways', 'to-and-fro': 'there and back', 'one-way': 'one way' } as const;

/**
 * A step as it could have been typed, shortest first: only what differs from the technique is said. What is left out of
 * it was tried: the line is read again, and every field that does not come back is told.
 * @param techniques Of which the line has to find the right one.
 * @throws InputError on a technique that is not among them, or that no words single out.
 */
export function writeTypedLine(step: Step, techniques: readonly Technique[]): WrittenLine {
  const technique = techniques.find((t) => t.id === step.technique);
  if (!technique) throw new InputError('technique', `${step.technique} is not known`);
  let best: WrittenLine | null = null;
  for (const words of callingsOf(technique)) {
    if (!isEqual(tryLine(words, technique, techniques), newStep(technique, ''))) continue;
    const written = lineFrom(words, step, technique, techniques);
    if (!best || written.left.length < best.left.length) best = written;
    if (!best.left.length) break;
  }
  if (!best) throw new InputError('technique', `no words single out ${technique.name}`);
  return best;
}

/** What may call a technique, shortest first; its id as one word calls no other. */
function callingsOf({ id, name }: Technique): string[] {
  const tags = id.toLowerCase().split('-');
  const fewer = tags.map((_, i) => tags.slice(0, i + 1).join(' ')).slice(1);
  return [...fewer, name.toLowerCase().replace(/[,:]/g, ''), id.toLowerCase()];
}

/** The line that begins with these words and says what differs, each thing only where it brings the step nearer. */
function lineFrom(words: string, step: Step, technique: Technique, techniques: readonly Technique[]): WrittenLine {
  let line = words;
  let left = differing(newStep(technique, ''), step);
  for (const options of tokensOf(step, newStep(technique, '')))
    for (const option of options) {
      const back = tryLine(`${line} ${option}`, technique, techniques);
      const stays = back && differing(back, step);
      if (!stays || stays.length >= left.length) continue;
      line = `${line} ${option}`;
      left = stays;
      break;
    }
  return { line, left };
}

function readOr(line: string): TypedLine | null {
  try {
    return readTypedLine(line);
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}
/** The step that a line asks for; null where it finds another technique, or has something that is not in the step. */
function tryLine(line: string, technique: Technique, techniques: readonly Technique[]): Step | null {
  const typed = readOr(line);
  if (!typed || techniquesForLine(typed, techniques)[0] !== technique) return null;
  const { step, ignored } = stepFromLine(typed, technique, '');
  return ignored.length ? null : step;
}

/** What can be said of a step where it differs from its technique; of each thing the ways to say it, shortest first. */
function tokensOf(step: Step, own: Step): string[][] {
  const { sides, pressure } = step;
  const contacts = Object.entries(CONTACT_WORDS).filter(([, contact]) => contact === step.contact);
  const stroke = STROKES_TYPED.find((typed) => strokeFor(typed, own.stroke) === step.stroke);
  const { extra } = sides;
  return [
    contacts.map(([word]) => word),
    // Before the pressure: on the way back there is one only where there is a way back.
    stroke ? [STROKE_WORDS[stroke]] : [],
    pressure
      ? [pressure.there, ...(pressure.back ? [`back ${pressure.back}`, `${pressure.there} back ${pressure.back}`] : [])]
      : [],
    [MODE_WORDS[sides.mode]],
    [`${sides.first} first`],
    [`${step.path.length} places`],
    ['per place'],
    [`${sides.sets} sets`],
    together(step.dose.parts.flatMap(partTokens)),
    extra ? [`+${extra.sets} ${extra.side}${extra.reason && ` because ${extra.reason}`}`] : [],
  ];
}

/** Every choice among some words, in their order, the fewest first. */
function together(words: readonly string[]): string[] {
  const choices = words.reduce<string[][]>((all, word) => [...all, ...all.map((some) => [...some, word])], [[]]);
  return choices
    .filter((some) => some.length)
    .sort((a, b) => a.length - b.length)
    .map((some) => some.join(' '));
}

function partTokens(part: DosePart): string[] {
  switch (part.kind) {
    case 'beats':
      return [part.most === null ? `${part.count}x` : `${part.count}-${part.most}x`, `${part.perMinute}/min`];
    case 'hold':
      return [`hold ${part.seconds}s`];
    case 'check':
    case 'test':
      return [`${part.seconds}s`];
    case 'open':
      return [`until ${part.until} ~${part.usualSeconds}s ${part.leastSeconds}-${part.mostSeconds}`];
    case 'breath': {
      const signs = part.phases.map((p, i) => `${i === 0 ? '' : p.what === 'in-again' ? '+' : '-'}${p.seconds}`);
      return [`breath ${signs.join('')} x${part.cycles}`];
    }
  }
}

/** Fields that are other ones in two steps; of a dose and of the sides, which of theirs. */
function differing(a: Step, b: Step): string[] {
  const inside = <T extends object>(x: T, y: T, leaves: readonly (keyof T)[] = []): string[] =>
    (Object.keys(x) as (keyof T & string)[]).filter((key) => !leaves.includes(key) && !isEqual(x[key], y[key]));
  return [
    ...inside(a, b, ['id', 'dose', 'sides']),
    ...inside(a.dose, b.dose),
    // Which side is first says nothing where only one is worked, or both at once.
    ...inside(a.sides, b.sides, b.sides.mode === 'each' ? [] : ['first']),
  ];
}

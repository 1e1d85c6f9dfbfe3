import { GROUND_NAMES, roundHalfAway } from '../words/index.ts';
import type { Catalogue, Technique } from './technique.ts';
import { goesBothWays, type Block, type BreathPhaseLength, type DosePart, type Step } from './model.ts';

const plain = (v: number): string => String(roundHalfAway(v, 1));

/** "4/6", "4/7/8", "2+1/6": in, a second sip after a plus, hold, out, rest. */
export const breathWords = (phases: readonly BreathPhaseLength[]): string =>
  phases.map((p, i) => `${i === 0 ? '' : p.what === 'in-again' ? '+' : '/'}${plain(p.seconds)}`).join('');

/** One part of a dose in short words: "20 s", "10 circles", "6 breaths 4/6", "until it softens, about 45 s". */
function partWords(part: DosePart): string {
  switch (part.kind) {
    case 'hold':
      return `${plain(part.seconds)} s`;
    case 'beats':
      return `${part.count}${part.most ? `–${part.most}` : ''} ${part.unit}`;
    case 'breath':
      return `${part.cycles} breaths ${breathWords(part.phases)}`;
    case 'open':
      return `until ${part.until}, about ${plain(part.usualSeconds)} s`;
    case 'check':
      return `${part.what}, ${plain(part.seconds)} s`;
    case 'test':
      return `read ${part.measure.replaceAll('-', ' ')}, ${plain(part.seconds)} s`;
  }
}

/** The dose of a step in short words: "3 places × 20 s", "2 sets of 10 s + 10 pulses", "3 times until it softens". */
export function doseWords(step: Pick<Step, 'dose' | 'sides' | 'path' | 'stroke'>): string {
  const counted = step.dose.parts.some((p) => p.kind === 'beats');
  const way = !counted
    ? ''
    : goesBothWays(step.stroke)
      ? ' both ways'
      : step.stroke === 'to-and-fro'
        ? ' there and back'
        : '';
  const parts = step.dose.parts.map((p) => `${partWords(p)}${p.kind === 'beats' ? way : ''}`).join(' + ');
  // What is waited for, or looked at, is no amount that there could be sets of.
  const isAmount = !['open', 'check', 'test'].includes(step.dose.parts[0]?.kind ?? '');
  const isPerPlace = step.dose.perPlace && step.path.length > 1;
  const places = !isPerPlace ? parts : `${step.path.length} places${isAmount ? ' × ' : ', each '}${parts}`;
  const { sets: times } = step.sides;
  const sets =
    times === 1 ? places : isAmount || isPerPlace ? `${times} sets of ${places}` : `${times} times ${places}`;
  return step.sides.extra ? `${sets}, ${step.sides.extra.sets} more ${step.sides.extra.side}` : sets;
}

/** "light", "light, back feather", "no pressure". */
export const pressureWords = ({ pressure }: Pick<Step, 'pressure'>): string =>
  pressure ? `${pressure.there}${pressure.back ? `, back ${pressure.back}` : ''}` : 'no pressure';

/** In which order the sides of a block come. */
export const BLOCK_WORDS: Record<Block['sides'], string> = {
  'left-then-right': 'all of the left, then the right',
  'right-then-left': 'all of the right, then the left',
  'sorer-first': 'all of the sorer side, then the other',
};

/**
 * Where a step is worked, in working order: one place, "first, second, third" where each is worked by itself, "from →
 * by → to" where one pass covers them; empty for a step without a place.
 */
export function pathWords(
  { path, dose, stroke }: Pick<Step, 'path' | 'dose' | 'stroke'>,
  catalogue: Pick<Catalogue, 'placeName'>,
): string {
  const names = path.map((p) => catalogue.placeName(p) ?? p.id);
  const there = dose.perPlace ? ', ' : stroke === 'to-and-fro' ? ' ↔ ' : ' → ';
  return names.filter((name, i) => name !== names[i - 1]).join(there);
}

/** On what ground the library's dose stands: "stated by practitioners; about 35 s when timed at work". */
export function groundWords({ grounds, observedSeconds }: Pick<Technique, 'grounds' | 'observedSeconds'>): string {
  const timed = observedSeconds === null ? '' : `about ${observedSeconds} s of work when it was watched`;
  return [GROUND_NAMES[grounds], timed].filter(Boolean).join('; ');
}

import { roundHalfAway } from '../words/index.ts';
import type { DosePart, Step } from './model.ts';

const plain = (v: number): string => String(roundHalfAway(v, 1));

/** One part of a dose in short words: "20 s", "10 pulses both ways", "6 breaths 4/6", "until it softens, about 45 s". */
export function partWords(part: DosePart): string {
  switch (part.kind) {
    case 'hold':
      return `${plain(part.seconds)} s`;
    case 'beats':
      return `${part.count}${part.countMost ? `–${part.countMost}` : ''} ${part.unit}${part.directions === 2 ? ' both ways' : ''}`;
    case 'breath': {
      const { inSeconds, holdInSeconds, outSeconds, holdOutSeconds } = part.pattern;
      const pattern = holdOutSeconds
        ? [inSeconds, holdInSeconds, outSeconds, holdOutSeconds]
        : holdInSeconds
          ? [inSeconds, holdInSeconds, outSeconds]
          : [inSeconds, outSeconds];
      return `${part.cycles} breaths ${pattern.map(plain).join('/')}`;
    }
    case 'open':
      return `until ${part.until}, about ${plain(part.estimateSeconds)} s`;
    case 'check':
      return `${part.what}, ${plain(part.seconds)} s`;
  }
}

/** The dose of a step in short words: "3 spots × 20 s", "2 sets of 10 s + 10 pulses". */
export function doseWords(step: Pick<Step, 'dose' | 'sides'>): string {
  const parts = step.dose.parts.map(partWords).join(' + ');
  const counted = step.dose.parts.every((p) => p.kind === 'beats' && p.per === 'pass');
  const spots = step.dose.spots > 1 && !counted ? `${step.dose.spots} spots × ${parts}` : parts;
  const sets = step.sides.sets > 1 ? `${step.sides.sets} sets of ${spots}` : spots;
  return step.sides.extra ? `${sets}, ${step.sides.extra.sets} more ${step.sides.extra.side}` : sets;
}

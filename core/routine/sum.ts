import { clock, roundHalfAway } from '../words/index.ts';
import { expandRoutine, WORKING } from './cues.ts';
import { goesBothWays, type DosePart, type Step } from './model.ts';

const plain = (v: number): string => String(roundHalfAway(v, 1));

/** One part, one place, all its ways. */
function partTerm(part: DosePart, bothWays: boolean): string {
  switch (part.kind) {
    case 'beats':
      return `${bothWays ? `2 × ${part.count}` : part.count} ÷ ${plain(part.perMinute)} a min`;
    case 'breath':
      return `${part.cycles} × ${plain(part.phases.reduce((sum, p) => sum + p.seconds, 0))} s`;
    case 'open':
      return `${plain(part.usualSeconds)} s`;
    default:
      return `${plain(part.seconds)} s`;
  }
}

const inBrackets = (terms: readonly string[]): string => (terms.length > 1 ? `(${terms.join(' + ')})` : terms[0]!);

/** How often the dose is done, in factors: "2 sides", "3 sets", "5 rounds" where the sides differ. */
function roundFactors({ sides }: Step): string[] {
  const { mode, sets, extra } = sides;
  const both = mode === 'each' ? 2 : 1;
  if (extra) return [`${both * sets + extra.sets} rounds`];
  return [...(both > 1 ? ['2 sides'] : []), ...(sets > 1 ? [`${sets} sets`] : [])];
}

/**
 * How the length of a step comes about: "2 sides × 3 places × (10 ÷ 30 a min + 45 s) = 3:30, with changes 3:52". The
 * lengths are those of its cue list.
 * @param seconds Its length in its routine, where a block may have it met twice.
 */
export function sumWords(step: Step, seconds: number): string {
  const work = expandRoutine({ items: [step] }).reduce(
    (ms, cue) => ms + (WORKING.has(cue.kind) ? cue.endMs - cue.startMs : 0),
    0,
  );
  const places = step.dose.perPlace && step.path.length > 1 ? [`${step.path.length} places`] : [];
  const dose = step.dose.parts.map((p) => partTerm(p, goesBothWays(step.stroke)));
  const factors = [...roundFactors(step), ...places];
  const product = [...factors, factors.length ? inBrackets(dose) : dose.join(' + ')].join(' × ');
  return `${product} = ${clock(work / 1000)}, with changes ${clock(seconds)}`;
}

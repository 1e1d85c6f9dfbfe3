import {
  type BreathPhase,
  type Catalogue,
  type Cue,
  type Step,
  stepNames,
  type Routine,
  stepsOf,
} from '../routine/index.ts';
import type { PlaceRef, Side } from '../words/index.ts';
import { type Moment, sideAfter } from './moments.ts';

/** Who hears the voice, and how much is counted aloud. */
export interface Hearing {
  /** Whose words are said: the practitioner’s (where, which side, how hard), the client’s (what to do), or both. */
  who: 'practitioner' | 'client' | 'both';
  /** Which counts are said: every one, every fifth and the last, the last three, none. */
  counts: 'every' | 'fifths' | 'last-three' | 'none';
  /** When three, two, one is said before a hold ends. */
  countdown: 'eyes-shut' | 'always' | 'never';
}
/** How it is heard by whoever works on themselves: everything, with one’s own sides. */
export type HearingAlone = Omit<Hearing, 'who'> & { who: 'oneself' };
type Heard = Hearing | HearingAlone;
export const USUAL_HEARING: Hearing = { who: 'both', counts: 'last-three', countdown: 'eyes-shut' };

/** Faster than this nobody can follow every count aloud. Our choice. */
const EVERY_FROM_MS = 900;
const NUMBERS = ['', 'one', 'two', 'three'] as const;
const BREATHED: Record<BreathPhase['phase'], string> = {
  in: 'In',
  'in-again': 'And in',
  hold: 'Hold',
  out: 'Out',
  rest: 'Wait',
};
/** After so many breaths the pitch of the tone carries it alone. Our choice. */
const BREATHS_SAID = 2;

/** What the voice needs of a routine. */
export interface Speaker {
  cues: readonly Cue[];
  steps: readonly Step[];
  names: ReadonlyMap<string, string>;
  catalogue: Pick<Catalogue, 'techniques' | 'placeName'>;
}
export const speakerOf = (routine: Routine, cues: readonly Cue[], catalogue: Catalogue): Speaker => ({
  cues,
  steps: stepsOf(routine),
  names: stepNames(routine, catalogue),
  catalogue,
});

type Told = 'practitioner' | 'client' | 'oneself';
const sideFor = (side: Side, who: Told): string =>
  side === 'midline'
    ? ''
    : side === 'both'
      ? 'Both sides.'
      : `${who === 'practitioner' ? 'Client’s' : 'Your'} ${side}.`;
const handsOf = (who: Heard['who']): Told => (who === 'oneself' ? 'oneself' : 'practitioner');
const sentence = (text: string): string => text && `${text[0]!.toUpperCase()}${text.slice(1).replace(/\.$/, '')}.`;
const joined = (...parts: (string | null | undefined | false)[]): string => parts.filter(Boolean).join(' ');

/** Whether a step begins at a cue: it is announced there, whatever kind of cue it is. */
export const beginsStep = (cues: readonly Cue[], index: number): boolean =>
  index === 0 || cues[index - 1]!.stepIndex !== cues[index]!.stepIndex;

/** Where the hands go: the place, or from the first to the last of a path. */
function whereWords(step: Step, cue: Cue, { placeName }: Speaker['catalogue']): string {
  const name = (p: PlaceRef | undefined) => (p ? (placeName(p) ?? '') : '');
  const [first, last] = [step.path[0], step.path[step.path.length - 1]];
  if (!first) return '';
  if (cue.placeIndex !== null && cue.places > 1)
    return sentence(`${name(step.path[cue.placeIndex])}, first of ${cue.places}`);
  return sentence(step.path.length > 1 ? `from ${name(first)} to ${name(last)}` : name(first));
}

/** A step announced: to the practitioner name, side, pressure and place; to the client the side and what to do. */
function announced(at: Cue, speaker: Speaker, who: Heard['who'], pressure: Cue['pressure']): string {
  const step = speaker.steps[at.stepIndex]!;
  const technique = speaker.catalogue.techniques.get(step.technique)!;
  // A change of sides before the step tells where the work will be, not where it was.
  const work =
    speaker.cues.find((c) => c.index >= at.index && c.stepIndex === at.stepIndex && c.kind !== 'change-side') ?? at;
  const practitioner = joined(
    sentence(speaker.names.get(step.id) ?? technique.name),
    sideFor(work.side, handsOf(who)),
    pressure &&
      sentence(joined(`${pressure} pressure`, technique.direction && `, ${technique.direction}`).replace(' ,', ',')),
    whereWords(step, work, speaker.catalogue),
  );
  const client = joined(sideFor(work.side, 'client'), technique.clientCue);
  if (who === 'client') return client || sentence(speaker.names.get(step.id) ?? technique.name);
  return who === 'practitioner' ? practitioner : joined(practitioner, technique.clientCue);
}

/** What is said at a moment; empty when nothing is. Sides are the client’s. */
export function spokenAt(
  moment: Pick<Moment, 'kind' | 'cueIndex' | 'count' | 'of' | 'breath'>,
  speaker: Speaker,
  { who, counts, countdown }: Heard,
  /** As it is worked now, after lighter and firmer. */
  pressure: Cue['pressure'] = speaker.cues[moment.cueIndex]?.pressure ?? null,
): string {
  const { cues } = speaker;
  const cue = cues[moment.cueIndex];
  if (!cue) return '';
  const toClient = who !== 'practitioner';
  const toPractitioner = who !== 'client';
  switch (moment.kind) {
    case 'done':
      return 'Done. Stay as you are for a moment.';
    case 'cue':
      return beginsStep(cues, cue.index) && cue.kind !== 'done'
        ? announced(cue, speaker, who, pressure)
        : changeWords(cue, speaker, who, pressure);
    case 'side-soon': {
      const side = sideAfter(cues, cue.index);
      return side ? `Soon ${toPractitioner && who !== 'oneself' ? 'the client’s' : 'your'} ${side}.` : '';
    }
    case 'usual':
      return toPractitioner ? 'The usual time.' : '';
    case 'countdown': {
      const shut = cue.body.eyes === 'shut' || cue.body.eyes === 'squeeze';
      return countdown === 'always' || (countdown === 'eyes-shut' && shut) ? (NUMBERS[moment.count] ?? '') : '';
    }
    case 'breath':
      return toClient && moment.breath && moment.count <= BREATHS_SAID ? BREATHED[moment.breath] : '';
    case 'beat':
      return countWords(cue, moment.count, moment.of, counts);
  }
}

function countWords(cue: Cue, count: number, of: number, counts: Hearing['counts']): string {
  if (counts === 'none' || of < 2) return '';
  if (count === of) return 'last one';
  if (counts === 'last-three') return of - count < 3 && of > 4 ? String(count) : '';
  const every = counts === 'every' && (cue.beats?.intervalMs ?? 0) >= EVERY_FROM_MS;
  return every || count % 5 === 0 ? String(count) : '';
}

/** What changes within a step. */
function changeWords(cue: Cue, { steps, catalogue }: Speaker, who: Heard['who'], pressure: Cue['pressure']): string {
  const step = steps[cue.stepIndex]!;
  const toPractitioner = who !== 'client';
  switch (cue.kind) {
    case 'change-side':
      return toPractitioner
        ? joined('Change.', sideFor(cue.side, handsOf(who)))
        : joined('Now', sideFor(cue.side, 'client').replace('Your', 'your'));
    case 'change-direction':
      return toPractitioner
        ? pressure && pressure !== step.pressure?.there
          ? `Other way, ${pressure}.`
          : 'Other way.'
        : '';
    case 'next-place': {
      const name = cue.placeIndex === null ? '' : (catalogue.placeName(step.path[cue.placeIndex]!) ?? '');
      const isLast = cue.placeIndex !== null && cue.placeIndex === cue.places - 1;
      return toPractitioner
        ? sentence(joined(isLast ? 'last place' : 'next place', name && `, ${name}`).replace(' ,', ','))
        : '';
    }
    case 'swap':
    case 'rest': {
      const what = cue.kind === 'swap' ? 'Swap hands.' : 'Let go.';
      const set = cue.sets > 1 ? (cue.set === cue.sets ? 'Last set.' : `Set ${cue.set} of ${cue.sets}.`) : '';
      return toPractitioner ? joined(what, set) : cue.kind === 'rest' ? what : '';
    }
    case 'open':
      return toPractitioner ? sentence(`wait until ${cue.open!.until}`) : '';
    case 'check':
      return sentence(cue.check ?? '');
    case 'test':
      return toPractitioner ? 'Take the reading.' : '';
    default:
      return '';
  }
}

import { breathPhases, type Body, type Cue } from '../routine/index.ts';
import { clock, counted } from '../words/index.ts';
import type { Learned, Middle } from './learned.ts';
import { cueLengthMs, endsByFeel, type GuideState } from './machine.ts';

/** What softening is told by, in the words of what is waited for. */
const SOFTENS = /soften|give|gives|given|slack|eases|tender|dulls|less sharp|sink|heavy/;
/** Said on what is pressed when what is waited for has come; null in cues that end by the clock. */
export function goOnWords(cue: Cue, state: GuideState): string | null {
  if (!endsByFeel(cue, state)) return null;
  if (!cue.open) return 'There, begin';
  return SOFTENS.test(cue.open.until) ? 'Softened, go on' : 'Reached, go on';
}

const NOW_DOING: Partial<Record<Cue['kind'], string>> = {
  'find-place': 'find the place',
  'change-side': 'change sides',
  'change-direction': 'other way',
  'next-place': 'next place',
  swap: 'swap hands',
  rest: 'let go',
  hold: 'hold',
  check: 'check',
};
const BREATH_WORDS = { in: 'in', 'in-again': 'in again', hold: 'hold', out: 'out', rest: 'wait' } as const;

/** The large figure and the two lines beside it. */
export interface CueFace {
  /** The large figure. */
  big: string;
  /** Beside it. */
  line: string;
  /** Below that: which place and set, how long still. */
  under: string;
}

const left = (ms: number): string => String(Math.max(0, Math.ceil(ms / 1000 - 1e-6)));

/**
 * What the screen shows of the present cue.
 * @param holdWord What the school of the routine calls staying on a place.
 */
export function faceOf(cue: Cue, state: GuideState, holdWord = NOW_DOING.hold!): CueFace {
  const lengthMs = cueLengthMs(cue, state);
  const toGo = lengthMs - state.intoMs;
  const place = cue.placeIndex !== null && cue.places > 1 ? `place ${cue.placeIndex + 1} of ${cue.places}` : '';
  const set = cue.sets > 1 ? `set ${cue.set} of ${cue.sets}` : '';
  const which = [place, set].filter(Boolean).join(', ');
  if (cue.beats) {
    const total = Math.max(cue.beats.count, Math.ceil(lengthMs / cue.beats.intervalMs - 1e-9));
    const beat = Math.min(total, Math.floor(state.intoMs / cue.beats.intervalMs + 1e-9) + 1);
    const every = cue.beats.intervalMs / 1000;
    const pace = every >= 2 ? `one every ${Number(every.toFixed(1))} s` : `${Number((60 / every).toFixed(0))} a minute`;
    return {
      big: String(beat),
      line: `of ${total} ${cue.beats.unit}${cue.way === 'back' ? ', other way' : ''}`,
      under: [which, pace, `${clock(toGo / 1000)} left`].filter(Boolean).join(', '),
    };
  }
  if (cue.breath) {
    const at = cue.startMs + Math.min(state.intoMs, cue.endMs - cue.startMs - 1);
    const phase = breathPhases(cue).find((p) => at >= p.startMs && at < p.endMs);
    return {
      big: phase ? left(phase.endMs - at) : '',
      line: phase ? `breathe ${BREATH_WORDS[phase.phase]}` : 'breathe',
      under: `${[which, phase ? `breath ${phase.cycle} of ${cue.breath.cycles}` : ''].filter(Boolean).join(', ')}, ${clock(toGo / 1000)} left`,
    };
  }
  if (cue.open)
    return {
      big: String(Math.floor(state.intoMs / 1000 + 1e-6)),
      line: `wait until ${cue.open.until}`,
      under: which,
    };
  if (cue.check) return { big: left(toGo), line: cue.check, under: which };
  if (cue.test) return { big: left(toGo), line: 'take the reading', under: which };
  if (endsByFeel(cue, state))
    return { big: String(Math.floor(state.intoMs / 1000 + 1e-6)), line: NOW_DOING[cue.kind]!, under: which };
  const doing = cue.kind === 'hold' ? holdWord : (NOW_DOING[cue.kind] ?? cue.kind);
  return { big: left(toGo), line: `${doing}, seconds left`, under: which };
}

const BODY_WORDS = {
  head: {
    still: '',
    'turns-away': 'head turns away',
    'turns-toward': 'head turns to the side that is worked',
    drops: 'head sinks into the hands',
    'tips-back': 'head tips back',
    'tips-aside': 'head tips aside',
    nods: 'head nods',
  },
  jaw: {
    loose: '',
    closed: 'teeth together',
    'slightly-open': 'mouth slightly open',
    wide: 'mouth wide open',
    'opens-and-closes': 'mouth opens and closes',
    'o-shape': 'lips in an O',
    clenches: 'jaw clenches',
  },
  eyes: { any: '', shut: 'eyes shut', open: 'eyes open', blink: 'eyes blink', squeeze: 'eyes squeeze' },
  tongue: {
    rest: '',
    palate: 'tongue at the palate',
    'presses-palate': 'tongue presses the palate',
    out: 'tongue out',
    circles: 'tongue circles',
  },
} as const satisfies { [K in keyof Body]: Record<Body[K], string> };

/** What the client does in a cue, in words; empty when nothing but lying still. */
export const bodyWords = ({ head, jaw, eyes, tongue }: Body): string =>
  [BODY_WORDS.head[head], BODY_WORDS.jaw[jaw], BODY_WORDS.eyes[eyes], BODY_WORDS.tongue[tongue]]
    .filter(Boolean)
    .join(', ');

const MOVE_WORDS: Record<keyof Learned['hands'], string> = {
  'find-place': 'finding a place',
  'next-place': 'going to the next',
  'change-side': 'changing sides',
  swap: 'swapping hands',
};
/** What is known of how long hands take: "finding a place 5 s (4–8, 9 runs)"; empty where nothing is. */
export const handWords = (hands: Learned['hands']): string =>
  (Object.keys(MOVE_WORDS) as (keyof Learned['hands'])[])
    .flatMap((move) => (hands[move] ? `${MOVE_WORDS[move]} ${middleWords(hands[move])}` : []))
    .join(', ');
/** A middle with its range and how many runs it stands on. */
export const middleWords = ({ seconds, leastSeconds, mostSeconds, runs }: Middle): string =>
  `${Math.round(seconds)} s (${Math.round(leastSeconds)}–${Math.round(mostSeconds)}, ${counted(runs, 'run')})`;

/** What comes after this step, in one line. */
export function nextWords(cues: readonly Cue[], state: GuideState, nameOf: (stepId: string) => string): string {
  const cue = cues[state.cueIndex];
  if (!cue) return '';
  let at = cue.index + 1;
  while (
    cues[at] &&
    cues[at]!.kind !== 'done' &&
    cues[at]!.kind !== 'change-side' &&
    cues[at]!.stepIndex === cue.stepIndex
  )
    at++;
  const next = cues[at];
  if (!next || next.kind === 'done') return 'That was the last step';
  if (next.stepIndex === cue.stepIndex) return `Same step, client’s ${next.side}`;
  // In a block a step comes again for the other side: counted is this stretch of it.
  let endMs = next.endMs;
  for (let i = at; cues[i]?.stepIndex === next.stepIndex && cues[i]!.kind !== 'done'; i++) endMs = cues[i]!.endMs;
  return `${nameOf(next.stepId)}, ${clock((endMs - next.startMs) / 1000)}`;
}

import { breathPhases, type Cue, type Step, type Technique } from '../routine/index.ts';
import { clock } from '../words/index.ts';
import type { GuideState } from './machine.ts';
import { cueLengthMs } from './machine.ts';

/** What is said aloud when a cue begins; empty when nothing is. Sides are the client's. */
export function spokenAt(cue: Cue, step: Step, technique: Technique): string {
  const side = cue.side === 'both' ? 'Both sides.' : cue.side === 'midline' ? '' : `Client’s ${cue.side}.`;
  switch (cue.kind) {
    case 'move':
      return [
        `${step.label ?? technique.name}.`,
        side,
        step.pressure ? `${step.pressure} pressure.` : '',
        technique.clientCue,
      ]
        .filter(Boolean)
        .join(' ');
    case 'change-side':
      return `Change. ${side}`;
    case 'change-direction':
      return 'Other way.';
    case 'next-spot':
      return 'Next spot.';
    case 'swap-hands':
      return 'Swap hands.';
    case 'rest':
      return 'Let go.';
    case 'done':
      return 'Done. Stay as you are for a moment.';
    default:
      return '';
  }
}

const NOW_DOING: Partial<Record<Cue['kind'], string>> = {
  move: 'find the place',
  'change-side': 'change sides',
  'change-direction': 'other way',
  'next-spot': 'next spot',
  'swap-hands': 'swap hands',
  rest: 'let go',
  hold: 'hold',
  check: 'check',
};
const BREATH_WORDS = { in: 'in', 'hold-in': 'hold', out: 'out', 'hold-out': 'wait' } as const;

/** The large figure and the two lines beside it. */
export interface CueFace {
  big: string;
  line: string;
  under: string;
}

const left = (ms: number): string => String(Math.max(0, Math.ceil(ms / 1000 - 1e-6)));

/** What the screen shows of the present cue. */
export function faceOf(cue: Cue, state: GuideState): CueFace {
  const lengthMs = cueLengthMs(cue, state);
  const toGo = lengthMs - state.intoMs;
  const spot = cue.spots > 1 ? `spot ${cue.spot} of ${cue.spots}` : '';
  const set = cue.sets > 1 ? `set ${cue.set} of ${cue.sets}` : '';
  const which = [spot, set].filter(Boolean).join(', ');
  if (cue.beats) {
    const total = Math.max(cue.beats.count, Math.ceil(lengthMs / cue.beats.intervalMs - 1e-9));
    const beat = Math.min(total, Math.floor(state.intoMs / cue.beats.intervalMs + 1e-9) + 1);
    const every = cue.beats.intervalMs / 1000;
    const pace = every >= 2 ? `one every ${Number(every.toFixed(1))} s` : `${Number((60 / every).toFixed(0))} a minute`;
    return {
      big: String(beat),
      line: `of ${total} ${cue.beats.unit}${cue.direction === 2 ? ', other way' : ''}`,
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
      big: left(toGo),
      line: `until ${cue.open.until}`,
      under: [which, `go on earlier with →, longer with e; up to ${clock(cue.open.mostMs / 1000)}`]
        .filter(Boolean)
        .join('; '),
    };
  if (cue.check) return { big: left(toGo), line: cue.check, under: which };
  return { big: left(toGo), line: `${NOW_DOING[cue.kind] ?? cue.kind}, seconds left`, under: which };
}

/** What comes after this step, in one line. */
export function nextWords(cues: readonly Cue[], state: GuideState, nameOf: (stepId: string) => string): string {
  const cue = cues[state.cueIndex];
  if (!cue) return '';
  const next = cues
    .slice(state.cueIndex + 1)
    .find((c) => c.kind === 'done' || c.stepId !== cue.stepId || c.kind === 'change-side');
  if (!next || next.kind === 'done') return 'That was the last step';
  if (next.stepId === cue.stepId) return `Same step, client’s ${next.side}`;
  const lengthMs = cues
    .filter((c) => c.stepId === next.stepId && c.kind !== 'done')
    .reduce((sum, c) => sum + c.endMs - c.startMs, 0);
  return `${nameOf(next.stepId)}, ${clock(lengthMs / 1000)}`;
}

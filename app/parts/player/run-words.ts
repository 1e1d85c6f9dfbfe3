import { expandRoutine } from '../../../core/routine';
import type { runRecord } from '../../../core/guide';
import { type Hearing, type HearingAlone, stateAt, timeLeftMs } from '../../../core/guide';
import type { CommandId } from './commands';
import type { OpenRun } from './port';
import type { Stopped } from './ready-panel';

/** What can be asked for where one works on oneself: nothing firmer than the plan. */
export const ALONE_COMMANDS: ReadonlySet<CommandId> = new Set([
  'toggle',
  'go-on',
  'next',
  'back',
  'repeat',
  'lighter',
  'stop',
]);
/** Everything is told to the one who works; with shut eyes every end is counted down. */
export const hearingAlone = (hearing: Hearing, eyesShut: boolean): HearingAlone => ({
  ...hearing,
  who: 'oneself',
  countdown: eyesShut ? 'always' : hearing.countdown,
});

/** At the end of the five words there is nothing lighter, or firmer. */
export const onlyOther = <T>(next: T, now: T): T | null => (next === now ? null : next);

/** How many steps were worked to their end, in part, and not at all. */
export function outcomesOf(steps: ReturnType<typeof runRecord>['steps']) {
  const of = (outcome: (typeof steps)[number]['outcome']) => steps.filter((s) => s.outcome === outcome).length;
  return { done: of('done'), part: of('part'), skipped: of('skipped') };
}

/** Where a stopped run would go on, by the routine it ran. */
export function stoppedAt({ events, routine }: OpenRun): Stopped | null {
  const cues = expandRoutine(routine);
  const state = stateAt(cues, events, events.at(-1)?.atMs ?? 0);
  const cue = cues[state.cueIndex];
  if (!cue || state.status !== 'stopped') return null;
  const of = Math.max(...cues.map((c) => c.stepIndex)) + 1;
  return { step: cue.stepIndex + 1, of, leftSeconds: timeLeftMs(cues, state) / 1000 };
}

import type { GuideState } from '../../../core/guide';
import { clock } from '../../../core/words';
import { Button } from 'react-bootstrap';

/** After a run: what it was by the clock, and where it goes on. */
export function EndedPanel({
  state,
  plannedSeconds,
  outcomes,
  ending,
  label,
  onGo,
  onTakeUp,
}: {
  state: GuideState;
  plannedSeconds: number;
  /** How many steps were worked to their end, in part, not at all. */
  outcomes: { done: number; part: number; skipped: number };
  ending: 'going' | 'kept' | 'waiting';
  label: string;
  onGo: () => void;
  /** Null where it may not go on. */
  onTakeUp: (() => void) | null;
}) {
  const { done, part, skipped } = outcomes;
  const isWhole = part + skipped === 0;
  const counted = [`${done} done`, part ? `${part} in part` : '', skipped ? `${skipped} skipped` : '']
    .filter(Boolean)
    .join(', ');
  const title =
    state.status === 'stopped' ? 'Stopped' : done + part === 0 ? 'Nothing was done' : isWhole ? 'Done' : 'At the end';
  return (
    <div role="status">
      <h1>{title}</h1>
      <p className="told">
        {clock(((state.endedAtMs ?? 0) - (state.startedAtMs ?? 0)) / 1000)} by the clock, planned{' '}
        {clock(plannedSeconds)}.{!isWhole && ` Steps: ${counted}.`}
        {state.stopReason && ` ${state.stopReason}.`}
      </p>
      {ending === 'waiting' && (
        <p className="worse">Not everything is written yet. Keep this page open; it is tried again.</p>
      )}
      <div className="d-flex gap-3 flex-wrap mt-3">
        {/* What was done is read from the server there, so it has to stand there first. */}
        <Button size="lg" disabled={ending === 'going'} onClick={onGo}>
          {ending === 'going' ? 'Keeping …' : label}
        </Button>
        {state.status === 'stopped' && onTakeUp && (
          <Button size="lg" variant="outline-primary" onClick={onTakeUp}>
            Take it up again
          </Button>
        )}
      </div>
    </div>
  );
}

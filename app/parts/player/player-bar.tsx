import type { ReactNode } from 'react';
import { Button } from 'react-bootstrap';
import { clock } from '../../../core/words';
import { useDates } from '../frame/use-dates';
import { nowMs } from './clock';
import { askForHelp } from '../keys/help';

/** Above a run: whose it is, where it stands, how long still and until when. */
export function PlayerBar({
  who,
  phase,
  step,
  isPaused,
  caution,
  leftMs,
  unsent,
  onLeave,
  roomScreen,
}: {
  who: ReactNode;
  phase: string;
  /** Which step of how many. */
  step: string;
  isPaused: boolean;
  caution: string;
  leftMs: number;
  unsent: number;
  /** To the rest of what the run belongs to; it waits meanwhile. */
  onLeave: () => void;
  /** Where another screen shows this run. */
  roomScreen: string | undefined;
}) {
  const { timeOfDay } = useDates();
  return (
    <div className="player-bar">
      {who && <strong className="who">{who}</strong>}
      <span className="soft where-in">
        <span className="phase">{phase}, </span>
        {step}
        {isPaused && <strong className="now"> · paused</strong>}
      </span>
      {caution && <span className="caution fw-bold">{caution}</span>}
      {unsent > 0 && (
        <span className="save-state is-waiting" role="status">
          {unsent} not written yet<span className="long">, kept on this device</span>
        </span>
      )}
      <span className="left">
        <strong className="num">{clock(Math.ceil(leftMs / 1000))}</strong> left
        <span className="soft">, ends about {timeOfDay(new Date(nowMs() + leftMs).toISOString())}</span>
      </span>
      {roomScreen && (
        <Button variant="link" href={roomScreen} target="_blank" className="long d-inline-flex align-items-center">
          Room screen
        </Button>
      )}
      <Button variant="link" onClick={onLeave} aria-label="To the plan">
        <span className="long">To the plan</span>
        <span className="short">Plan</span>
      </Button>
      <Button variant="link" aria-haspopup="dialog" onClick={askForHelp}>
        Help
      </Button>
    </div>
  );
}

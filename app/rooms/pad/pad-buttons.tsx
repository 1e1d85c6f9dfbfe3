import { HAND_SCRIPTS, type HandScript } from '../../../core/devices';
import { Button, Form } from 'react-bootstrap';
import type { useLed } from './use-led';

const SCRIPT_NAMES: Readonly<Record<HandScript, string>> = {
  steady: 'a steady hand',
  hard: 'a hand that presses a fifth too hard',
  slow: 'a slow hand',
  fast: 'a fast hand',
};
/** What is told of keeping a try, and how it is asked for once more where it could not be. */
export interface Kept {
  words: string;
  again: (() => void) | null;
}

/** Presses the stand-in, begins and ends a try, lets a made-up hand work. */
export function PadButtons({
  isStandIn,
  isHere,
  isRunning,
  led,
  script,
  kept,
  onScript,
  onStart,
  onStop,
  onWork,
}: {
  isStandIn: boolean;
  isHere: boolean;
  isRunning: boolean;
  led: ReturnType<typeof useLed>;
  script: HandScript;
  kept: Kept;
  onScript: (script: HandScript) => void;
  onStart: () => void;
  onStop: () => void;
  onWork: () => void;
}) {
  return (
    <div className="pad-buttons">
      {isStandIn && (
        <Button className="pad-press" {...led}>
          Press here <kbd>space</kbd>
        </Button>
      )}
      <Button variant={isStandIn ? 'outline-primary' : 'primary'} disabled={!isHere} onClick={onStart}>
        {isRunning ? 'Start again' : 'Start'} <kbd>r</kbd>
      </Button>
      <Button variant="outline-primary" disabled={!isRunning} onClick={onStop}>
        Stop <kbd>x</kbd>
      </Button>
      {isStandIn && (
        <span className="pad-script">
          <Form.Select
            aria-label="A made-up hand"
            size="sm"
            value={script}
            onChange={(e) => onScript(e.target.value as HandScript)}
          >
            {HAND_SCRIPTS.map((s) => (
              <option key={s} value={s}>
                {SCRIPT_NAMES[s]}
              </option>
            ))}
          </Form.Select>
          <Button variant="outline-primary" disabled={isRunning} onClick={onWork}>
            Let it work
          </Button>
        </span>
      )}
      <span role="status" className="small">
        {kept.words}{' '}
        {kept.again && (
          <Button variant="link" onClick={kept.again}>
            Try to keep it again
          </Button>
        )}
      </span>
    </div>
  );
}

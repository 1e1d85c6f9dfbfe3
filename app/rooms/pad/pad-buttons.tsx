import { HAND_SCRIPTS, type HandScript } from '../../../core/devices';
import { Button, Form } from 'react-bootstrap';
import type { useLed } from './use-led';

const SCRIPT_NAMES: Readonly<Record<HandScript, string>> = {
  steady: 'a steady hand',
  hard: 'a hand that presses a fifth too hard',
  slow: 'a slow hand',
  fast: 'a fast hand',
};
/** Presses the stand-in, begins and ends a try, lets a made-up hand work. */
export function PadButtons({
  isStandIn,
  isHere,
  isRunning,
  press,
  script,
  told,
  unkept,
  onScript,
  onStart,
  onStop,
  onWork,
  onAgain,
}: {
  isStandIn: boolean;
  isHere: boolean;
  isRunning: boolean;
  press: ReturnType<typeof useLed>['button'];
  script: HandScript;
  /** What became of the last try. */
  told: string;
  /** How many tries could not be kept so far. */
  unkept: number;
  onScript: (script: HandScript) => void;
  onStart: () => void;
  onStop: () => void;
  onWork: () => void;
  onAgain: () => void;
}) {
  return (
    <div className="pad-buttons">
      {isStandIn && (
        <Button id="pad-press" className="pad-press" {...press}>
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
        {told}{' '}
        {unkept > 0 && (
          <Button variant="link" onClick={onAgain}>
            {unkept === 1 ? 'Try to keep it again' : `Try to keep ${unkept} tries again`}
          </Button>
        )}
      </span>
    </div>
  );
}

import { HAND_SCRIPTS, type HandScript } from '../../../core/devices';
import { Button, Form } from 'react-bootstrap';
import { KeptLine } from './kept-line';
import type { useLed } from './use-led';

const SCRIPT_NAMES: Readonly<Record<HandScript, string>> = {
  steady: 'a steady hand',
  hard: 'a hand that presses a fifth too hard',
  slow: 'a slow hand',
  fast: 'a fast hand',
  uneven: 'two hands, the left a third harder',
};
/** Presses the stand-in, begins and ends a try, lets a made-up hand work. */
export function PadButtons({
  isStandIn,
  isHere,
  isRunning,
  press,
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
  press: ReturnType<typeof useLed>['button'];
  script: HandScript;
  kept: Parameters<typeof KeptLine>[0]['kept'];
  onScript: (script: HandScript) => void;
  onStart: () => void;
  onStop: () => void;
  onWork: () => void;
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
          <span className="soft small">
            <kbd>↑</kbd> <kbd>↓</kbd> harder, softer
          </span>
        </span>
      )}
      <KeptLine kept={kept} />
    </div>
  );
}

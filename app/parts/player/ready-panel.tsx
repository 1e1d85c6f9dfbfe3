import { type Routine, stepsOf } from '../../../core/routine';
import type { PreparationItem } from '../../../core/limits';
import { clock, counted } from '../../../core/words';
import { useYourSeconds } from '../frame/use-learned';
import { YourTimes } from './your-times';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';

/** A run that was stopped and can be gone on with. */
export interface Stopped {
  /** Step it stopped at, from 1, and of how many. */
  step: number;
  of: number;
  leftSeconds: number;
}

/** Before the run: what is going to happen, how it is announced, and where it begins. */
export function ReadyPanel({
  routine,
  nameOf,
  seconds,
  again,
  toReady,
  onReady,
  saved,
  conflict,
  avoid,
  stopped,
  onTakeUp,
  onStart,
  blocked,
  failed,
  hearing,
}: {
  routine: Routine;
  nameOf: (stepId: string) => string;
  seconds: number;
  again: boolean;
  /** Preparation that this routine needs and nobody ticked. */
  toReady: readonly PreparationItem[];
  onReady: (key: string) => void;
  /** Whether what is ticked is written, and what stands between. */
  saved?: React.ReactNode;
  conflict?: React.ReactNode;
  /** What speaks against the product of today. */
  avoid: readonly string[];
  stopped: Stopped | null;
  onTakeUp: () => void;
  onStart: (step: number) => void;
  blocked?: string;
  failed: boolean;
  /** How it is heard. */
  hearing: React.ReactNode;
}) {
  const steps = stepsOf(routine);
  const yourSeconds = useYourSeconds(routine);
  const [first, setFirst] = useState(0);
  return (
    <div>
      <div className="soft">
        {stopped
          ? 'A run of this visit was stopped.'
          : again
            ? 'A run of this visit is on record; this starts another.'
            : 'Ready'}
      </div>
      <h1>{routine.name}</h1>
      <p className="told">
        {counted(steps.length, 'step')}, {clock(seconds)}
        {yourSeconds !== null && <>; by your own runs about {clock(yourSeconds)}</>}.
      </p>
      {toReady.length > 0 && (
        <div className="mb-3">
          <div className="d-flex gap-3 align-items-baseline">
            <strong>Still to make ready for this routine</strong>
            {saved}
          </div>
          {conflict}
          {toReady.map((p) => (
            <Form.Check
              key={p.key}
              id={`ready-${p.key}`}
              label={p.label}
              checked={false}
              onChange={() => onReady(p.key)}
            />
          ))}
        </div>
      )}
      {avoid.map((words) => (
        <p key={words} className="caution fw-bold mb-2">
          {words}
        </p>
      ))}
      {blocked ? (
        <p className="caution fw-bold" role="alert">
          {blocked} The run cannot start like this.
        </p>
      ) : (
        <div className="start-line">
          {stopped && (
            <Button size="lg" onClick={onTakeUp} autoFocus>
              Go on at step {stopped.step} of {stopped.of}, {clock(stopped.leftSeconds)} left
            </Button>
          )}
          <Button
            size="lg"
            variant={stopped ? 'outline-primary' : 'primary'}
            onClick={() => onStart(first)}
            autoFocus={!stopped}
          >
            {stopped ? 'Start anew' : 'Start'}
          </Button>
          {steps.length > 1 && (
            <Form.Group controlId="begin-at">
              <Form.Label className="mb-0">at step</Form.Label>
              <Form.Select value={first} onChange={(e) => setFirst(Number(e.target.value))}>
                {steps.map((s, i) => (
                  <option key={s.id} value={i}>
                    {i + 1} {nameOf(s.id)}
                  </option>
                ))}
              </Form.Select>
            </Form.Group>
          )}
        </div>
      )}
      {failed && (
        <p className="worse mt-2" role="alert">
          The run could not be opened. Check the connection and start again.
        </p>
      )}
      <p className="soft mt-3">Keep discomfort at 5 of 10 or below; stop at sharp or rising pain.</p>
      {hearing}
      <YourTimes />
    </div>
  );
}

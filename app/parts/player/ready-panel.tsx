import { stepCount, type Routine } from '../../../core/routine';
import type { PreparationItem } from '../../../core/limits';
import { clock } from '../../../core/words';
import { Button, Form } from 'react-bootstrap';

interface Settings {
  sound: boolean;
  voice: boolean;
  /** Stops between the sides to compare them. */
  between: boolean;
}

/** Before the run: what is going to happen, and how it is announced. */
export function ReadyPanel({
  routine,
  seconds,
  again,
  toReady,
  onReady,
  saved,
  conflict,
  avoid,
  settings,
  onSettings,
  onStart,
  blocked,
  failed,
}: {
  routine: Routine;
  seconds: number;
  again: boolean;
  /** Preparation that this routine needs and nobody ticked. */ toReady: readonly PreparationItem[];
  onReady: (key: string) => void;
  /** Whether what is ticked is written, and what stands between. */
  saved?: React.ReactNode;
  conflict?: React.ReactNode;
  /** What speaks against the product of today. */ avoid: readonly string[];
  settings: Settings;
  onSettings: (s: Settings) => void;
  onStart: () => void;
  blocked?: string;
  failed: boolean;
}) {
  const steps = stepCount(routine);
  return (
    <div>
      <div className="soft">{again ? 'A run of this visit is on record; this starts another.' : 'Ready'}</div>
      <h1>{routine.name}</h1>
      <p className="say">
        {steps} step{steps === 1 ? '' : 's'}, {clock(seconds)}.
      </p>
      <Form.Check
        type="switch"
        id="guide-sound"
        label="Tones for beats, changes and the last three seconds"
        checked={settings.sound}
        onChange={(e) => onSettings({ ...settings, sound: e.target.checked })}
      />
      <Form.Check
        type="switch"
        id="guide-voice"
        label="Spoken cues, where this browser has a voice"
        checked={settings.voice}
        onChange={(e) => onSettings({ ...settings, voice: e.target.checked })}
      />
      <Form.Check
        type="switch"
        id="guide-between"
        label="Stop between the sides to compare them"
        checked={settings.between}
        onChange={(e) => onSettings({ ...settings, between: e.target.checked })}
      />
      {toReady.length > 0 && (
        <div className="mt-3">
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
        <p key={words} className="caution fw-bold mt-3 mb-0">
          {words}
        </p>
      ))}
      {blocked ? (
        <p className="caution fw-bold mt-3" role="alert">
          {blocked} The run cannot start like this.
        </p>
      ) : (
        <Button size="lg" className="mt-3" onClick={onStart} autoFocus>
          Start
        </Button>
      )}
      {failed && (
        <p className="worse mt-2" role="alert">
          The run could not be opened. Check the connection and start again.
        </p>
      )}
      <p className="soft mt-3">
        <kbd>space</kbd> starts and pauses. Keep discomfort at 5 of 10 or below; stop at sharp or rising pain.
      </p>
    </div>
  );
}

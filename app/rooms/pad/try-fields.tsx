import { forceOn, PAD_CONTACTS, type Aim, type PadContact } from '../../../core/touch';
import { CONTACT_NAMES } from '../../../core/words';
import { Button, Form } from 'react-bootstrap';
import { usualAreaCm2 } from './rehearsal';

/** With what, how quickly, and whether the trace is seen. */
export function TryFields({
  aim,
  area,
  contact,
  tempo,
  isBlind,
  beats,
  isRunning,
  onContact,
  onFaster,
  onBlind,
  onBeats,
}: {
  aim: Aim;
  area: number;
  contact: PadContact;
  tempo: number;
  isBlind: boolean;
  beats: boolean;
  isRunning: boolean;
  onContact: (contact: PadContact) => void;
  onFaster: (by: number) => void;
  onBlind: (is: boolean) => void;
  onBeats: (sound: boolean) => void;
}) {
  return (
    <>
      <h2>Contact</h2>
      <div className="pad-contacts" role="group" aria-label="Contact">
        {PAD_CONTACTS.map((c) => (
          <button key={c} type="button" aria-pressed={c === contact} disabled={isRunning} onClick={() => onContact(c)}>
            {CONTACT_NAMES[c]} <span className="num">{usualAreaCm2(c)} cm²</span>
          </button>
        ))}
      </div>
      <p className="soft small">
        The same word needs more force on a larger contact: {aim.word} on {CONTACT_NAMES[contact]} is{' '}
        {forceOn(aim.wordLeastKpa, area).toPrecision(2)} to {forceOn(aim.wordMostKpa, area).toPrecision(2)} N. The pad
        tells the area itself.
      </p>
      <h2>Tempo</h2>
      <div className="pad-tempo">
        <Button variant="outline-primary" aria-label="Slower" disabled={isRunning} onClick={() => onFaster(-1)}>
          −
        </Button>
        <span className="num" aria-live="polite">
          {tempo} / min
        </span>
        <Button variant="outline-primary" aria-label="Faster" disabled={isRunning} onClick={() => onFaster(1)}>
          +
        </Button>
      </div>
      <Form.Check id="pad-beats" label="sound the beat" checked={beats} onChange={(e) => onBeats(e.target.checked)} />
      <Form.Check
        id="pad-blind"
        label="blind: hide the trace until it is over"
        checked={isBlind}
        disabled={isRunning}
        onChange={(e) => onBlind(e.target.checked)}
      />
    </>
  );
}

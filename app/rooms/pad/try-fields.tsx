import { forceOn, PAD_CONTACTS } from '../../../core/touch';
import { CONTACT_NAMES } from '../../../core/words';
import { Button, Form } from 'react-bootstrap';
import { usualAreaCm2 } from './rehearsal';
import type { useTechnique } from './use-technique';

/** With what, how quickly, and whether the trace is seen. */
export function TryFields({ own, isRunning }: { own: ReturnType<typeof useTechnique>; isRunning: boolean }) {
  const { aim, areaCm2, contact, tempo, isBlind, beats, bothHands } = own;
  return (
    <>
      <h2>Contact</h2>
      <div className="pad-contacts" role="group" aria-label="Contact">
        {PAD_CONTACTS.map((c) => (
          <button
            key={c}
            type="button"
            aria-pressed={c === contact}
            disabled={isRunning}
            onClick={() => own.setContact(c)}
          >
            {CONTACT_NAMES[c]} <span className="num">{usualAreaCm2(c)} cm²</span>
          </button>
        ))}
      </div>
      <p className="soft small">
        The same word needs more force on a larger contact: {aim.word} on {CONTACT_NAMES[contact]}
        {bothHands && ' of both hands'} is {forceOn(aim.wordLeastKpa, areaCm2).toPrecision(2)} to{' '}
        {forceOn(aim.wordMostKpa, areaCm2).toPrecision(2)} N. The pad tells the area itself.
      </p>
      <Form.Check
        id="pad-both"
        label="both hands, left and right of the middle"
        checked={bothHands}
        disabled={isRunning}
        onChange={(e) => own.setBothHands(e.target.checked)}
      />
      <h2>Tempo</h2>
      <div className="pad-tempo">
        <Button variant="outline-primary" aria-label="Slower" disabled={isRunning} onClick={() => own.faster(-1)}>
          −
        </Button>
        <span className="num" aria-live="polite">
          {tempo} / min
        </span>
        <Button variant="outline-primary" aria-label="Faster" disabled={isRunning} onClick={() => own.faster(1)}>
          +
        </Button>
      </div>
      <Form.Check
        id="pad-beats"
        label="sound the beat"
        checked={beats}
        onChange={(e) => own.setBeats(e.target.checked)}
      />
      <Form.Check
        id="pad-blind"
        label="blind: hide the trace until it is over"
        checked={isBlind}
        disabled={isRunning}
        onChange={(e) => own.setIsBlind(e.target.checked)}
      />
    </>
  );
}

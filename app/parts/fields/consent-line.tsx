import { type Consent, type ConsentKind, consentState, type PracticeText, TEXT_NAMES } from '../../../core/record';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { dayOf } from '../../../core/schedule';
import { useDates } from '../frame/use-dates';
import { send } from '../frame/send';

interface Props {
  clientId: string;
  kind: ConsentKind;
  /** The wording of today. */
  text: PracticeText;
  consents: readonly Consent[];
  timeZone: string;
  onConsents: (consents: Consent[]) => void;
}

/** What is erased at once when a consent is taken back. */
const GOES_WITH: Partial<Record<ConsentKind, string>> = {
  photo: 'All photos of this client are erased at once.',
};

/** Whether the client consents to today's wording, the wording itself, and one button to note it or take it back. */
export function ConsentLine({ clientId, kind, text, consents, timeZone, onConsents }: Props) {
  const { dayWords } = useDates();
  const [shown, setShown] = useState(false);
  const [asks, setAsks] = useState(false);
  const [failed, setFailed] = useState('');
  /** One word after the other: two on their way at once might be kept in the other order. */
  const [writing, setWriting] = useState(false);
  const now = consentState(consents, kind, text.version);
  const versionWords = text.version ? `version ${text.version}` : 'the first wording';
  const told =
    now.state === 'given'
      ? `given ${dayWords(dayOf(now.consent.givenAt, timeZone))}, ${versionWords}`
      : now.state === 'outdated'
        ? `given to an older wording (version ${now.consent.textVersion}); the present one is ${versionWords}`
        : now.state === 'withdrawn'
          ? 'taken back by the client'
          : 'not on file yet';
  const write = async (what: 'give' | 'withdraw') => {
    setWriting(true);
    const answer = await send<{ consent?: Consent }>(`/clients/${clientId}/consent`, {
      kind,
      do: what,
      textVersion: text.version,
    });
    setWriting(false);
    setFailed(answer.ok ? '' : answer.message);
    if (!answer.ok) return;
    const given = answer.value.consent;
    onConsents(
      given
        ? [...consents, given]
        : consents.map((c) =>
            c.kind === kind && !c.withdrawnAt ? { ...c, withdrawnAt: new Date().toISOString() } : c,
          ),
    );
  };
  return (
    <div className="consent-line">
      <div>
        <strong>{TEXT_NAMES[text.kind]}</strong>{' '}
        <span className={now.state === 'given' || kind === 'reminders' ? 'soft' : 'worse'}>{told}</span>
        <Button variant="link" aria-expanded={shown} onClick={() => setShown(!shown)}>
          {shown ? 'Hide the wording' : 'Read the wording'}
        </Button>
        {(now.state === 'given' || now.state === 'outdated') && !asks && (
          <Button
            variant="link"
            disabled={writing}
            onClick={() => (GOES_WITH[kind] ? setAsks(true) : void write('withdraw'))}
          >
            Client takes it back
          </Button>
        )}
        {now.state !== 'given' && (
          <Button size="sm" variant="outline-primary" disabled={writing} onClick={() => void write('give')}>
            Client agrees
          </Button>
        )}
      </div>
      {asks && (
        <div role="alertdialog" aria-label="Take it back?">
          {GOES_WITH[kind]}{' '}
          <Button size="sm" variant="danger" autoFocus onClick={() => (setAsks(false), void write('withdraw'))}>
            Take it back
          </Button>{' '}
          <Button size="sm" variant="outline-primary" onClick={() => setAsks(false)}>
            Leave it
          </Button>
        </div>
      )}
      {shown && <blockquote className="small mb-0">{text.body}</blockquote>}
      {failed && (
        <div className="caution small" role="alert">
          {failed}
        </div>
      )}
    </div>
  );
}

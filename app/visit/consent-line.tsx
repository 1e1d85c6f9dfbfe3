import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { consentState, type Consent, type ConsentKind } from '../../core/visit/consent';
import { dayOf, dayWords } from '../ui/time';
import { useVisit } from './context';
import { send } from './send';

const LABELS: Record<ConsentKind, string> = { work: 'Consent to the work and its record', photo: 'Consent to face photos' };

/** Whether the client consents to today's wording, the wording itself, and one button to note it. */
export function ConsentLine({ kind }: { kind: ConsentKind }) {
  const { client, texts, alongside, noteAlongside, timeZone } = useVisit();
  const [shown, setShown] = useState(false);
  const [failed, setFailed] = useState('');
  const text = texts[kind === 'work' ? 'consent-work' : 'consent-photo'];
  const now = consentState(alongside.consents, kind, text.version);
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
    const answer = await send<{ consent?: Consent }>(`/clients/${client.id}/consent`, { kind, do: what, textVersion: text.version });
    setFailed(answer.ok ? '' : answer.message);
    if (!answer.ok) return;
    const given = answer.value.consent;
    noteAlongside((b) => ({ consents: given ? [...b.consents, given] : b.consents.map((c) => (c.kind === kind && !c.withdrawnAt ? { ...c, withdrawnAt: new Date().toISOString() } : c)) }));
  };
  return (
    <div className="consent-line">
      <div>
        <strong>{LABELS[kind]}</strong> <span className={now.state === 'given' ? 'soft' : 'worse'}>{told}</span>
        <Button variant="link" aria-expanded={shown} onClick={() => setShown(!shown)}>
          {shown ? 'Hide the wording' : 'Read the wording'}
        </Button>
        {now.state === 'given' ? (
          <Button variant="link" onClick={() => void write('withdraw')}>
            Client takes it back
          </Button>
        ) : (
          <Button size="sm" variant="outline-primary" onClick={() => void write('give')}>
            Client agrees
          </Button>
        )}
      </div>
      {shown && <blockquote className="small mb-0">{text.body}</blockquote>}
      {failed && (
        <div className="caution small" role="alert">
          {failed}
        </div>
      )}
    </div>
  );
}

import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { Link, useRevalidator } from 'react-router';
import { FELT_NAMES, type Felt } from '../../../core/schedule';
import { counted } from '../../../core/words';
import { RED_FLAG_QUESTIONS } from '../../../reference/facts/at-home';
import { send } from '../../parts/frame/send';
import { useDates } from '../../parts/frame/use-dates';

export interface Flag {
  id: string;
  clientId: string;
  clientName: string;
  yes: string[];
  at: string;
}
export type Look = { clientId: string; clientName: string } & (
  | { kind: 'silent'; days: number }
  | { kind: 'stopped'; reason: string; at: string }
  | { kind: 'felt'; felt: Felt; times: number }
);

/** A yes that a client gave at home: the plan waits there until somebody here has seen to it. */
export function HomeFlags({ flags }: { flags: readonly Flag[] }) {
  const { shortDay, timeOfDay } = useDates();
  const { revalidate } = useRevalidator();
  const [failed, setFailed] = useState('');
  const seen = async (f: Flag) => {
    const answer = await send(`/clients/${f.clientId}/home-plan/do?do=seen`, { id: f.id });
    setFailed(answer.ok ? '' : answer.message);
    void revalidate();
  };
  return flags.map((f) => (
    <div key={f.id} className="look">
      <h3 className="caution">{f.clientName} said yes at home</h3>
      {RED_FLAG_QUESTIONS.filter((q) => f.yes.includes(q.key)).map((q) => (
        <p key={q.key}>“{q.words}”</p>
      ))}
      <p className="soft">
        {shortDay(f.at)} {timeOfDay(f.at)}. Their plan waits until you have talked.
      </p>
      <div className="d-flex gap-3 align-items-baseline">
        <Button size="sm" variant="outline-primary" onClick={() => void seen(f)}>
          Seen to; the plan may go on
        </Button>
        <Link to={`/clients/${f.clientId}/home-plan`}>Open the plan</Link>
      </div>
      {failed && (
        <p className="caution" role="alert">
          {failed}
        </p>
      )}
    </div>
  ));
}

/** What was stopped, felt or left undone at home. */
export function HomeLooks({ looks }: { looks: readonly Look[] }) {
  const { shortDay } = useDates();
  return looks.map((l) => (
    <div
      key={`${l.kind}-${l.clientId}-${l.kind === 'stopped' ? l.at : l.kind === 'felt' ? l.felt : ''}`}
      className="look"
    >
      <h3 className={l.kind === 'stopped' ? 'worse' : 'now'}>
        {l.kind === 'silent'
          ? `No home run for ${counted(l.days, 'day')}`
          : l.kind === 'stopped'
            ? `Stopped at home: ${l.reason}`
            : `At home ${counted(l.times, 'time')}: ${FELT_NAMES[l.felt]}`}
      </h3>
      <p>
        {l.clientName}
        {l.kind === 'stopped' && `, ${shortDay(l.at)}`}
      </p>
      <Link to={`/clients/${l.clientId}/home-plan`}>Open the plan</Link>
    </div>
  ));
}

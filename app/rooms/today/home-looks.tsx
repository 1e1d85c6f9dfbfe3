import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { Link, useRevalidator } from 'react-router';
import type { HomeFlag, HomeLook } from '../../../core/record';
import { FELT_NAMES } from '../../../core/schedule';
import { counted } from '../../../core/words';
import { RED_FLAG_QUESTIONS } from '../../../reference/facts/at-home';
import { PLAIN_QUESTIONS } from '../../../reference/facts/before-visit';
import { send } from '../../parts/frame/send';
import { useDates } from '../../parts/frame/use-dates';
import { Failed } from '../../parts/frame/failed';

/** The question that was answered yes; null where it was a run that was stopped. */
const questionOf = (yes: string): string | null =>
  RED_FLAG_QUESTIONS.find((q) => q.key === yes)?.words ?? PLAIN_QUESTIONS[yes] ?? null;

/** Said before a first visit, of the questions of screening. */
const isAhead = (f: HomeFlag): boolean => f.yes.some((yes) => PLAIN_QUESTIONS[yes] !== undefined);

/** A yes that a client gave at home: the plan waits there until somebody here has seen to it. */
export function HomeFlags({ flags }: { flags: readonly HomeFlag[] }) {
  const { shortDay, timeOfDay } = useDates();
  const { revalidate } = useRevalidator();
  const [failed, setFailed] = useState('');
  const seen = async (f: HomeFlag) => {
    const answer = await send(`/clients/${f.clientId}/home-plan/do?do=seen`, { id: f.id });
    setFailed(answer.ok ? '' : answer.message);
    void revalidate();
  };
  return flags.map((f) => (
    <div key={f.id} className="look">
      <h3 className="caution">
        {f.clientName}{' '}
        {isAhead(f) ? 'said yes before the visit' : f.yes.some(questionOf) ? 'said yes at home' : 'stopped at home'}
      </h3>
      {f.yes.map((yes) => (
        <p key={yes}>{questionOf(yes) ? `“${questionOf(yes)}”` : yes}</p>
      ))}
      <p className="soft">
        {shortDay(f.at)} {timeOfDay(f.at)}.{' '}
        {isAhead(f) ? 'Talk before they come; Screen asks again.' : 'Their plan waits until you have talked.'}
      </p>
      <div className="d-flex gap-3 align-items-baseline">
        <Button size="sm" variant="outline-primary" onClick={() => void seen(f)}>
          {isAhead(f) ? 'Seen to' : 'Seen to; the plan may go on'}
        </Button>
        {isAhead(f) ? (
          <Link to={`/clients/${f.clientId}/visits`}>Open the visits</Link>
        ) : (
          <Link to={`/clients/${f.clientId}/home-plan`}>Open the plan</Link>
        )}
      </div>
      <Failed words={failed} />
    </div>
  ));
}

/** What was felt again or left undone at home. */
export function HomeLooks({ looks }: { looks: readonly HomeLook[] }) {
  return looks.map((l) => (
    <div key={`${l.kind}-${l.clientId}-${l.kind === 'felt' ? l.felt : ''}`} className="look">
      <h3 className="now">
        {l.kind === 'silent'
          ? `No home run for ${counted(l.days, 'day')}`
          : `At home ${counted(l.times, 'time')}: ${FELT_NAMES[l.felt]}`}
      </h3>
      <p>{l.clientName}</p>
      <Link to={`/clients/${l.clientId}/home-plan`}>Open the plan</Link>
    </div>
  ));
}

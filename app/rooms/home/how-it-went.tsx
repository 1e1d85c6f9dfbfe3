import type { KeptHomePlan } from '../../../core/record';
import { adherence } from '../../../core/schedule';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { homeRunsSchema } from '../../schemas/home-plan';
import { check, type FieldErrors } from '../../schemas/read';
import { FieldFrame } from '../../parts/fields/field';
import { send } from '../../parts/frame/send';
import { useDates } from '../../parts/frame/use-dates';
import { PlanDays } from '../../parts/marks/plan-days';

/** How a plan went: done of planned with its interval, its days, where it was given up; and what the client tells of a day. */
export function HowItWent({
  clientId,
  plan,
  today,
  onNoted,
}: {
  clientId: string;
  plan: KeptHomePlan;
  today: string;
  onNoted: () => void;
}) {
  const { shortDay, dayWords } = useDates();
  const ended = plan.endedAt?.slice(0, 10);
  // What came after a plan was ended belongs to the next one.
  const until = ended && ended < plan.until ? ended : plan.until;
  const told = adherence({ ...plan, until }, plan.runDays, today);
  return (
    <section className="how-it-went">
      <h3>
        Plan {plan.number}
        <span className="soft">
          {' '}
          {dayWords(plan.from)} to {dayWords(until)}
        </span>
      </h3>
      <p className="mb-1">
        <strong>
          {told.done} of {told.due}
        </strong>{' '}
        done
        {told.interval && (
          <span className="soft">
            {' '}
            {Math.round(told.interval.low * 100)} to {Math.round(told.interval.high * 100)} %
          </span>
        )}
      </p>
      <PlanDays days={told.days} today={today} />
      {told.stoppedAfter && <p className="now">Given up after {dayWords(told.stoppedAfter)}.</p>}
      <p className="soft small">
        {plan.steps.length} steps, {plan.timesADay} a day, kept {shortDay(plan.madeAt)} by {plan.by}
      </p>
      <NoteRuns clientId={clientId} plan={plan} today={today} until={until} onNoted={onNoted} />
    </section>
  );
}

/** What was ticked on paper or told by telephone, a day at a time. */
function NoteRuns({
  clientId,
  plan,
  today,
  until,
  onNoted,
}: {
  clientId: string;
  plan: KeptHomePlan;
  today: string;
  until: string;
  onNoted: () => void;
}) {
  const [day, setDay] = useState(today < until ? today : until);
  const [times, setTimes] = useState('');
  const [errors, setErrors] = useState<FieldErrors>({});
  const [told, setTold] = useState('');
  const note = async () => {
    setTold('');
    const said = { planId: plan.id, day, times };
    const input = await check(homeRunsSchema, said);
    if (!input.ok) return setErrors(input.errors);
    const answer = await send(`/clients/${clientId}/home-plan/do?do=note`, { ...said, times: Number(times) });
    setErrors(answer.ok ? {} : answer.errors);
    setTold(answer.ok ? 'Noted.' : Object.keys(answer.errors).length ? '' : answer.message);
    if (answer.ok) {
      setTimes('');
      onNoted();
    }
  };
  return (
    <details>
      <summary>Note what was done on a day</summary>
      <form
        className="d-flex flex-wrap gap-2 align-items-end my-2"
        noValidate
        onSubmit={(e) => {
          e.preventDefault();
          void note();
        }}
      >
        <FieldFrame
          type="date"
          label="Day"
          value={day}
          onChange={(e: React.ChangeEvent<HTMLInputElement>) => setDay(e.target.value)}
          message={errors.day}
        />
        <FieldFrame
          type="number"
          min={0}
          max={9}
          label="Times"
          value={times}
          onChange={(e: React.ChangeEvent<HTMLInputElement>) => setTimes(e.target.value)}
          message={errors.times}
        />
        <Button type="submit" size="sm" variant="outline-primary">
          Note
        </Button>
      </form>
      <span role="status" className="soft">
        {told}
      </span>
    </details>
  );
}

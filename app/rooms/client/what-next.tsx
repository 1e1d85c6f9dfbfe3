import { ADVICE, type Advice, adviceWords, type Decision, type KeptJudgement } from '../../../core/relief';
import { useId, useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import { useRevalidator } from 'react-router';
import { decisionSchema } from '../../schemas/decision';
import { check, type FieldErrors } from '../../schemas/read';
import { FieldFrame } from '../../parts/fields/field';
import { send } from '../../parts/frame/send';
import { useDates } from '../../parts/frame/use-dates';
import { Failed } from '../../parts/frame/failed';

const CHOICES: Readonly<Record<Advice, { name: string; keep: string }>> = {
  'go-on': { name: 'Go on', keep: 'go on' },
  adjust: { name: 'Adjust', keep: 'adjust the routine' },
  review: { name: 'Review', keep: 'review' },
  refer: { name: 'Refer', keep: 'refer' },
};

/** What the ratings propose to do next, with the numbers behind it; what is decided is kept, another way with its reason. */
export function WhatNext({
  clientId,
  proposed,
  courses,
  decision,
}: {
  clientId: string;
  proposed: Advice;
  courses: readonly { name: string; judgement: KeptJudgement }[];
  decision: Decision | null;
}) {
  const { shortDay, timeOfDay } = useDates();
  const { revalidate } = useRevalidator();
  const name = useId();
  const key = useRef('');
  // Until another way is chosen it is the proposed one, also when that changes.
  const [own, setOwn] = useState<Advice | null>(null);
  const choice = own ?? proposed;
  const [reason, setReason] = useState('');
  const [errors, setErrors] = useState<FieldErrors>({});
  const keep = async () => {
    const said = {
      choice,
      seen: proposed,
      reason: choice === proposed ? '' : reason,
      once: (key.current ||= crypto.randomUUID()),
    };
    const checked = await check(decisionSchema, said);
    if (!checked.ok) return setErrors(checked.errors);
    const answer = await send(`/clients/${clientId}/decide`, said);
    if (!answer.ok) {
      setErrors(Object.keys(answer.errors).length ? answer.errors : { choice: answer.message });
      // The proposal may be another by now.
      return void revalidate();
    }
    key.current = '';
    setErrors({});
    setReason('');
    setOwn(null);
    void revalidate();
  };
  return (
    <form
      className="what-next"
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void keep();
      }}
    >
      <h2 className="mb-2">What to do next</h2>
      <fieldset className="choices">
        <legend className="visually-hidden">What to do next</legend>
        {ADVICE.map((one) => (
          <label key={one} className={one === choice ? 'is-chosen' : undefined}>
            <input
              type="radio"
              name={name}
              value={one}
              checked={one === choice}
              onChange={() => setOwn(one)}
              className="visually-hidden"
            />
            {CHOICES[one].name}
            {one === proposed && <small>proposed</small>}
          </label>
        ))}
      </fieldset>
      <Failed words={errors.choice} />
      <ul className="reasons">
        {courses.map((c) => (
          <li key={c.name}>
            <strong>{c.name}:</strong> {adviceWords(c.judgement)}
          </li>
        ))}
      </ul>
      {choice !== proposed && (
        <FieldFrame
          name="reason"
          label={`Why ${CHOICES[choice].keep} and not ${CHOICES[proposed].keep}`}
          maxLength={320}
          value={reason}
          onChange={(e: React.ChangeEvent<HTMLInputElement>) => setReason(e.target.value)}
          message={errors.reason}
        />
      )}
      <div className="d-flex gap-3 align-items-center">
        <Button type="submit">Keep: {CHOICES[choice].keep}</Button>
        <p className="soft small mb-0">
          {decision
            ? `${shortDay(decision.at)}, ${timeOfDay(decision.at)}: ${CHOICES[decision.choice].keep}, ${decision.by}${decision.reason ? `. ${decision.reason}` : ''}`
            : 'Nothing decided yet. Today stops asking until the next rating; refer stays.'}
        </p>
      </div>
    </form>
  );
}

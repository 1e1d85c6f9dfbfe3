import type { KeptHomePlan } from '../../../core/record';
import {
  addDays,
  dailyMost,
  HOME_STEPS_MOST,
  HOME_WORDS_LETTERS,
  plannedDays,
  plannedTimes,
  TIMES_A_DAY_MOST,
} from '../../../core/schedule';
import { doseWords, pressureWords } from '../../../core/routine';
import { clock, counted } from '../../../core/words';
import { useId, useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import type { HomeCandidate } from '../../routes/client/home-plan';
import { homePlanSchema } from '../../schemas/home-plan';
import { check, type FieldErrors } from '../../schemas/read';
import { FieldFrame } from '../../parts/fields/field';
import { send } from '../../parts/frame/send';
import { PressureDot, SIDE_PLAN_NAMES, SideMark, sideOfPlan } from '../../parts/marks/marks';
import { PlanDays } from './plan-days';

const WEEKDAYS = ['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'] as const;
const WEEKDAY_NAMES = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;
/** A new plan goes on for so long. Two to four weeks are common practice. */
const USUAL_DAYS = 14;

/** The next plan: which steps, how often, in whose words. It is checked here and again where it is kept. */
export function PlanForm({
  clientId,
  candidates,
  current,
  today,
  onChosen,
  onKept,
}: {
  clientId: string;
  candidates: readonly HomeCandidate[];
  /** The plan in force; a new one begins as it is. */
  current: KeptHomePlan | null;
  today: string;
  /** Ids of the chosen steps, for the chart. */
  onChosen: (ids: readonly string[]) => void;
  onKept: () => void;
}) {
  const id = useId();
  const key = useRef('');
  const idOf = (technique: string) => candidates.find((c) => c.step.technique === technique)?.step.id;
  const [chosen, setChosen] = useState<readonly string[]>(
    () => current?.steps.flatMap((s) => idOf(s.step.technique) ?? []) ?? [],
  );
  const [words, setWords] = useState<Readonly<Record<string, string>>>(() =>
    Object.fromEntries(
      candidates.map((c) => [
        c.step.id,
        current?.steps.find((s) => s.step.technique === c.step.technique)?.words ?? c.words,
      ]),
    ),
  );
  const [timesADay, setTimes] = useState(current?.timesADay ?? 2);
  const [weekdays, setWeekdays] = useState<readonly number[]>(current?.weekdays ?? [1, 2, 3, 4, 5, 6, 7]);
  const [days, setDays] = useState({
    from: today,
    until: addDays(today, USUAL_DAYS - 1),
    reviewOn: addDays(today, USUAL_DAYS),
  });
  const [errors, setErrors] = useState<FieldErrors>({});
  const [told, setTold] = useState('');
  const steps = chosen.flatMap((one) => candidates.find((c) => c.step.id === one) ?? []);
  const most = dailyMost(
    steps.map((s) => s.step),
    new Map(candidates.map((c) => [c.step.technique, c])),
  );
  const choose = (next: readonly string[]) => {
    setChosen(next);
    onChosen(next);
  };
  const move = (one: string, by: -1 | 1) => {
    const at = chosen.indexOf(one);
    const to = at + by;
    if (at < 0 || to < 0 || to >= chosen.length) return;
    const next = [...chosen];
    [next[at], next[to]] = [next[to]!, next[at]!];
    choose(next);
  };
  const keep = async () => {
    setTold('');
    const said = {
      steps: chosen.map((one) => ({ id: one, words: words[one] ?? '' })),
      timesADay,
      weekdays: [...weekdays].sort(),
      ...days,
      once: (key.current ||= crypto.randomUUID()),
    };
    const input = await check(homePlanSchema, said);
    if (!input.ok) return setErrors(input.errors);
    const answer = await send(`/clients/${clientId}/home-plan/do?do=keep`, said);
    if (!answer.ok) {
      setErrors(answer.errors);
      return setTold(Object.keys(answer.errors).length ? '' : answer.message);
    }
    key.current = '';
    setErrors({});
    setTold('Kept.');
    onKept();
  };
  const seconds = steps.reduce((sum, s) => sum + s.seconds, 0);
  const stepsWrong = Object.entries(errors).find(([field]) => /^steps(\[\d+\])?$/.test(field))?.[1];
  return (
    <form
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void keep();
      }}
    >
      <fieldset className="home-steps">
        <legend>
          Steps{' '}
          <span className="soft">
            {chosen.length} chosen, 1 to {HOME_STEPS_MOST} allowed
          </span>
        </legend>
        <table>
          <thead className="visually-hidden">
            <tr>
              <th scope="col">Step</th>
              <th scope="col">Pressure</th>
              <th scope="col">Dose</th>
              <th scope="col">Side</th>
              <th scope="col">Time</th>
              <th scope="col">Order</th>
            </tr>
          </thead>
          <tbody>
            {[...steps, ...candidates.filter((c) => !chosen.includes(c.step.id))].map((c) => {
              const at = chosen.indexOf(c.step.id);
              return (
                <tr key={c.step.id} className={at >= 0 ? 'is-chosen' : undefined}>
                  <th scope="row">
                    <label>
                      <input
                        type="checkbox"
                        className="form-check-input"
                        checked={at >= 0}
                        disabled={at < 0 && chosen.length >= HOME_STEPS_MOST}
                        onChange={() =>
                          choose(at >= 0 ? chosen.filter((x) => x !== c.step.id) : [...chosen, c.step.id])
                        }
                      />{' '}
                      {at >= 0 && `${at + 1} `}
                      {c.name}
                    </label>
                    {c.lowered && <div className="soft small">{c.lowered}</div>}
                  </th>
                  <td>
                    {c.step.pressure && <PressureDot pressure={c.step.pressure.there} />} {pressureWords(c.step)}
                  </td>
                  <td>{doseWords(c.step)}</td>
                  <td>
                    <SideMark side={sideOfPlan(c.step.sides.mode)} /> {SIDE_PLAN_NAMES[c.step.sides.mode]}
                  </td>
                  <td className="num text-end">{clock(c.seconds)}</td>
                  <td className="text-nowrap">
                    {at >= 0 && (
                      <>
                        <Button
                          variant="link"
                          disabled={at === 0}
                          aria-label={`${c.name} earlier`}
                          onClick={() => move(c.step.id, -1)}
                        >
                          ↑
                        </Button>
                        <Button
                          variant="link"
                          disabled={at === chosen.length - 1}
                          aria-label={`${c.name} later`}
                          onClick={() => move(c.step.id, 1)}
                        >
                          ↓
                        </Button>
                      </>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
        {stepsWrong && (
          <p className="caution" role="alert">
            {stepsWrong}
          </p>
        )}
        <p className="text-end">
          <strong className="num">{clock(seconds)}</strong> each time
        </p>
      </fieldset>
      <fieldset className="rhythm">
        <legend>
          Rhythm{' '}
          <span className="soft">
            {counted(plannedTimes({ ...days, weekdays: [...weekdays], timesADay }), 'time')} in all
          </span>
        </legend>
        <div className="d-flex flex-wrap gap-3 align-items-start">
          <div>
            <div className="form-label">Times a day</div>
            <div className="choices" role="radiogroup" aria-label="Times a day">
              {Array.from({ length: TIMES_A_DAY_MOST }, (_, i) => i + 1).map((n) => (
                <label key={n} className={n === timesADay ? 'is-chosen' : undefined}>
                  <input
                    type="radio"
                    className="visually-hidden"
                    name={`${id}-times`}
                    checked={n === timesADay}
                    onChange={() => setTimes(n)}
                  />
                  {n}
                </label>
              ))}
            </div>
          </div>
          <div>
            <div className="form-label">On</div>
            <div className="choices" role="group" aria-label="Days of the week">
              {WEEKDAYS.map((name, i) => (
                <label key={name} className={weekdays.includes(i + 1) ? 'is-chosen' : undefined}>
                  <input
                    type="checkbox"
                    className="visually-hidden"
                    aria-label={WEEKDAY_NAMES[i]}
                    checked={weekdays.includes(i + 1)}
                    onChange={() =>
                      setWeekdays(weekdays.includes(i + 1) ? weekdays.filter((d) => d !== i + 1) : [...weekdays, i + 1])
                    }
                  />
                  {name}
                </label>
              ))}
            </div>
          </div>
          {(
            [
              ['from', 'From'],
              ['until', 'Until'],
              ['reviewOn', 'Look at it together'],
            ] as const
          ).map(([field, label]) => (
            <FieldFrame
              key={field}
              type="date"
              label={label}
              value={days[field]}
              onChange={(e: React.ChangeEvent<HTMLInputElement>) => setDays({ ...days, [field]: e.target.value })}
              message={errors[field]}
            />
          ))}
        </div>
        {timesADay > most.times && (
          <p className="caution" role="alert">
            At most {most.times} a day{most.because ? `: ${most.because}` : ''}.
          </p>
        )}
        {[errors.timesADay, errors.weekdays].filter(Boolean).map((message) => (
          <p key={message} className="caution" role="alert">
            {message}
          </p>
        ))}
        {days.from && days.until && (
          <PlanDays
            days={plannedDays({ ...days, weekdays: [...weekdays] }).map((day) => ({
              day,
              planned: timesADay,
              done: 0,
            }))}
            today={today}
          />
        )}
      </fieldset>
      {steps.length > 0 && (
        <fieldset className="plan-words">
          <legend>In the client’s words</legend>
          {steps.map((c, i) => (
            <FieldFrame
              key={c.step.id}
              as="textarea"
              rows={3}
              className="mb-3"
              label={`${i + 1} ${c.name}`}
              maxLength={HOME_WORDS_LETTERS}
              value={words[c.step.id] ?? ''}
              onChange={(e: React.ChangeEvent<HTMLTextAreaElement>) =>
                setWords({ ...words, [c.step.id]: e.target.value })
              }
              message={errors[`steps[${i}].words`]}
            />
          ))}
        </fieldset>
      )}
      <div className="d-flex gap-3 align-items-center">
        <Button type="submit">{current ? `Keep as plan ${current.number + 1}` : 'Keep the plan'}</Button>
        <span role="status" className="soft">
          {told}
        </span>
      </div>
    </form>
  );
}

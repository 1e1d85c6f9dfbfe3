import {
  type dailyMost,
  daysFrom,
  HOME_DAYS_MOST,
  plannedDays,
  plannedTimes,
  TIMES_A_DAY_MOST,
} from '../../../core/schedule';
import { counted } from '../../../core/words';
import { useId } from 'react';
import type { FieldErrors } from '../../schemas/read';
import { FieldFrame } from '../../parts/fields/field';
import { PlanDays } from '../../parts/marks/plan-days';

const WEEKDAYS = ['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'] as const;
const WEEKDAY_NAMES = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;

/** As it stands in the fields: a day may be empty while it is typed. */
export interface PlanRhythm {
  timesADay: number;
  weekdays: readonly number[];
  from: string;
  until: string;
  reviewOn: string;
}

/** How often, on which days, until when, and the days that come of it. */
export function RhythmFields({
  rhythm,
  most,
  today,
  errors,
  onChange,
}: {
  rhythm: PlanRhythm;
  most: ReturnType<typeof dailyMost>;
  today: string;
  errors: FieldErrors;
  onChange: (rhythm: PlanRhythm) => void;
}) {
  const id = useId();
  const { timesADay, weekdays } = rhythm;
  // A year that is half typed would be thousands of days.
  const isSpan = !!rhythm.from && !!rhythm.until && daysFrom(rhythm.from, rhythm.until) < HOME_DAYS_MOST;
  return (
    <fieldset className="rhythm">
      <legend>
        Rhythm <span className="soft">{isSpan && `${counted(plannedTimes(rhythm), 'time')} in all`}</span>
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
                  onChange={() => onChange({ ...rhythm, timesADay: n })}
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
                    onChange({
                      ...rhythm,
                      weekdays: weekdays.includes(i + 1)
                        ? weekdays.filter((d) => d !== i + 1)
                        : [...weekdays, i + 1].sort(),
                    })
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
            value={rhythm[field]}
            onChange={(e: React.ChangeEvent<HTMLInputElement>) => onChange({ ...rhythm, [field]: e.target.value })}
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
      {isSpan && (
        <PlanDays days={plannedDays(rhythm).map((day) => ({ day, planned: timesADay, done: 0 }))} today={today} />
      )}
    </fieldset>
  );
}

import { RATING_SOURCE_NAMES, RATING_SOURCES } from '../../../core/record';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { useRevalidator } from 'react-router';
import type { loader } from '../../routes/client/ratings';
import type { FieldErrors } from '../../schemas/read';
import { check } from '../../schemas/read';
import { type RatingAct, ratingSchemas } from '../../schemas/rating';
import { FieldFrame } from '../../parts/fields/field';
import { send } from '../../parts/frame/send';
import { useRead } from '../../parts/frame/use-read';
import { useDates } from '../../parts/frame/use-dates';
import { dayOf, clockValue } from '../../../core/schedule';
import { Failed } from '../../parts/frame/failed';

/** What a client said of a complaint between visits, at home or by telephone: written down, corrected, taken away. */
export function KeptRatings({
  clientId,
  complaintId,
  name,
  nowIso,
  timeZone,
}: {
  clientId: string;
  complaintId: string;
  /** Of the complaint. */
  name: string;
  nowIso: string;
  timeZone: string;
}) {
  const { shortDay, timeOfDay } = useDates();
  const { revalidate } = useRevalidator();
  const { load, data, isFailed } = useRead<typeof loader>();
  const read = () => void load(`/clients/${clientId}/ratings?of=${complaintId}`);
  const [correcting, setCorrecting] = useState<string | null>(null);
  const [removing, setRemoving] = useState<string | null>(null);
  const [failed, setFailed] = useState('');
  const done = () => {
    setCorrecting(null);
    setRemoving(null);
    read();
    void revalidate();
  };
  const path = (act: RatingAct) => `/clients/${clientId}/ratings?do=${act}`;
  const remove = async (id: string) => {
    const answer = await send(path('remove'), { id });
    setFailed(answer.ok ? '' : answer.message);
    if (answer.ok) done();
  };
  const start = { day: dayOf(nowIso, timeZone), time: clockValue(nowIso, timeZone), source: 'home', value: '' };
  return (
    <details
      className="course-legend kept-ratings no-print"
      // The list is read when it is looked at: a course of years would make every page long.
      onToggle={(e) => e.currentTarget.open && !data && read()}
    >
      <summary>Ratings between visits: write one down, correct one</summary>
      <RatingForm
        label={`Write down a rating of ${name}`}
        verb="Write down"
        start={start}
        send={(said, once) => send(path('keep'), { ...said, complaintId, once })}
        act="keep"
        rest={{ complaintId }}
        onDone={done}
      />
      <Failed words={failed} />
      {isFailed && <p role="alert">The ratings could not be read. Close this and open it again.</p>}
      {!data && !isFailed && <p>Looking …</p>}
      {data?.ratings.length === 0 && <p>None yet.</p>}
      <ul className="plain-list">
        {data?.ratings.map((r) => {
          const when = `${shortDay(r.at)}, ${timeOfDay(r.at)}`;
          return (
            <li key={r.id}>
              <strong className="num">{r.value}</strong> {when}, {RATING_SOURCE_NAMES[r.source]}
              {r.by && <span className="soft">, written down by {r.by}</span>}{' '}
              {removing === r.id ? (
                <>
                  Take it away?{' '}
                  <Button size="sm" onClick={() => void remove(r.id)}>
                    Take away
                  </Button>{' '}
                  <Button size="sm" variant="outline-primary" onClick={() => setRemoving(null)}>
                    Keep it
                  </Button>
                </>
              ) : (
                <>
                  <Button
                    variant="link"
                    aria-label={`Correct: ${name}, ${r.value}, ${when}`}
                    onClick={() => setCorrecting(correcting === r.id ? null : r.id)}
                  >
                    Correct
                  </Button>{' '}
                  <Button
                    variant="link"
                    aria-label={`Take away: ${name}, ${r.value}, ${when}`}
                    onClick={() => setRemoving(r.id)}
                  >
                    Take away
                  </Button>
                </>
              )}
              {correcting === r.id && (
                <RatingForm
                  label={`Correct the rating of ${when}`}
                  verb="Correct"
                  start={{
                    day: dayOf(r.at, timeZone),
                    time: clockValue(r.at, timeZone),
                    source: r.source,
                    value: String(r.value),
                  }}
                  send={(said) => send(path('correct'), { ...said, id: r.id })}
                  act="correct"
                  rest={{ id: r.id }}
                  onDone={done}
                />
              )}
            </li>
          );
        })}
      </ul>
    </details>
  );
}

interface Typed {
  value: string;
  day: string;
  time: string;
  source: string;
}

function RatingForm({
  label,
  verb,
  start,
  act,
  rest,
  send: post,
  onDone,
}: {
  label: string;
  verb: string;
  start: Typed;
  act: RatingAct;
  /** What the schema asks for beside what is typed. */
  rest: object;
  send: (said: object, once: string) => ReturnType<typeof send>;
  onDone: () => void;
}) {
  const [typed, setTyped] = useState(start);
  const [once, setOnce] = useState(() => crypto.randomUUID());
  const [errors, setErrors] = useState<FieldErrors>({});
  const [told, setTold] = useState('');
  const keep = async () => {
    setTold('');
    const input = await check(ratingSchemas[act], { ...typed, ...rest });
    if (!input.ok) return setErrors(input.errors);
    setErrors({});
    const answer = await post({ ...typed, value: Number(typed.value) }, once);
    if (!answer.ok) {
      setErrors(answer.errors);
      if (!Object.keys(answer.errors).length) setTold(answer.message);
      return;
    }
    setTyped({ ...start, value: '' });
    setOnce(crypto.randomUUID());
    onDone();
  };
  const field = (key: keyof Typed, name: string, more: object, children?: React.ReactNode) => (
    <FieldFrame
      label={name}
      value={typed[key]}
      onChange={(e: { target: { value: string } }) => setTyped({ ...typed, [key]: e.target.value })}
      message={errors[key]}
      {...more}
    >
      {children}
    </FieldFrame>
  );
  return (
    <form
      role="group"
      aria-label={label}
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void keep();
      }}
    >
      <div className="d-flex gap-2 flex-wrap align-items-start my-2">
        {field('value', 'Now, 0 to 10', { type: 'number', min: 0, max: 10, inputMode: 'numeric' })}
        {field('day', 'Day', { type: 'date' })}
        {field('time', 'Time', { type: 'time' })}
        {field(
          'source',
          'Said',
          {},
          RATING_SOURCES.map((s) => (
            <option key={s} value={s}>
              {RATING_SOURCE_NAMES[s]}
            </option>
          )),
        )}
      </div>
      <Failed words={told} />
      <Button type="submit" size="sm" variant="outline-primary">
        {verb}
      </Button>
    </form>
  );
}

import {
  PART_OF_DAY_NAMES,
  PARTS_OF_DAY,
  USUAL_BOOKING_MINUTES,
  type PartOfDay,
  type WaitingClient,
} from '../../../core/record';
import type { DaySpan } from '../../../core/schedule';
import { useState } from 'react';
import { Button, Form as BsForm } from 'react-bootstrap';
import { ClientField } from '../../parts/fields/client-field';
import { FieldFrame } from '../../parts/fields/field';
import { send } from '../../parts/frame/send';
import { useDates } from '../../parts/frame/use-dates';
import { waitingSchema } from '../../schemas/booking';
import { check } from '../../schemas/read';

/** Where somebody who waits would fit on the day that is shown. */
export interface WaitingFit extends DaySpan {
  clientId: string;
  practitionerId: string;
  roomId: string | null;
}
const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** Who waits for a time, the longest first, and where they would fit today. */
export function WaitingList({
  waiting,
  fits,
  people,
  rooms,
  onFit,
  onChanged,
}: {
  waiting: readonly WaitingClient[];
  fits: readonly WaitingFit[];
  people: readonly { id: string; name: string }[];
  rooms: readonly { id: string; name: string }[];
  onFit: (waiting: WaitingClient, fit: WaitingFit) => void;
  onChanged: () => void;
}) {
  const { timeOfDay, shortDay } = useDates();
  const [adds, setAdds] = useState(false);
  const [told, setTold] = useState('');
  const nameOf = (list: readonly { id: string; name: string }[], id: string | null) =>
    list.find((x) => x.id === id)?.name;
  const end = async (clientId: string) => {
    const answer = await send('/bookings/waiting?do=end', { clientId });
    setTold(answer.ok ? '' : answer.message);
    if (answer.ok) onChanged();
  };
  return (
    <section className="waiting" aria-label="Waiting list">
      <div className="d-flex align-items-baseline gap-3">
        <h2 className="h5 mb-0">Waiting for a time</h2>
        {!adds && (
          <Button size="sm" variant="link" onClick={() => setAdds(true)}>
            Put somebody on the list
          </Button>
        )}
      </div>
      {waiting.length === 0 && !adds && <p className="soft mb-0">Nobody waits.</p>}
      {told && (
        <p className="worse mb-1" role="alert">
          {told}
        </p>
      )}
      <ul>
        {waiting.map((w) => {
          const fit = fits.find((f) => f.clientId === w.clientId);
          return (
            <li key={w.id}>
              <strong>{w.clientName}</strong>
              <span className="soft small">
                {w.minutes} min, {w.weekdays.length ? w.weekdays.map((d) => WEEKDAYS[d - 1]).join(', ') : 'any day'},{' '}
                {PART_OF_DAY_NAMES[w.partOfDay]}
                {w.practitionerId && `, with ${nameOf(people, w.practitionerId) ?? 'who has left'}`}; since{' '}
                {shortDay(w.since)}
              </span>
              <span className="ms-auto d-flex gap-2 align-items-center">
                {fit ? (
                  <Button size="sm" variant="outline-primary" onClick={() => onFit(w, fit)}>
                    {timeOfDay(new Date(fit.fromMs).toISOString())}
                    {fit.roomId && `, ${nameOf(rooms, fit.roomId)}`}
                    <span className="visually-hidden"> for {w.clientName}</span>
                  </Button>
                ) : (
                  <span className="soft small">fits nowhere on this day</span>
                )}
                <Button
                  size="sm"
                  variant="link"
                  aria-label={`Off the list: ${w.clientName}`}
                  onClick={() => void end(w.clientId)}
                >
                  Off the list
                </Button>
              </span>
            </li>
          );
        })}
      </ul>
      {adds && (
        <LetWait
          people={people}
          onDone={(kept) => {
            setAdds(false);
            if (kept) onChanged();
          }}
        />
      )}
    </section>
  );
}

function LetWait({
  people,
  onDone,
}: {
  people: readonly { id: string; name: string }[];
  onDone: (kept: boolean) => void;
}) {
  const [client, setClient] = useState<{ id: string; name: string } | null>(null);
  const [minutes, setMinutes] = useState(String(USUAL_BOOKING_MINUTES));
  const [weekdays, setWeekdays] = useState<readonly number[]>([]);
  const [partOfDay, setPart] = useState<PartOfDay>('any');
  const [withId, setWith] = useState('');
  const [errors, setErrors] = useState<Record<string, string>>({});
  const keep = async () => {
    const input = await check(waitingSchema, {
      clientId: client?.id ?? '',
      minutes,
      weekdays,
      partOfDay,
      practitionerId: withId || null,
    });
    if (!input.ok) return setErrors(input.errors);
    const answer = await send('/bookings/waiting', input.value);
    if (answer.ok) onDone(true);
    else setErrors({ ...answer.errors, clientId: answer.errors.clientId ?? answer.message });
  };
  const toggled = (day: number) =>
    weekdays.includes(day) ? weekdays.filter((d) => d !== day) : [...weekdays, day].sort((a, b) => a - b);
  return (
    <form
      className="booking-panel"
      aria-label="Put somebody on the list"
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void keep();
      }}
    >
      <ClientField label="Client" autoFocus chosen={client} onChoose={setClient} />
      {errors.clientId && (
        <p className="worse small mb-1" role="alert">
          {errors.clientId}
        </p>
      )}
      <div className="booking-fields mt-2">
        <FieldFrame
          label="Minutes"
          type="number"
          value={minutes}
          onChange={(e: { target: { value: string } }) => setMinutes(e.target.value)}
          message={errors.minutes}
        />
        <FieldFrame
          label="When"
          value={partOfDay}
          onChange={(e: { target: { value: string } }) => setPart(e.target.value as PartOfDay)}
        >
          {PARTS_OF_DAY.map((part) => (
            <option key={part} value={part}>
              {PART_OF_DAY_NAMES[part]}
            </option>
          ))}
        </FieldFrame>
        {people.length > 1 && (
          <FieldFrame
            label="With"
            value={withId}
            onChange={(e: { target: { value: string } }) => setWith(e.target.value)}
          >
            <option value="">whoever is free</option>
            {people.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </FieldFrame>
        )}
      </div>
      <fieldset className="d-flex flex-wrap gap-3 my-2">
        <legend className="small mb-0">On which days; none chosen is any</legend>
        {WEEKDAYS.map((name, i) => (
          <BsForm.Check
            key={name}
            id={`waits-${name}`}
            label={name}
            checked={weekdays.includes(i + 1)}
            onChange={() => setWeekdays(toggled(i + 1))}
          />
        ))}
      </fieldset>
      <div className="d-flex gap-2">
        <Button size="sm" type="submit">
          Put on the list
        </Button>
        <Button size="sm" variant="outline-primary" onClick={() => onDone(false)}>
          Leave it
        </Button>
      </div>
    </form>
  );
}

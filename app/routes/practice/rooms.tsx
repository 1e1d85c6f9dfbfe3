import { type Room, USUAL_CHANGE_MINUTES } from '../../../core/record';
import { Button, Form as BsForm } from 'react-bootstrap';
import { data, Form, Link, redirect, useActionData, useRouteLoaderData, useSearchParams } from 'react-router';
import { notFound, permitted } from '../../../server/access/session.server';
import { addRoom, changeRoom, roomsOf, setWorkingHours, workingHoursOf } from '../../../server/db/queries/rooms.server';
import { Field, useCheckedForm } from '../../parts/fields/field';
import { OnceKey } from '../../parts/fields/once-key';
import { type Hours, hoursSchema, type RoomForm, roomSchema } from '../../schemas/rooms';
import { checkForm, type FieldErrors, readForm } from '../../schemas/read';
import type { Route } from './+types/rooms';
import type { loader as frame } from './practice';

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'rules');
  const [rooms, hours] = await Promise.all([roomsOf(practiceId), workingHoursOf(practiceId)]);
  return { rooms, hours };
}

const TAKEN: FieldErrors = { name: 'Another room has this name.' };
const STALE: FieldErrors = {
  name: 'This room was changed in another window meanwhile. Load the page again; what you typed is still here.',
};

/** A room is added, changed or closed; or the hours are set. */
export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'rules');
  const sent = await readForm(request);
  const told = (of: 'room' | 'hours', errors: FieldErrors, status: number, typed?: object) =>
    data({ of, errors, typed, kept: status === 200 }, { status });
  if (sent.get('do') === 'hours') {
    const input = await checkForm(hoursSchema, sent, ['do']);
    if (!input.ok) return told('hours', input.errors, 422, input.typed);
    await setWorkingHours(who, input.value);
    return told('hours', {}, 200);
  }
  const [id, version] = [sent.get('id') ?? '', Number(sent.get('version'))];
  const input = await checkForm(roomSchema, sent, ['do', 'id', 'version', 'once']);
  if (!input.ok) return told('room', input.errors, 422, input.typed);
  const result = id
    ? await changeRoom(who, id, version, input.value)
    : await addRoom(who, input.value, sent.get('once'));
  if (result === 'missing') notFound('room');
  if (result === 'name-taken') return told('room', TAKEN, 422, input.value);
  if (result === 'stale') return told('room', STALE, 409, input.value);
  return redirect('/practice/rooms');
}

/** Rooms with the time that turning them over takes, and the hours of the practice. */
export default function Rooms({ loaderData: { rooms, hours } }: Route.ComponentProps) {
  const { isOwner } = useRouteLoaderData('routes/practice/practice') as Awaited<ReturnType<typeof frame>>;
  const answered = useActionData<typeof action>();
  const [query] = useSearchParams();
  const edited = rooms.find((r) => r.id === query.get('room'));
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Rooms and hours</h1>
          <span className="soft">each room is a lane of Today</span>
        </div>
        {rooms.length ? (
          <table className="table narrow">
            <thead>
              <tr>
                <th scope="col">Room</th>
                <th scope="col">Turning it over</th>
                <th scope="col">In use</th>
                {isOwner && (
                  <th scope="col">
                    <span className="visually-hidden">Change it</span>
                  </th>
                )}
              </tr>
            </thead>
            <tbody>
              {rooms.map((r) => (
                <tr key={r.id}>
                  <td>{r.name}</td>
                  <td className="num">{r.changeMinutes} min</td>
                  <td>{r.isClosed ? 'closed' : 'yes'}</td>
                  {isOwner && (
                    <td>
                      <Link to={`?room=${r.id}`}>
                        Change<span className="visually-hidden"> {r.name}</span>
                      </Link>
                    </td>
                  )}
                </tr>
              ))}
            </tbody>
          </table>
        ) : (
          <p className="empty">
            <strong>No rooms yet</strong>Today has one lane for each room. Without rooms it has one for each person.
          </p>
        )}
        {isOwner && (
          <section className="narrow mt-4">
            <h2>{edited ? `Change ${edited.name}` : 'Add a room'}</h2>
            <RoomFields
              key={edited?.id ?? rooms.length}
              room={edited}
              answered={answered?.of === 'room' ? answered : undefined}
            />
          </section>
        )}
        <section className="narrow mt-4">
          <h2>Hours, and what goes around a routine</h2>
          <HoursFields hours={hours} isOwner={isOwner} answered={answered?.of === 'hours' ? answered : undefined} />
        </section>
      </main>
    </div>
  );
}

type Told = { errors: FieldErrors; typed?: object; kept: boolean } | undefined;

function RoomFields({ room, answered }: { room: Room | undefined; answered: Told }) {
  const { form, bind } = useCheckedForm<RoomForm>(roomSchema, answered, {
    name: room?.name ?? '',
    changeMinutes: room?.changeMinutes ?? USUAL_CHANGE_MINUTES,
  });
  return (
    <Form {...bind}>
      {room ? (
        <>
          <input type="hidden" name="id" value={room.id} />
          <input type="hidden" name="version" value={room.version} />
        </>
      ) : (
        <OnceKey />
      )}
      <Field form={form} name="name" label="Name" autoComplete="off" className="mb-3" />
      <Field
        form={form}
        name="changeMinutes"
        label="Minutes to turn it over"
        type="number"
        min={0}
        max={120}
        hint="Airing, fresh linen, wiping down: a visit that would begin before these are over is asked about."
        className="mb-3"
      />
      <BsForm.Check
        id="is-closed"
        value="true"
        defaultChecked={room?.isClosed}
        label="Closed: nothing new is booked into it without being asked"
        className="mb-3"
        {...form.register('isClosed')}
      />
      <div className="d-flex gap-2 align-items-center">
        <Button type="submit">{room ? 'Keep it so' : 'Add the room'}</Button>
        {room && <Link to="/practice/rooms">Leave it</Link>}
      </div>
    </Form>
  );
}

function HoursFields({ hours, isOwner, answered }: { hours: Hours; isOwner: boolean; answered: Told }) {
  const { form, bind } = useCheckedForm<Hours>(hoursSchema, answered, hours);
  const minutes = (name: 'beforeMinutes' | 'afterMinutes', label: string, hint: string) => (
    <Field form={form} name={name} label={label} hint={hint} type="number" min={0} max={120} className="mb-3" />
  );
  return (
    <Form {...bind}>
      <input type="hidden" name="do" value="hours" />
      <fieldset disabled={!isOwner} className="border-0 p-0 m-0">
        <legend className="visually-hidden">Hours</legend>
        <div className="d-flex gap-3 flex-wrap">
          <Field form={form} name="dayFrom" label="The day begins" type="time" className="mb-3" />
          <Field form={form} name="dayUntil" label="and ends" type="time" className="mb-3" />
        </div>
        {minutes('beforeMinutes', 'Minutes before the hands begin', 'Greeting, screening, making ready.')}
        {minutes('afterMinutes', 'Minutes after them', 'Rating, noting, saying goodbye.')}
        {isOwner && (
          <div className="d-flex gap-3 align-items-center">
            <Button type="submit">Keep the hours</Button>
            <span role="status">{answered?.kept && 'Kept. Lengths that are proposed from now on follow these.'}</span>
          </div>
        )}
      </fieldset>
    </Form>
  );
}

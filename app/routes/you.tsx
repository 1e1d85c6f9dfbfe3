import { counted } from '../../core/words';
import { Button } from 'react-bootstrap';
import { data, Form, Link, useActionData } from 'react-router';
import { may } from '../../server/access/may';
import { ownToken, permitted } from '../../server/access/session.server';
import { whyUnsigned } from '../../server/access/signature.server';
import { endSession, sessionsOf, setPassword } from '../../server/db/queries/own-account.server';
import { secondFactorOf } from '../../server/db/queries/second-factor.server';
import { calendarLinkOf, endCalendarLink, makeCalendarLink } from '../../server/db/queries/calendar-links.server';
import { isCommonPassword } from '../../server/passwords';
import { OwnCalendar } from '../rooms/own/own-calendar';
import { Field, useCheckedForm } from '../parts/fields/field';
import { NewPassword } from '../parts/fields/new-password';
import { Failed } from '../parts/frame/failed';
import { useDates } from '../parts/frame/use-dates';
import { calendarLinkSchema, changePasswordSchema, endSessionSchema, type ChangePassword } from '../schemas/account';
import { checkForm, type FieldErrors, readForm } from '../schemas/read';
import type { Route } from './+types/you';

export const meta = () => [{ title: 'You · Velvet Compass' }];

export async function loader({ request }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'self');
  const [sessions, factor, calendar] = await Promise.all([
    sessionsOf(who, await ownToken(request)),
    secondFactorOf(who),
    calendarLinkOf(who),
  ]);
  return { name: who.name, email: who.email, sessions, factor, calendar, worksWithClients: may(who, 'change', 'care') };
}

export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'self');
  const told = (errors: FieldErrors, status: number, done = '') => data({ errors, done }, { status });
  const sent = await readForm(request);
  if (sent.get('do') === 'end') {
    const input = await checkForm(endSessionSchema, sent, ['do']);
    if (!input.ok || !(await endSession(who, input.value.session)))
      return told({ session: 'You are not signed in there any more.' }, 404);
    return told({}, 200, 'Signed out there.');
  }
  if (sent.get('do') === 'calendar') {
    const input = await checkForm(calendarLinkSchema, sent, ['do']);
    if (!input.ok) return told(input.errors, 422);
    if (input.value.what === 'end') {
      await endCalendarLink(who);
      return told({}, 200);
    }
    const secret = await makeCalendarLink(who, input.value.withNames);
    return data({ errors: {} as FieldErrors, done: '', secret }, { headers: { 'Cache-Control': 'no-store' } });
  }
  const input = await checkForm(changePasswordSchema, sent, ['do']);
  if (!input.ok) return told(input.errors, 422);
  const { present, password } = input.value;
  const unsigned = await whyUnsigned(who, present);
  if (unsigned) return told({ present: unsigned.message }, unsigned.status);
  if (await isCommonPassword(password, [who.practiceName, who.name, who.email, present]))
    return told(
      { password: 'This is one of the passwords tried first, close to one, or to the present one. Take other words.' },
      422,
    );
  await setPassword(who, password, await ownToken(request));
  return told({}, 200, 'Your password is changed. Everywhere else you are signed out.');
}

/** What belongs to oneself: the password, and where one is signed in. */
export default function You({
  loaderData: { name, email, sessions, factor, calendar, worksWithClients },
}: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  const { form, bind } = useCheckedForm<ChangePassword>(changePasswordSchema, answered);
  const { shortDay, timeOfDay } = useDates();
  const moment = (iso: string) => `${shortDay(iso)}, ${timeOfDay(iso)}`;
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>{name}</h1>
          <span className="soft">{email}</span>
        </div>
        {answered?.done && <p role="status">{answered.done}</p>}
        <section className="narrow">
          <h2>Change your password</h2>
          <Form {...bind} key={answered?.done}>
            <input type="hidden" name="do" value="password" />
            <input type="email" name="username" value={email} autoComplete="username" readOnly hidden disabled />
            <Field
              form={form}
              name="present"
              label="Password now"
              type="password"
              autoComplete="current-password"
              className="mb-3"
            />
            <NewPassword form={form} label="New password" also="Everywhere else you are signed out." />
            <Button type="submit">Change it</Button>
          </Form>
        </section>
        <section className="narrow mt-4">
          <h2>Second factor</h2>
          <p>
            {factor
              ? `A code is asked for at the door since ${shortDay(factor.since)}; ${counted(factor.spares, 'spare code')} left.`
              : 'None: your password alone opens the door.'}{' '}
            <Link to="/you/second-factor">{factor ? 'Change that' : 'Set one up'}</Link>
          </p>
        </section>
        {worksWithClients && (
          <section className="narrow mt-4">
            <h2>Your hands</h2>
            <p>
              Today draws what the day asks of them. <Link to="/you/hands">Say how strong they are</Link>
            </p>
          </section>
        )}
        {worksWithClients && <OwnCalendar link={calendar} />}
        <section className="narrow mt-4">
          <h2>Where you are signed in</h2>
          <Failed words={answered?.errors.session ?? ''} />
          <table className="table">
            <thead>
              <tr>
                <th scope="col">Since</th>
                <th scope="col">Last used, to the hour</th>
                <th scope="col">
                  <span className="visually-hidden">End it</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {sessions.map((s) => (
                <tr key={s.id}>
                  <td>{moment(s.openedAt)}</td>
                  <td>{moment(s.usedAt)}</td>
                  <td className="text-end">
                    {s.isThis ? (
                      'here'
                    ) : (
                      <Form method="post">
                        <input type="hidden" name="do" value="end" />
                        <Button
                          type="submit"
                          name="session"
                          value={s.id}
                          size="sm"
                          variant="outline-primary"
                          aria-label={`Sign out where you signed in ${moment(s.openedAt)}`}
                        >
                          Sign out there
                        </Button>
                      </Form>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      </main>
    </div>
  );
}

import { Button } from 'react-bootstrap';
import { Form, NavLink, Outlet, useLocation, useRouteLoaderData } from 'react-router';
import { dateFormatOf } from '../../server/db/queries/practice.server';
import { learnedBy } from '../../server/db/queries/runs.server';
import { may } from '../../server/access/may';
import { permitted } from '../../server/access/session.server';
import { FindBox } from '../parts/frame/find-box';
import { KeyHelp } from '../parts/keys/key-help';
import { OwnWays } from '../parts/frame/own-ways';
import { SignInHere } from '../parts/frame/sign-in-here';
import { Wordmark } from '../parts/marks/wordmark';
import { UnsentNote } from '../rooms/visit/session/unsent-note';
import type { Route } from './+types/frame';

export async function loader({ request }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'self');
  const { practiceId, practitionerId, name, email, practiceName, timeZone } = who;
  const [learned, dateFormat] = await Promise.all([learnedBy(practiceId, practitionerId), dateFormatOf(practiceId)]);
  return {
    practitionerId,
    name,
    email,
    practiceName,
    timeZone,
    dateFormat,
    learned,
    worksWithClients: may(who, 'see', 'care'),
  };
}

/** The top bar around every page of a signed-in practitioner. */
export default function Frame({ loaderData }: Route.ComponentProps) {
  const { pathname, search } = useLocation();
  const root = useRouteLoaderData('root') as { room: 'day' | 'dim' };
  const other = root.room === 'dim' ? 'day' : 'dim';
  return (
    <OwnWays {...loaderData}>
      <a className="skip" href="#work">
        Skip to the work
      </a>
      <header className="top-bar">
        <Wordmark />
        <nav className="top-nav" aria-label="Main">
          <NavLink to="/today">Today</NavLink>
          <NavLink
            to="/clients"
            className={({ isActive }) => (isActive || pathname.startsWith('/visits/') ? 'active' : '')}
          >
            Clients
          </NavLink>
          {loaderData.worksWithClients && <NavLink to="/routines">Routines</NavLink>}
          <NavLink to="/atlas">Atlas</NavLink>
          {loaderData.worksWithClients && <NavLink to="/pad">Practice pad</NavLink>}
        </nav>
        <div className="top-end">
          <FindBox />
          <Form method="post" action="/room">
            <input type="hidden" name="to" value={pathname + search} />
            <Button variant="link" type="submit" name="room" value={other}>
              {other === 'dim' ? 'Dim room' : 'Day room'}
            </Button>
          </Form>
          {loaderData.worksWithClients && (
            <NavLink to="/practice" title={`${loaderData.practiceName}: rules, texts, products, trail`}>
              Practice
            </NavLink>
          )}
          <KeyHelp />
          <NavLink to="/you" title="Your password, and where you are signed in">
            {loaderData.name}
          </NavLink>
          <Form method="post" action="/sign-out">
            <Button variant="link" type="submit">
              Sign out
            </Button>
          </Form>
        </div>
      </header>
      <SignInHere practitionerId={loaderData.practitionerId} name={loaderData.name} email={loaderData.email} />
      <UnsentNote practitionerId={loaderData.practitionerId} />
      <div id="work" tabIndex={-1}>
        <Outlet />
      </div>
    </OwnWays>
  );
}

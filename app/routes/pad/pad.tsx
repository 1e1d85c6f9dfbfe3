import { NavLink, Outlet, data } from 'react-router';
import { permitted } from '../../../server/access/session.server';
import { padChecksOf } from '../../../server/db/queries/pad-checks.server';
import { padsHere } from '../../../server/pad.server';
import { PadLinked } from '../../rooms/pad/pad-link';
import { SensorLine } from '../../rooms/pad/sensor-line';
import type { Route } from './+types/pad';

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'stock');
  const [pad] = padsHere();
  return data({
    pad,
    checks: pad === undefined ? [] : await padChecksOf(practiceId, pad),
    now: new Date().toISOString(),
  });
}

const PAGES = [
  ['/pad', 'A technique'],
  ['/pad/words', 'Words, blind'],
  ['/pad/tempo', 'Tempo'],
  ['/pad/rehearse', 'A routine'],
  ['/pad/check', 'Against weights'],
] as const;

/** The practice pad: what is read stands above every page of it. */
export default function Pad({ loaderData: { pad, checks, now } }: Route.ComponentProps) {
  return (
    <PadLinked pad={pad}>
      <div className="pad-page">
        <SensorLine checks={checks} now={now} />
        <nav className="pad-pages" aria-label="Practice pad">
          {PAGES.map(([to, name]) => (
            <NavLink key={to} to={to} end>
              {name}
            </NavLink>
          ))}
        </nav>
        <Outlet />
      </div>
    </PadLinked>
  );
}

import { NavLink, Outlet } from 'react-router';
import { may } from '../../../server/access/may';
import { permitted } from '../../../server/access/session.server';
import type { Route } from './+types/practice';

export async function loader({ request }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'rules');
  const { practiceName, timeZone } = who;
  return { practiceName, isOwner: may(who, 'change', 'rules'), timeZone };
}
export const meta = () => [{ title: 'Practice · Velvet Compass' }];

/** What the whole practice shares: its rules, techniques, texts and products, and the trail of what was decided. */
export default function PracticeFrame({ loaderData }: Route.ComponentProps) {
  return (
    <>
      <section className="client-strip" aria-label="Practice">
        <div className="who">
          <span className="name">{loaderData.practiceName}</span>
        </div>
        <nav className="client-nav" aria-label="Practice">
          <NavLink to="/practice" end>
            Rules
          </NavLink>
          <NavLink to="/practice/techniques">Techniques</NavLink>
          <NavLink to="/practice/school">School, dates, review</NavLink>
          <NavLink to="/practice/texts">Texts</NavLink>
          <NavLink to="/practice/products">Products</NavLink>
          <NavLink to="/practice/rooms">Rooms</NavLink>
          <NavLink to="/practice/reminders">Reminders</NavLink>
          {loaderData.isOwner && <NavLink to="/practice/colleagues">Colleagues</NavLink>}
          {loaderData.isOwner && <NavLink to="/practice/across">Across clients</NavLink>}
          {loaderData.isOwner && <NavLink to="/practice/numbers">Numbers</NavLink>}
          {loaderData.isOwner && <NavLink to="/practice/out">Take out</NavLink>}
          {loaderData.isOwner && <NavLink to="/practice/in">Bring in</NavLink>}
          {loaderData.isOwner && <NavLink to="/practice/kept">Closed records</NavLink>}
          {loaderData.isOwner && <NavLink to="/practice/trail">Audit trail</NavLink>}
        </nav>
      </section>
      <Outlet />
    </>
  );
}

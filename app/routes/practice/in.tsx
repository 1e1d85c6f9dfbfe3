import { useRouteLoaderData } from 'react-router';
import { permitted } from '../../../server/access/session.server';
import { mappingsOf } from '../../../server/db/queries/brought-files.server';
import { BringIn, type KeptMappings } from '../../rooms/practice/bring/bring-in';
import type { loader as frame } from './practice';
import type { Route } from './+types/in';

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'records');
  return { mappings: (await mappingsOf(practiceId)) as unknown as KeptMappings };
}

/** Tables of other programs, and the archive of a practice, looked at before anything is kept. */
export default function In({ loaderData: { mappings } }: Route.ComponentProps) {
  const { timeZone } = useRouteLoaderData('routes/practice/practice') as Awaited<ReturnType<typeof frame>>;
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Bring in</h1>
          <span className="soft">all of a file or nothing of it, after a look at what it comes to</span>
        </div>
        <BringIn kept={mappings} timeZone={timeZone} />
      </main>
    </div>
  );
}

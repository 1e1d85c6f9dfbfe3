import { useRouteLoaderData } from 'react-router';
import type { loader } from './pad';
import { CheckRoom } from '../../rooms/pad/check-room';

export const meta = () => [{ title: 'Pad against weights · Velvet Compass' }];

/** What was checked so far stands above every page of the pad, and is read there. */
export default function Check() {
  const above = useRouteLoaderData<typeof loader>('routes/pad/pad');
  return <CheckRoom checks={above?.checks ?? []} />;
}

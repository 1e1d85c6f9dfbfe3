import { useMemo } from 'react';
import { data, isRouteErrorResponse, useRouteError } from 'react-router';
import { homePacket } from '../../../server/access/home-packet.server';
import { holderOf } from '../../../server/access/link.server';
import { linkWasUsed } from '../../../server/db/queries/links.server';
import { PracticeDates } from '../../parts/frame/use-dates';
import { datesIn } from '../../parts/marks/time';
import { NotInUse } from '../../rooms/phone/not-in-use';
import { PhonePage } from '../../rooms/phone/phone-page';
import '../../styles/phone.scss';
import type { Route } from './+types/page';

/** Nothing of this is kept by what lies between, found by a search, or told to where a link leads. */
const HEADERS = { 'Cache-Control': 'no-store', 'X-Robots-Tag': 'noindex, nofollow', 'Referrer-Policy': 'no-referrer' };

export async function loader({ params, context }: Route.LoaderArgs) {
  const { holder } = await holderOf(params.secret, context);
  const packet = await homePacket(holder, new Date());
  if (!packet) throw data('', { status: 404, headers: HEADERS });
  await linkWasUsed(holder.practiceId, holder.id);
  return data({ packet }, { headers: HEADERS });
}
/** The page asks for itself, in its own time: what comes later comes with what it sends. */
export const shouldRevalidate = (): boolean => false;

export const headers: Route.HeadersFunction = () => HEADERS;
export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: loaderData ? `Home plan · ${loaderData.packet.practice}` : 'Home plan' },
  { name: 'robots', content: 'noindex, nofollow' },
];

/** What a client opens at home by a private link: no account, nothing but one plan. */
export default function Phone({ loaderData, params }: Route.ComponentProps) {
  const { packet } = loaderData;
  const dates = useMemo(() => datesIn(packet.zone, packet.dates), [packet]);
  return (
    <PracticeDates value={dates}>
      <PhonePage key={packet.plan.id} secret={params.secret} given={packet} />
    </PracticeDates>
  );
}

/** The same plain page for a link that is wrong, ended or too old, and for too many tries. */
export function ErrorBoundary() {
  const error = useRouteError();
  const status = isRouteErrorResponse(error) ? error.status : 500;
  return <NotInUse isOurs={status >= 500} />;
}

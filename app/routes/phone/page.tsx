import { lazy, Suspense, useMemo } from 'react';
import { data, isRouteErrorResponse, useRouteError } from 'react-router';
import { beforePacket } from '../../../server/access/before-packet.server';
import { homePacket } from '../../../server/access/home-packet.server';
import { holderOf } from '../../../server/access/link.server';
import { linkWasUsed } from '../../../server/db/queries/links.server';
import { PracticeDates } from '../../parts/frame/use-dates';
import { datesIn } from '../../../core/schedule';
import { NotInUse } from '../../rooms/phone/not-in-use';
import { PhonePage } from '../../rooms/phone/phone-page';
import '../../styles/phone.scss';
import type { Route } from './+types/page';

/** Nothing of this is kept by what lies between, found by a search, or told to where a link leads. */
const HEADERS = { 'Cache-Control': 'no-store', 'X-Robots-Tag': 'noindex, nofollow', 'Referrer-Policy': 'no-referrer' };

export async function loader({ params, context }: Route.LoaderArgs) {
  const { holder } = await holderOf(params.secret, context);
  const now = new Date();
  const [packet, before] = await Promise.all([homePacket(holder, now), beforePacket(holder, now)]);
  if (!packet && !before) throw data('', { status: 404, headers: HEADERS });
  await linkWasUsed(holder.practiceId, holder.id);
  return data({ packet, before }, { headers: HEADERS });
}
/** The page asks for itself, in its own time: what comes later comes with what it sends. */
export const shouldRevalidate = (): boolean => false;

export const headers: Route.HeadersFunction = () => HEADERS;
export const meta: Route.MetaFunction = ({ loaderData }) => [
  {
    title: loaderData?.packet
      ? `Home plan · ${loaderData.packet.practice}`
      : loaderData?.before
        ? `Before your first visit · ${loaderData.before.practice}`
        : 'Home plan',
  },
  { name: 'robots', content: 'noindex, nofollow' },
];

/** Few need it, and once: whoever opens a plan does not load it. */
const BeforeVisit = lazy(() =>
  import('../../rooms/phone/before-visit').then(({ BeforeVisit }) => ({ default: BeforeVisit })),
);

/** What a client opens at home by a private link: no account, nothing but one plan, or one first visit. */
export default function Phone({ loaderData, params }: Route.ComponentProps) {
  const { packet, before } = loaderData;
  const { zone, dates: format } = (packet ?? before)!;
  const dates = useMemo(() => datesIn(zone, format), [zone, format]);
  return (
    <PracticeDates value={dates}>
      {packet && <PhonePage key={packet.plan.id} secret={params.secret} given={packet} />}
      {before && (
        <Suspense>
          <BeforeVisit key={before.visit.id} secret={params.secret} packet={before} />
        </Suspense>
      )}
    </PracticeDates>
  );
}

/** The same plain page for a link that is wrong, ended or too old, and for too many tries. */
export function ErrorBoundary() {
  const error = useRouteError();
  const status = isRouteErrorResponse(error) ? error.status : 500;
  return <NotInUse isOurs={status >= 500} />;
}

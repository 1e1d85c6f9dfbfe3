import { complaintName } from '../../../core/words';
import { useMemo } from 'react';
import { homeOffer } from '../../../server/access/home.server';
import { findClient } from '../../../server/db/queries/clients.server';
import { ownTechniques } from '../../../server/db/queries/techniques.server';
import { notFound, requirePractitioner } from '../../../server/access/session.server';
import { withOwn } from '../../parts/catalogue/catalogue';
import { Sheet } from '../../parts/paper/sheet';
import { HandOut } from '../../rooms/home/hand-out';
import type { Route } from './+types/home-plan';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId, name } = await requirePractitioner(request);
  const [client, offer, own] = await Promise.all([
    findClient(practiceId, params.clientId),
    homeOffer(practiceId, params.clientId, new Set()),
    ownTechniques(practiceId),
  ]);
  if (!client || !offer) notFound('home plan');
  return { client, plan: offer.plans.find((p) => p.endedAt === null), noLonger: offer.noLonger, own, name };
}
export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Home plan for ${loaderData?.client.name ?? 'a client'} · Velvet Compass` },
];

/** The plan in force as a page to take along. */
export default function HomePlanPaper({ loaderData: { client, plan, noLonger, own, name } }: Route.ComponentProps) {
  const catalogue = useMemo(() => withOwn(own), [own]);
  const first = client.complaints.find((c) => !c.closed);
  return (
    <Sheet
      title="Home plan"
      who={client.name}
      back={{ to: `/clients/${client.id}/home-plan`, words: 'Back to the home plan' }}
    >
      <h1>Home plan for {client.name}</h1>
      {!plan ? (
        <p>There is no home plan in force.</p>
      ) : noLonger.length ? (
        <p>
          <strong>This plan may not be given any more.</strong> {noLonger.map((n) => `${n.name}: ${n.why}`).join('; ')}.
        </p>
      ) : (
        <HandOut
          plan={plan}
          catalogue={catalogue}
          who={name}
          complaint={first ? complaintName(first).toLowerCase() : 'how it is'}
        />
      )}
    </Sheet>
  );
}

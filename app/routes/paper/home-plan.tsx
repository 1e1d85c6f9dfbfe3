import { complaintName } from '../../../core/words';
import { useMemo, useState } from 'react';
import { Form } from 'react-bootstrap';
import { useLocation } from 'react-router';
import { homeOffer } from '../../../server/access/home.server';
import { findClient } from '../../../server/db/queries/clients.server';
import { contactOf } from '../../../server/db/queries/practice.server';
import { openingOfClient } from '../../../server/db/queries/readings.server';
import { ownTechniques } from '../../../server/db/queries/techniques.server';
import { notFound, permitted } from '../../../server/access/session.server';
import { withOwn } from '../../parts/catalogue/catalogue';
import { dayOf } from '../../../core/schedule';
import { useInBrowser } from '../../parts/fields/use-in-browser';
import { Sheet } from '../../parts/paper/sheet';
import { HandOut } from '../../rooms/home/hand-out';
import type { Route } from './+types/home-plan';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId, name, timeZone } = await permitted(request, 'see', 'care');
  const [client, offer, own, contact, jaw] = await Promise.all([
    findClient(practiceId, params.clientId),
    homeOffer(practiceId, params.clientId, new Set()),
    ownTechniques(practiceId),
    contactOf(practiceId),
    openingOfClient(practiceId, params.clientId),
  ]);
  if (!client || !offer) notFound('home plan');
  return {
    client,
    plan: offer.plans.find((p) => p.endedAt === null),
    noLonger: offer.noLonger,
    own,
    name,
    contact,
    jaw,
    today: dayOf(new Date().toISOString(), timeZone),
  };
}
export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Home plan for ${loaderData?.client.name ?? 'a client'} · Velvet Compass` },
];

/** The address of a link that was made just now: the page before hands it over where no server sees it. */
function useLinkAddress(): string {
  const inBrowser = useInBrowser();
  const { hash } = useLocation();
  return inBrowser && /^#[\w-]{43}$/.test(hash) ? `${window.location.origin}/h/${hash.slice(1)}` : '';
}

/** The plan in force as a page to take along. */
export default function HomePlanPaper({
  loaderData: { client, plan, noLonger, own, name, contact, jaw, today },
}: Route.ComponentProps) {
  const catalogue = useMemo(() => withOwn(own), [own]);
  const address = useLinkAddress();
  const [small, setSmall] = useState(false);
  const first = client.complaints.find((c) => !c.closed);
  return (
    <Sheet
      title="Home plan"
      who={client.name}
      back={{ to: `/clients/${client.id}/home-plan`, words: 'Back to the home plan' }}
      size={small ? 'A5' : undefined}
      tools={
        <Form.Check type="switch" id="a5" label="On A5" checked={small} onChange={(e) => setSmall(e.target.checked)} />
      }
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
          contact={contact}
          address={address}
          today={today}
          jaw={jaw}
          complaint={first ? complaintName(first).toLowerCase() : 'how it is'}
        />
      )}
    </Sheet>
  );
}

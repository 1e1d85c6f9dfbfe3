import { findClient } from '../../../server/db/queries/clients.server';
import { cautionsOf, practiceTexts } from '../../../server/db/queries/practice.server';
import { findVisit } from '../../../server/db/queries/visits.server';
import { notFound, permitted } from '../../../server/access/session.server';
import { Sheet } from '../../parts/paper/sheet';
import { ReferralWords } from '../../parts/paper/referral-words';
import type { Route } from './+types/referral';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'care');
  const visit = await findVisit(practiceId, params.visitId);
  if (!visit?.referral) notFound('referral');
  const [client, cautions, texts] = await Promise.all([
    findClient(practiceId, visit.clientId),
    cautionsOf(practiceId),
    practiceTexts(practiceId),
  ]);
  if (!client) notFound('client');
  const why = visit.referral.cautions;
  return {
    visit: { id: visit.id, startsAt: visit.startsAt },
    name: client.name,
    cautions: cautions.filter((c) => why.includes(c.key)),
    scope: texts.scope.body,
  };
}
export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Note for ${loaderData?.name ?? 'a client'} · Velvet Compass` },
];

/** The note that a client who was referred takes along. */
export default function ReferralOnPaper({ loaderData: { visit, name, cautions, scope } }: Route.ComponentProps) {
  return (
    <Sheet
      asFile={name}
      title="Note to take along"
      who={name}
      on={visit.startsAt}
      back={{ to: `/visits/${visit.id}/screen`, words: 'Back to the visit' }}
    >
      <h1>Note to take along</h1>
      <ReferralWords cautions={cautions} scope={scope} />
    </Sheet>
  );
}

import { data } from 'react-router';
import { may } from '../../../server/access/may';
import { notFound, permitted } from '../../../server/access/session.server';
import { findClient } from '../../../server/db/queries/clients.server';
import { scaleOf } from '../../../server/db/queries/pad-words.server';
import { seriesOfClient } from '../../../server/db/queries/readings.server';
import { ownTechniques } from '../../../server/db/queries/techniques.server';
import { findTemplate, listTemplates } from '../../../server/db/queries/templates.server';
import { findVisit } from '../../../server/db/queries/visits.server';
import { padShape, padsHere } from '../../../server/pad.server';
import { OwnTechniques } from '../../parts/catalogue/own-techniques';
import { RehearseRoom, type RehearseData } from '../../rooms/pad/rehearse-room';
import { latestThresholds } from '../../rooms/pad/thresholds';
import type { Route } from './+types/rehearse';

export const meta = () => [{ title: 'Rehearse a routine · Velvet Compass' }];

export async function loader({ request }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'routines');
  const { practiceId } = who;
  const query = new URL(request.url).searchParams;
  const [templateId, visitId] = [query.get('routine'), query.get('visit')];
  const [pad] = padsHere();
  const [shape, own, templates] = await Promise.all([
    pad === undefined ? null : padShape(pad),
    ownTechniques(practiceId),
    listTemplates(practiceId),
  ]);
  let rehearsed: RehearseData['rehearsed'] = null;
  let thresholds: RehearseData['thresholds'] = [];
  if (templateId) {
    const template = await findTemplate(practiceId, templateId);
    if (!template) notFound('routine');
    rehearsed = { routine: template.body, name: template.name, client: null, back: `/routines/${templateId}` };
  } else if (visitId) {
    const visit = may(who, 'see', 'care') ? await findVisit(practiceId, visitId) : null;
    const client = visit && (await findClient(practiceId, visit.clientId));
    if (!visit?.routine || !client) notFound('routine');
    thresholds = latestThresholds(await seriesOfClient(practiceId, client.id));
    const back = `/visits/${visitId}/compose`;
    rehearsed = {
      routine: visit.routine,
      name: visit.routine.name,
      client: { id: client.id, name: client.name },
      back,
    };
  }
  return data({
    rehearsed,
    thresholds,
    own,
    scale: await scaleOf(practiceId, shape?.isStandIn ?? false),
    routines: templates.map(({ id, name }) => ({ id, name })),
  });
}

export default function Rehearse({ loaderData: { own, ...rest } }: Route.ComponentProps) {
  return (
    <OwnTechniques value={own}>
      <RehearseRoom {...rest} />
    </OwnTechniques>
  );
}

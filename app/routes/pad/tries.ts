import { data } from 'react-router';
import { aimOf, atTempo, keptScore, wantedAt } from '../../../core/touch';
import { keepPadTry } from '../../../server/db/queries/pad.server';
import { catalogueOf } from '../../../server/db/queries/techniques.server';
import { permitted } from '../../../server/access/session.server';
import { padShape } from '../../../server/pad.server';
import { scaleOf } from '../../../server/db/queries/pad-words.server';
import { traceSent } from '../../rooms/pad/readings';
import { rehearsalOf } from '../../rooms/pad/rehearsal';
import { padTrySchema } from '../../schemas/pad';
import { readJson } from '../../schemas/read';
import type { Route } from './+types/tries';

/** Keeps a try. It is scored here, from what was read; whether the pad is a stand-in, the pad itself is asked. */
export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'self');
  const input = await readJson(request, padTrySchema);
  if (!input.ok) return data({ message: Object.values(input.errors)[0] }, { status: 422 });
  const { once, pad, technique: id, contact, pressure, perMinute, isBlind, bothHands, capKpa, readings } = input.value;
  const technique = (await catalogueOf(who.practiceId)).techniques.get(id);
  const rehearsal = technique && rehearsalOf(technique);
  if (!rehearsal) return data({ message: 'This technique is not rehearsed on a pad.' }, { status: 422 });
  const shape = await padShape(pad);
  if (!shape) return data({ message: 'The pad does not answer: the try is not kept yet.' }, { status: 503 });
  const trace = traceSent(readings);
  if (!trace) return data({ message: 'Readings in the order of their times are accepted.' }, { status: 422 });
  const scale = await scaleOf(who.practiceId, shape.isStandIn);
  const aim = aimOf(pressure, { capKpa, nominalKpa: scale[pressure] });
  const plan = { aim, wanted: wantedAt(atTempo(rehearsal.pace, perMinute)) };
  const score = keptScore(rehearsal.kind, plan, trace, { bothHands });
  const { kind } = rehearsal;
  const made = await keepPadTry(
    who,
    {
      technique: id,
      kind,
      contact,
      pressure,
      perMinute,
      sensor: pad,
      isStandIn: shape.isStandIn,
      isBlind,
      score,
      at: new Date(),
    },
    once,
  );
  return { id: made, score };
}

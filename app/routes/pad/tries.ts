import { data } from 'react-router';
import { aimOf, atTempo, keptScore, wantedAt, type Touch } from '../../../core/touch';
import { keepPadTry } from '../../../server/db/queries/pad.server';
import { catalogueOf } from '../../../server/db/queries/techniques.server';
import { permitted } from '../../../server/access/session.server';
import { padShape } from '../../../server/pad.server';
import { rehearsalOf } from '../../rooms/pad/rehearsal';
import { padTrySchema } from '../../schemas/pad';
import { readJson } from '../../schemas/read';
import type { Route } from './+types/tries';

const areaOf = (kpa: number, forceN: number): number => (kpa > 0 ? (10 * forceN) / kpa : 0);

/** Keeps a try. It is scored here, from what was read; whether the pad is a stand-in, the pad itself is asked. */
export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'self');
  const input = await readJson(request, padTrySchema);
  if (!input.ok) return data({ message: Object.values(input.errors)[0] }, { status: 422 });
  const { once, pad, technique: id, contact, pressure, perMinute, isBlind, readings } = input.value;
  const technique = (await catalogueOf(who.practiceId)).techniques.get(id);
  const rehearsal = technique && rehearsalOf(technique);
  if (!rehearsal) return data({ message: 'This technique is not rehearsed on a pad.' }, { status: 422 });
  const shape = await padShape(pad);
  if (!shape) return data({ message: 'The pad does not answer: the try is not kept yet.' }, { status: 503 });
  const trace = readings.map(([atMs, kpa, forceN, xMm, yMm]): Touch => ({
    atMs: atMs ?? 0,
    kpa: kpa ?? 0,
    forceN: forceN ?? 0,
    areaCm2: areaOf(kpa ?? 0, forceN ?? 0),
    xMm: xMm ?? null,
    yMm: yMm ?? null,
  }));
  if (trace.some((t, i) => i > 0 && t.atMs <= trace[i - 1]!.atMs))
    return data({ message: 'Readings in the order of their times are accepted.' }, { status: 422 });
  const plan = { aim: aimOf(pressure), wanted: wantedAt(atTempo(rehearsal.pace, perMinute)) };
  const score = keptScore(rehearsal.kind, plan, trace);
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

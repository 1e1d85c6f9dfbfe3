import { data } from 'react-router';
import { blindPress, wordFit } from '../../../core/touch';
import { permitted } from '../../../server/access/session.server';
import { keepWords, scaleOf } from '../../../server/db/queries/pad-words.server';
import { padShape } from '../../../server/pad.server';
import { traceSent } from '../../rooms/pad/readings';
import { padWordsSchema } from '../../schemas/pad';
import { readJson } from '../../schemas/read';
import type { Route } from './+types/words-keep';

/** Keeps a round of words. What was pressed is read here, and whether the pad is a stand-in the pad itself is asked. */
export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'self');
  const input = await readJson(request, padWordsSchema);
  if (!input.ok) return data({ message: Object.values(input.errors)[0] }, { status: 422 });
  const { once, pad, contact, presses } = input.value;
  const shape = await padShape(pad);
  if (!shape) return data({ message: 'The pad does not answer: the round is not kept yet.' }, { status: 503 });
  const read = presses.map(({ word, readings }) => ({ word, kpa: blindPress(traceSent(readings) ?? []) }));
  if (read.some((r) => r.kpa === null))
    return data(
      { message: 'A press of each word, with readings in the order of their times, is accepted.' },
      { status: 422 },
    );
  const now = Date.now();
  const kept = read.map(({ word, kpa }, i) => ({
    ...{ word, contact, sensor: pad, isStandIn: shape.isStandIn, at: new Date(now + i) },
    kpa: Math.round(kpa! * 10) / 10,
  }));
  await keepWords(who, kept, once);
  const scale = await scaleOf(who.practiceId, shape.isStandIn);
  return { words: kept.map(({ word, kpa }) => ({ word, kpa, fit: wordFit(kpa, word, scale) })) };
}

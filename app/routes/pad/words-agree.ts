import { data } from 'react-router';
import { latestOf, scaleFor, wordLevel } from '../../../core/touch';
import { permitted } from '../../../server/access/session.server';
import { agreeOnWord, wordsInSight } from '../../../server/db/queries/pad-words.server';
import { padShape, padsHere } from '../../../server/pad.server';
import { padScaleSchema } from '../../schemas/pad';
import { readJson } from '../../schemas/read';
import type { Route } from './+types/words-agree';

/** The owner agrees on what lies midway between those who show their words, or lets go of it. The figure is worked out here. */
export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'rules');
  const input = await readJson(request, padScaleSchema);
  if (!input.ok) return data({ message: Object.values(input.errors)[0] }, { status: 422 });
  const { word, do: act } = input.value;
  const [pad] = padsHere();
  const isStandIn = (pad === undefined ? null : await padShape(pad))?.isStandIn ?? false;
  if (act === 'let-go') {
    await agreeOnWord(who, word, null, isStandIn);
    return { kpa: null };
  }
  const people = await wordsInSight(who, isStandIn);
  const levels = people.flatMap((p) => wordLevel(latestOf(p.presses, word).map((x) => x.kpa))?.value ?? []);
  const kpa = scaleFor(word, levels);
  if (kpa === null)
    return data({ message: 'Two people with five blind presses of the word each are needed.' }, { status: 422 });
  await agreeOnWord(who, word, kpa, isStandIn);
  return { kpa };
}

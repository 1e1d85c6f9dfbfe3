import { data } from 'react-router';
import { breathRound, tapRound } from '../../../core/touch';
import { permitted } from '../../../server/access/session.server';
import { keepTempoTry } from '../../../server/db/queries/pad-checks.server';
import { catalogueOf } from '../../../server/db/queries/techniques.server';
import { breathsOf } from '../../rooms/pad/breaths';
import { tempoSchema } from '../../schemas/pad';
import { readJson } from '../../schemas/read';
import type { Route } from './+types/tempo-keep';

const inOrder = (times: readonly number[]): boolean => times.every((t, i) => i === 0 || t > times[i - 1]!);

/** Keeps a tempo that was tapped, or a breath that was led: scored here, from when it was pressed. */
export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'self');
  const input = await readJson(request, tempoSchema);
  if (!input.ok) return data({ message: Object.values(input.errors)[0] }, { status: 422 });
  const { once, kind, perMinute, taps, technique, holds } = input.value;
  if (!inOrder(kind === 'taps' ? taps : holds.flat()))
    return data({ message: 'Times in their order are accepted.' }, { status: 422 });
  if (kind === 'taps') {
    const score = tapRound(taps, perMinute);
    if (!score)
      return data({ message: 'Four taps with the beat and four alone are needed: not kept.' }, { status: 422 });
    return { id: await keepTempoTry(who, { kind, asked: `${perMinute} / min`, score }, once) };
  }
  const breath = breathsOf(await catalogueOf(who.practiceId)).find((b) => b.technique === technique);
  const score =
    breath &&
    breathRound(
      holds.map(([startMs, endMs]) => ({ startMs: startMs!, endMs: endMs! })),
      breath,
    );
  if (!score)
    return data({ message: 'Three breaths alone, of a pattern that there is, are needed: not kept.' }, { status: 422 });
  return { id: await keepTempoTry(who, { kind, asked: breath.words, score }, once) };
}

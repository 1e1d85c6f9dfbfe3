import { emptyOwn, fromOwn, ownFrom, readOwnTechnique } from '../../../core/routine';
import { screen } from '../../../core/limits';
import { stopOfOwn } from '../../../core/rules';
import { InputError } from '../../../core/words';
import { randomUUID } from 'node:crypto';
import { data, redirect, useActionData } from 'react-router';
import { CATALOGUE } from '../../../reference/catalogue';
import { CAUTIONS } from '../../../reference/facts/cautions';
import {
  addTechnique,
  catalogueOf,
  changeTechnique,
  KNOWN_HERE,
  ownTechniques,
} from '../../../server/db/queries/techniques.server';
import { notFound, permitted } from '../../../server/access/session.server';
import type { Refused } from '../../rooms/practice/technique/controls';
import { TechniqueForm } from '../../rooms/practice/technique/technique-form';
import { checkForm, readForm } from '../../schemas/read';
import { keepTechniqueSchema } from '../../schemas/technique';
import type { Route } from './+types/technique';

/** One technique of the practice to change, or the beginning of a new one: empty, or a copy. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'stock');
  if (params.techniqueId !== 'new') {
    const found = (await ownTechniques(practiceId)).find((t) => t.own.id === params.techniqueId);
    if (!found) notFound('technique');
    return { start: found.own, version: found.version };
  }
  const from = new URL(request.url).searchParams.get('from');
  const id = `own-${randomUUID()}`;
  if (!from) return { start: emptyOwn(id), version: null };
  const technique = (await catalogueOf(practiceId)).techniques.get(from);
  if (!technique) notFound('technique');
  return { start: ownFrom(technique, id, `${technique.name}, ours`), version: null };
}

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.start.name || 'New technique'} · Velvet Compass` },
];

const EVERYONE = screen(CAUTIONS, {});

export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'stock');
  const refuse = (field: string, message: string, status: number) =>
    data({ refused: { field, message } satisfies Refused }, { status });
  const input = await checkForm(keepTechniqueSchema, await readForm(request));
  if (!input.ok) return refuse('technique', Object.values(input.errors)[0]!, 422);
  const { once, version, technique: text } = input.value;
  try {
    const own = readOwnTechnique(JSON.parse(text), KNOWN_HERE);
    if (CATALOGUE.techniques.has(own.id)) return refuse('name', 'this technique belongs to the library', 422);
    const stop = stopOfOwn(fromOwn(own, CATALOGUE), CATALOGUE, EVERYONE);
    if (stop) return refuse(stop.field, stop.message, 422);
    if (params.techniqueId !== 'new' && own.id !== params.techniqueId)
      return refuse('name', 'this is another technique than the page shows', 422);
    const result =
      params.techniqueId === 'new'
        ? await addTechnique(who, own, once)
        : await changeTechnique(who, own.id, version ?? 0, { body: own });
    if (result === 'saved') return redirect('/practice/techniques');
    if (result === 'missing') notFound('technique');
    if (result === 'name-taken') return refuse('name', 'there is a technique of this name already', 422);
    if (result === 'too-many') return refuse('name', 'a practice keeps no more techniques than it has now', 422);
    return refuse('name', 'it was changed in another window meanwhile; what you typed is still here', 409);
  } catch (error) {
    if (error instanceof SyntaxError) return refuse('technique', 'this cannot be read', 422);
    if (error instanceof InputError) return refuse(error.field, error.message.replace(`${error.field}: `, ''), 422);
    throw error;
  }
}

export default function TechniquePage({ loaderData: { start, version } }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return (
    <TechniqueForm
      key={`${start.id}-${version}`}
      start={start}
      version={version}
      answered={(answered as { refused: Refused } | undefined)?.refused ?? null}
    />
  );
}

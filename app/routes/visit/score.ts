import { data } from 'react-router';
import { InputError } from '../../../core/errors';
import { measureOf } from '../../../core/measures/catalogue';
import { keepScore } from '../../../server/db/queries/scores.server';
import { answersOf, answersSchema } from '../../schemas/score';
import { check, formObject, type FieldErrors } from '../../schemas/read';
import { notFound, requirePractitioner } from '../../session.server';
import type { Route } from './+types/score';

/** Takes the answers of one measure; the score is worked out here, never sent. */
export async function action({ request, params }: Route.ActionArgs) {
  const { practiceId, practitionerId } = await requirePractitioner(request);
  const { measure, ...form } = formObject(await request.formData());
  const def = measureOf(String(measure));
  if (!def) return data({ kept: null, errors: { measure: 'This measure is unknown.' } as FieldErrors }, { status: 422 });
  const input = await check(answersSchema(def), form);
  if (!input.ok) return data({ kept: null, errors: input.errors }, { status: 422 });
  const answers = answersOf(def, input.value);
  try {
    const { value, words } = def.score(answers);
    const result = await keepScore(practiceId, practitionerId, params.visitId, { measure: def.id, ruleVersion: def.version, answers, value, words });
    if (result === 'missing') notFound('visit');
    if (result === 'ended') return data({ kept: null, errors: { measure: 'This visit has ended.' } as FieldErrors }, { status: 409 });
    return { kept: { measure: def.id, answers, value, words, takenAt: new Date().toISOString(), visitId: params.visitId }, errors: {} as FieldErrors };
  } catch (error) {
    // What single fields cannot show: an answer that does not go with another, or a total that cannot be.
    if (error instanceof InputError) return data({ kept: null, errors: { measure: error.message } as FieldErrors }, { status: 422 });
    throw error;
  }
}

/** Nothing to see at this address. */
export const loader = () => notFound('page');

import { afterAnswer } from '../../core/learning';
import { data } from 'react-router';
import type { Card } from 'ts-fsrs';
import FIBRES from '../../reference/derived/fibres.json';
import { permitted } from '../../server/access/session.server';
import { recordTrainerAnswer, trainerState } from '../../server/db/queries/trainer.server';
import type { Outlines } from '../rooms/trainer/edges';
import { FindItRoom } from '../rooms/trainer/find-it-room';
import { judgeOnView, QUESTIONS } from '../rooms/trainer/questions';
import { checkForm, readForm } from '../schemas/read';
import { markSchema } from '../schemas/trainer';
import type { Route } from './+types/find-it';

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId, practitionerId, timeZone } = await permitted(request, 'see', 'atlas');
  const state = await trainerState(practiceId, practitionerId);
  return { ...state, timeZone, now: new Date().toISOString() };
}

/** The server judges the mark itself: an answer is a place on a sheet, not a grade. */
export async function action({ request }: Route.ActionArgs) {
  const { practiceId, practitionerId } = await permitted(request, 'change', 'self');
  const input = await checkForm(markSchema, await readForm(request));
  const question = input.ok ? QUESTIONS.find((q) => q.key === input.value.question) : undefined;
  if (!input.ok || !question) return data({ kept: false }, { status: 422 });
  const { side, view, x, y, tookMs = null, once } = input.value;
  const judged = judgeOnView(question, side, view, x, y, FIBRES as Outlines);
  if (typeof judged === 'string') return data({ kept: false }, { status: 422 });
  const { cards } = await trainerState(practiceId, practitionerId);
  const now = new Date();
  const { errorMm, takenFor, grade } = judged;
  const card = cards.find((c) => c.place === question.key)?.card as Card | undefined;
  await recordTrainerAnswer(
    practiceId,
    practitionerId,
    { place: question.key, at: now, errorMm: Math.round(errorMm * 10) / 10, takenFor, grade, tookMs },
    afterAnswer(card ?? null, grade, now),
    once,
  );
  return { kept: true };
}

export const meta = () => [{ title: 'Find it · Velvet Compass' }];

export default function FindIt({ loaderData }: Route.ComponentProps) {
  return <FindItRoom {...loaderData} />;
}

import { planProblems } from '../../../core/schedule';
import { data } from 'react-router';
import { homeOffer } from '../../../server/access/home.server';
import { notFound, permitted } from '../../../server/access/session.server';
import { momentIn } from '../../../server/access/time.server';
import { seeToFlag } from '../../../server/db/queries/home-arrivals.server';
import { endLink, makeLink } from '../../../server/db/queries/links.server';
import { endHomePlan, keepHomePlan, noteHomeRuns } from '../../../server/db/queries/home-plans.server';
import { flagSeenSchema, homePlanSchema, homeRunsSchema } from '../../schemas/home-plan';
import { readJson } from '../../schemas/read';
import { dayOf } from '../../../core/schedule';
import type { Route } from './+types/home-plan-acts';

/** A home plan is kept or ended, and what was done of it is noted. */
export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'care');
  const act = new URL(request.url).searchParams.get('do');
  if (act === 'end') return (await endHomePlan(who, params.clientId)) ? { done: true } : notFound('home plan');
  if (act === 'link') {
    const secret = await makeLink(who, params.clientId);
    return secret ? data({ secret }, { headers: { 'Cache-Control': 'no-store' } }) : notFound('home plan');
  }
  if (act === 'end-link') return (await endLink(who, params.clientId)) ? { done: true } : notFound('link');
  if (act === 'seen') {
    const input = await readJson(request, flagSeenSchema);
    if (!input.ok) return data({ errors: input.errors }, { status: 422 });
    return (await seeToFlag(who, params.clientId, input.value.id)) ? { done: true } : notFound('answer');
  }
  if (act === 'note') {
    const input = await readJson(request, homeRunsSchema);
    if (!input.ok) return data({ errors: input.errors }, { status: 422 });
    const now = new Date();
    if (input.value.day > dayOf(now.toISOString(), who.timeZone))
      return data({ errors: { day: 'A day up to today is accepted.' } }, { status: 422 });
    // Nobody tells the hour; what is told of today was done by now.
    const noon = momentIn(who.timeZone, input.value.day, '12:00');
    const done = await noteHomeRuns(who, params.clientId, { ...input.value, by: noon < now ? noon : now });
    if (done === 'missing') notFound('home plan');
    return done === 'noted'
      ? { done: true }
      : data({ errors: { day: 'A day of this plan is accepted.' } }, { status: 422 });
  }
  if (act !== 'keep') notFound('page');
  const input = await readJson(request, homePlanSchema);
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  const { once, steps, ...rhythm } = input.value;
  const shown = new Set(rhythm.shown);
  const offer = await homeOffer(
    who.practiceId,
    params.clientId,
    shown,
    steps.map((s) => s.technique),
  );
  if (!offer) notFound('client');
  const chosen = steps.map(({ technique, words }) => ({
    step: offer.candidates.find((c) => c.step.technique === technique)?.step,
    words,
  }));
  if (chosen.some((c) => !c.step))
    return data({ errors: { steps: 'A step is no longer for home: look again.' } }, { status: 422 });
  const plan = {
    ...rhythm,
    steps: chosen.map((c, i) => ({ step: { ...c.step!, id: `home-${i + 1}` }, words: c.words })),
  };
  const problems = planProblems(
    plan,
    offer.screening,
    offer.catalogue,
    shown,
    dayOf(new Date().toISOString(), who.timeZone),
  );
  if (problems.length)
    return data({ errors: Object.fromEntries(problems.map((p) => [p.field, p.message])) }, { status: 422 });
  await keepHomePlan(who, params.clientId, plan, once);
  return { done: true };
}

export const loader = () => notFound('page');

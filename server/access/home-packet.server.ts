import { stepsOf, emptyRoutine } from '../../core/routine/index';
import { askFirst, dailyMost, type HomePacket, homePlaces } from '../../core/schedule/index';
import { complaintName } from '../../core/words/index';
import { findClient } from '../db/queries/clients.server';
import { openHomeFlags } from '../db/queries/home-arrivals.server';
import { runsOfPlan } from '../db/queries/home-plans.server';
import type { LinkHolder } from '../db/queries/links.server';
import { homeReach } from '../db/queries/practice.server';
import { homeOffer } from './home.server';

export const firstOf = (name: string): string => name.trim().split(/\s+/)[0] ?? '';

/**
 * What a phone is given of the plan that its link is for; null where that plan has ended, or where it is for something else. Nothing else of the client or
 * the practice is in it.
 */
export async function homePacket(holder: LinkHolder, now: Date): Promise<HomePacket | null> {
  const { practiceId, clientId, planId } = holder;
  if (!planId) return null;
  const [offer, client, reach, runs, flags] = await Promise.all([
    homeOffer(practiceId, clientId, new Set()),
    findClient(practiceId, clientId),
    homeReach(practiceId, holder),
    runsOfPlan(practiceId, planId),
    openHomeFlags(practiceId, clientId),
  ]);
  const plan = offer?.plans.find((p) => p.id === planId && p.endedAt === null);
  if (!offer || !client || !plan || !reach) return null;
  const steps = plan.steps.map((s) => s.step);
  const first = client.complaints.find((c) => !c.closed);
  const ask = firstOf(reach.by);
  const school = offer.catalogue.schools.get(emptyRoutine('').school)!;
  return {
    practice: reach.practice,
    contact: reach.contact,
    ask,
    firstName: firstOf(client.name),
    zone: reach.zone,
    dates: reach.dates,
    at: now.toISOString(),
    plan: {
      id: plan.id,
      number: plan.number,
      timesADay: plan.timesADay,
      weekdays: plan.weekdays,
      from: plan.from,
      until: plan.until,
      reviewOn: plan.reviewOn,
      routine: { ...emptyRoutine('Home plan'), items: steps },
      most: dailyMost(steps, offer.catalogue.techniques),
    },
    techniques: plan.steps.map(({ step, words }) => ({
      ...offer.catalogue.techniques.get(step.technique)!,
      cue: words,
      clientCue: words,
    })),
    school,
    places: homePlaces(stepsOf({ items: steps }), offer.catalogue),
    complaint: first ? { id: first.id, name: complaintName(first).toLowerCase() } : null,
    runs,
    held: offer.noLonger.length
      ? `Your answers have changed since this plan was made. Ask ${ask} before you go on.`
      : flags.length
        ? askFirst(ask)
        : '',
  };
}

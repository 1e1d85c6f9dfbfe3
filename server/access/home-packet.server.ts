import { stepsOf, emptyRoutine } from '../../core/routine/index';
import { type Client, firstNameOf } from '../../core/record/index';
import { askFirst, dailyMost, type HomePacket, homePlaces, type PacketHead } from '../../core/schedule/index';
import { complaintName } from '../../core/words/index';
import { findClient } from '../db/queries/clients.server';
import { openHomeFlags } from '../db/queries/home-arrivals.server';
import { runsOfPlan } from '../db/queries/home-plans.server';
import type { LinkHolder } from '../db/queries/links.server';
import { openingOfClient } from '../db/queries/readings.server';
import { homeReach } from '../db/queries/practice.server';
import { homeOffer } from './home.server';

/** What the page of a link says of practice and client; null where what it is for is gone. */
export async function packetHead(holder: LinkHolder, client: Pick<Client, 'name'>): Promise<PacketHead | null> {
  const reach = await homeReach(holder.practiceId, holder);
  if (!reach) return null;
  const { by, ...own } = reach;
  return { ...own, ask: firstNameOf(by), firstName: firstNameOf(client.name) };
}

/**
 * What a phone is given of the plan that its link is for; null where that plan has ended, or where it is for something
 * else. Nothing else of the client or the practice is in it.
 */
export async function homePacket(holder: LinkHolder, now: Date): Promise<HomePacket | null> {
  const { practiceId, clientId, planId } = holder;
  if (!planId) return null;
  const [offer, client, runs, flags, jaw] = await Promise.all([
    homeOffer(practiceId, clientId, new Set()),
    findClient(practiceId, clientId),
    runsOfPlan(practiceId, planId),
    openHomeFlags(practiceId, clientId),
    openingOfClient(practiceId, clientId),
  ]);
  const plan = offer?.plans.find((p) => p.id === planId && p.endedAt === null);
  const head = client && (await packetHead(holder, client));
  if (!offer || !client || !plan || !head) return null;
  const steps = plan.steps.map((s) => s.step);
  const first = client.complaints.find((c) => !c.closed);
  const { ask } = head;
  const school = offer.catalogue.schools.get(emptyRoutine('').school)!;
  return {
    ...head,
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
    jaw,
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

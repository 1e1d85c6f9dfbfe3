import { type Caution, readAnswers } from '../../core/limits/index';
import { USUAL_BOOKING_MINUTES } from '../../core/record/index';
import { ASKED_BEFORE_WORK } from '../../core/relief/index';
import { askedBefore, type BeforeItem, type BeforePacket } from '../../core/schedule/index';
import { complaintName } from '../../core/words/index';
import { PLAIN_QUESTIONS } from '../../reference/facts/before-visit';
import { findBooking } from '../db/queries/bookings.server';
import { findClient } from '../db/queries/clients.server';
import type { LinkHolder } from '../db/queries/links.server';
import { cautionsOf, homeReach } from '../db/queries/practice.server';
import { ratedDays, takeSaidBefore } from '../db/queries/said-before.server';
import { firstOf } from './home-packet.server';

/** What a phone is given before a first visit; null where the link is for something else. */
export async function beforePacket(holder: LinkHolder): Promise<BeforePacket | null> {
  const { practiceId, clientId, visitId } = holder;
  if (!visitId) return null;
  const [booking, client, reach, cautions] = await Promise.all([
    findBooking(practiceId, visitId),
    findClient(practiceId, clientId),
    homeReach(practiceId, holder),
    cautionsOf(practiceId),
  ]);
  if (!booking || !client || !reach) return null;
  return {
    practice: reach.practice,
    contact: reach.contact,
    ask: firstOf(reach.by),
    firstName: firstOf(client.name),
    zone: reach.zone,
    dates: reach.dates,
    visit: { id: visitId, startsAt: booking.startsAt, minutes: booking.minutes ?? USUAL_BOOKING_MINUTES },
    complaints: client.complaints
      .filter((c) => !c.closed)
      .map((c) => ({ id: c.id, name: complaintName(c).toLowerCase() })),
    ratedOn: await ratedDays(holder, reach.zone),
    ratingsAsked: ASKED_BEFORE_WORK,
    questions: askedBefore(cautions).map((c) => ({
      key: c.key,
      words: plainWords(c),
      ...(c.after ? { after: c.after } : {}),
      ...(c.sided ? { sided: true as const } : {}),
      isRedFlag: c.group === 'red-flag',
      seeWho: c.group === 'red-flag' ? c.seeWho : '',
    })),
  };
}

/** A rule of the practice is worded by the practice. */
const plainWords = (c: Caution): string => PLAIN_QUESTIONS[c.key] ?? c.question!;

/** Takes what was told. @throws InputError where something is no question that is asked ahead, or no answer to it. */
export async function takeBefore(
  holder: LinkHolder,
  items: readonly BeforeItem[],
  sentAt: Date,
  now: Date,
): Promise<string[]> {
  const asked = askedBefore(await cautionsOf(holder.practiceId));
  for (const item of items) if (item.kind === 'answers') readAnswers(item.answers, asked);
  const redFlags = new Set(asked.filter((c) => c.group === 'red-flag').map((c) => c.key));
  return takeSaidBefore(holder, items, redFlags, sentAt, now);
}

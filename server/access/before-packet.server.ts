import { type Caution, readAnswers } from '../../core/limits/index';
import { USUAL_BOOKING_MINUTES } from '../../core/record/index';
import { ASKED_BEFORE_WORK } from '../../core/relief/index';
import { askedBefore, type BeforeItem, type BeforePacket, dayOf, daysFrom } from '../../core/schedule/index';
import { complaintName } from '../../core/words/index';
import { PLAIN_QUESTIONS } from '../../reference/facts/before-visit';
import { findBooking } from '../db/queries/bookings.server';
import { findClient } from '../db/queries/clients.server';
import type { LinkHolder } from '../db/queries/links.server';
import { cautionsOf } from '../db/queries/practice.server';
import { ratedDays, takeSaidBefore } from '../db/queries/said-before.server';
import { packetHead } from './home-packet.server';

/** What a phone is given before a first visit; null where the link is for something else. */
export async function beforePacket(holder: LinkHolder, now: Date): Promise<BeforePacket | null> {
  const { practiceId, clientId, visitId } = holder;
  if (!visitId) return null;
  const [booking, client, cautions] = await Promise.all([
    findBooking(practiceId, visitId),
    findClient(practiceId, clientId),
    cautionsOf(practiceId),
  ]);
  const head = client && (await packetHead(holder, client));
  if (!booking || !client || !head) return null;
  const ratedOn = await ratedDays(holder, head.zone);
  const today = dayOf(now.toISOString(), head.zone);
  // Today and the day of the visit count in.
  const daysLeft = daysFrom(today, dayOf(booking.startsAt, head.zone)) + 1;
  return {
    ...head,
    visit: { id: visitId, startsAt: booking.startsAt, minutes: booking.minutes ?? USUAL_BOOKING_MINUTES },
    complaints: client.complaints
      .filter((c) => !c.closed)
      .map((c) => ({ id: c.id, name: complaintName(c).toLowerCase() })),
    ratedOn,
    // Booked at short notice, fewer days are left for them.
    ratingsAsked: Math.min(ASKED_BEFORE_WORK, ratedOn.filter((day) => day < today).length + daysLeft),
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

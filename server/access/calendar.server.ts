import { clientCalendar } from '../../core/exchange/index';
import { USUAL_BOOKING_MINUTES } from '../../core/record/index';
import { emptyRoutine, routineSeconds } from '../../core/routine/index';
import { futureBookings } from '../db/queries/bookings.server';
import { homePlansOf } from '../db/queries/home-plans.server';
import { catalogueOf } from '../db/queries/techniques.server';

interface Whose {
  practiceId: string;
  clientId: string;
  practice: string;
  zone: string;
}

/** The plan in force of a client as a calendar file, and with it the visits that stand in the book; null without either. */
export async function calendarOf(
  { practiceId, clientId, practice, zone }: Whose,
  now: Date,
  { visits: withVisits }: { visits: boolean },
): Promise<string | null> {
  const [plans, catalogue, visits] = await Promise.all([
    homePlansOf(practiceId, clientId),
    catalogueOf(practiceId),
    withVisits ? futureBookings(practiceId, clientId, now) : [],
  ]);
  const plan = plans.find((p) => p.endedAt === null);
  if (!plan && !visits.length) return null;
  const steps = plan?.steps.map((s) => s.step) ?? [];
  return clientCalendar(
    {
      practice,
      plan: plan
        ? {
            ...plan,
            clientId,
            minutes: Math.ceil(routineSeconds({ ...emptyRoutine('Home plan'), items: steps }) / 60),
            steps: steps.map((s) => s.label ?? catalogue.techniques.get(s.technique)?.name ?? s.technique),
          }
        : null,
      visits: visits.map((v) => ({ ...v, minutes: v.minutes ?? USUAL_BOOKING_MINUTES })),
    },
    zone,
    now,
  );
}

/** The answer that a browser keeps as a file. */
export const calendarFile = (text: string): Response =>
  new Response(text, {
    headers: {
      'Content-Type': 'text/calendar; charset=utf-8',
      'Content-Disposition': 'attachment; filename="home-plan.ics"',
      'Cache-Control': 'no-store',
    },
  });

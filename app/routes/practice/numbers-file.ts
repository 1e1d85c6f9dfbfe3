import { data } from 'react-router';
import { csvHead, csvRows, NUMBERS_CSV } from '../../../core/exchange';
import { HAND_PARTS } from '../../../core/proposal';
import { numbersOf } from '../../../server/access/numbers.server';
import { permitted } from '../../../server/access/session.server';
import { noteInTrail } from '../../../server/db/queries/audit.server';
import { spanSchema } from '../../schemas/numbers';
import { check } from '../../schemas/read';
import type { Route } from './+types/numbers-file';

/** The work of everybody in a span as a table for spreadsheets. */
export async function loader({ request }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'sums');
  const input = await check(spanSchema, Object.fromEntries(new URL(request.url).searchParams));
  if (!input.ok) throw data({ message: Object.values(input.errors)[0] }, { status: 422 });
  const { people } = await numbersOf(who, input.value.from, input.value.until);
  await noteInTrail(who, 'table-taken-out', { table: 'numbers' });
  const ways = { delimiter: ',', decimal: '.', dates: 'iso', zone: who.timeZone } as const;
  const rows = people.map((p) => ({
    who: p.name,
    visits: p.visits,
    worked_minutes: p.workedMinutes,
    booked_minutes: p.bookedMinutes,
    did_not_come: p.missed,
    cancelled: p.cancelled,
    days_with_runs: p.hands?.days ?? 0,
    days_past_limit: p.hands?.passedDays ?? 0,
    ...(Object.fromEntries(
      HAND_PARTS.map((part) => [`${part}_percent`, p.hands ? Math.round(p.hands.mean[part] * 100) : null]),
    ) as Record<`${(typeof HAND_PARTS)[number]}_percent`, number | null>),
  }));
  return new Response(csvHead(NUMBERS_CSV, ways) + csvRows(NUMBERS_CSV, rows, ways), {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="numbers.csv"',
      'Cache-Control': 'no-store',
    },
  });
}

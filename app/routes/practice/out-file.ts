import { data } from 'react-router';
import {
  CLIENTS_CSV,
  csvHead,
  csvRows,
  READINGS_CSV,
  RUN_STEPS_CSV,
  type CsvTable,
  type CsvWays,
} from '../../../core/exchange';
import { notFound, permitted } from '../../../server/access/session.server';
import { noteInTrail } from '../../../server/db/queries/audit.server';
import { allClients, allReadings, allRunSteps } from '../../../server/db/queries/export.server';
import { csvWaysSchema } from '../../schemas/csv-ways';
import { check } from '../../schemas/read';
import type { Route } from './+types/out-file';

/** Writes page by page: whatever lies in a practice, a few rows of it are held at a time. */
const written = <Row extends object>(table: CsvTable<Row>, pages: AsyncGenerator<Row[]>, ways: CsvWays) => {
  const text = new TextEncoder();
  return new ReadableStream<Uint8Array>({
    start: (controller) => controller.enqueue(text.encode(csvHead(table, ways))),
    async pull(controller) {
      const { done, value } = await pages.next();
      if (done) return controller.close();
      controller.enqueue(text.encode(csvRows(table, value, ways)));
    },
    cancel: async () => void (await pages.return(undefined)),
  });
};

const TABLES: Readonly<Record<string, (practiceId: string, ways: CsvWays) => ReadableStream<Uint8Array>>> = {
  readings: (practiceId, ways) => written(READINGS_CSV, allReadings(practiceId), ways),
  clients: (practiceId, ways) => written(CLIENTS_CSV, allClients(practiceId), ways),
  'run-steps': (practiceId, ways) => written(RUN_STEPS_CSV, allRunSteps(practiceId), ways),
};

/** A table of the practice as a file for spreadsheets, written in the way that was asked for. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'records');
  const make = Object.hasOwn(TABLES, params.what) ? TABLES[params.what] : undefined;
  if (!make) notFound('table');
  const input = await check(csvWaysSchema, Object.fromEntries(new URL(request.url).searchParams));
  if (!input.ok) throw data({ message: Object.values(input.errors)[0] }, { status: 422 });
  await noteInTrail(who, 'table-taken-out', { table: params.what });
  return new Response(make(who.practiceId, { ...input.value, zone: who.timeZone }), {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': `attachment; filename="${params.what}.csv"`,
      'Cache-Control': 'no-store',
    },
  });
}

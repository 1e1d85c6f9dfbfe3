import {
  allergiesOf,
  complaintInRow,
  type CsvNames,
  CsvReader,
  type CsvTable,
  type CsvWays,
  INCOMING_CLIENTS,
  INCOMING_READINGS,
  type IncomingClient,
  type IncomingReading,
  KnownPeople,
  personInRow,
  resolveReading,
  RowNotTaken,
  sameName,
} from '../../core/exchange/index';
import type { Transaction } from 'sequelize';
import { v5 } from 'uuid';
import { MUSCLES } from '../../reference/facts/muscles/index';
import type { Member } from '../db/queries/accounts.server';
import { allOrNothing, judgeLater } from '../db/queries/bring-practice.server';
import {
  addReadings,
  changeReadings,
  clientWords,
  type ClientWords,
  complaintWords,
  type ComplaintWords,
  knownPeople,
  readingsBeside,
  type ReadingToBring,
  writeClient,
  writeComplaint,
} from '../db/queries/bring-table.server';
import { type Bringing, type Brought, BroughtTally } from './brought';
import { judgeAnew } from './judge-anew.server';

const muscles = new Set(MUSCLES.map((m) => m.id));

/** A table that somebody brings, as it comes. */
export interface BroughtTable {
  /** Text of the file, some at a time. */
  text: AsyncIterable<string>;
  ways: CsvWays;
  names: CsvNames;
}

/** Every piece of a table as rows, with those that cannot be read told to the tally. */
async function* piecesOf<Row extends object>(
  kind: string,
  table: CsvTable<Row>,
  { text, ways, names }: BroughtTable,
  tally: BroughtTally,
  { signal, progress }: Bringing,
): AsyncGenerator<{ line: number; row: Row }[]> {
  const reader = new CsvReader(table, ways, names);
  let letters = 0;
  const taken = (part: ReturnType<typeof reader.push>) => {
    for (const refusal of part.refused) tally.refuse(kind, { file: '', ...refusal });
    return part.rows;
  };
  for await (const part of text) {
    signal.throwIfAborted();
    yield taken(reader.push(part));
    progress((letters += part.length));
  }
  yield taken(reader.end());
}

/** Runs the work on one row; what it does not take is told with its line. */
async function orTold(
  kind: string,
  line: number,
  tally: BroughtTally,
  work: () => Promise<void> | void,
): Promise<void> {
  try {
    await work();
  } catch (error) {
    if (!(error instanceof RowNotTaken)) throw error;
    tally.refuse(kind, { file: '', line, ...error.told });
  }
}

/**
 * Brings a table of ratings and measures in: all of it that can be taken, or only a look. A row without an id gets one
 * from what it says, so that a second time nothing changes.
 */
export async function bringReadings(who: Member, table: BroughtTable, bringing: Bringing, now: Date): Promise<Brought> {
  const { practiceId } = who;
  const tally = new BroughtTally();
  const here = (id: string) => v5(id, practiceId);
  const count = tally.of('readings');
  const touched = new Set<string>();

  const take = async (batch: { line: number; reading: ReadingToBring }[], transaction: Transaction) => {
    const beside = await readingsBeside(
      practiceId,
      batch.map((b) => b.reading),
      transaction,
    );
    const refuse = (i: number, field: string, value: string, accepted: string) =>
      tally.refuse('readings', { file: '', line: batch[i]!.line, field, value, accepted });
    const [coming, changing]: [number[], number[]] = [[], []];
    const seen = new Set<string>();
    for (const [i, { reading }] of batch.entries()) {
      const { here: isHere, other, same, visit } = beside[i]!;
      if (seen.has(reading.id)) refuse(i, 'id', reading.id, 'each reading once');
      else if (!isHere && reading.visit_id)
        refuse(i, 'visit_id', reading.visit_id, 'nothing: what a visit holds comes with the archive of a practice');
      else if (!isHere) coming.push(i);
      else if (other) refuse(i, 'id', reading.id, 'the id of a reading of the same client and measure');
      else if (same) count.same++;
      else if (visit) refuse(i, 'value', String(reading.value), 'what the visit holds; it is corrected in its record');
      else changing.push(i);
      seen.add(reading.id);
    }
    const readings = (of: number[]) => of.map((i) => batch[i]!.reading);
    const came = coming.length ? await addReadings(who, readings(coming), transaction) : new Set<string>();
    for (const i of coming)
      if (came.has(batch[i]!.reading.id)) count.new++;
      else refuse(i, 'id', batch[i]!.reading.id, 'an id that nothing else has');
    if (changing.length) await changeReadings(practiceId, readings(changing), transaction);
    for (const i of changing) {
      const { line, reading } = batch[i]!;
      count.changed++;
      tally.change({
        line,
        name: reading.measure,
        field: 'value',
        was: beside[i]!.was ?? '',
        becomes: String(reading.value),
      });
    }
    for (const i of [...coming, ...changing]) {
      const { complaint_id } = batch[i]!.reading;
      if (complaint_id) touched.add(complaint_id);
    }
  };

  const brought = await allOrNothing(who, bringing.keeps, 'table-brought', async (transaction) => {
    const people = new KnownPeople(await knownPeople(practiceId, transaction));
    for await (const rows of piecesOf<IncomingReading>('readings', INCOMING_READINGS, table, tally, bringing)) {
      const batch: { line: number; reading: ReadingToBring }[] = [];
      for (const { line, row } of rows)
        await orTold('readings', line, tally, () => {
          const known = { here, muscle: (id: string) => muscles.has(id), now };
          const { id, ...reading } = resolveReading(row, people, known);
          const { client_id, complaint_id, measure, place, side, phase, taken_at } = reading;
          const said = [client_id, complaint_id, measure, place, side, phase, taken_at].join(' ');
          batch.push({ line, reading: { ...reading, id: id ?? v5(`reading ${said}`, practiceId) } });
        });
      if (batch.length) await take(batch, transaction);
    }
    await judgeLater(practiceId, [...touched], transaction);
    bringing.signal.throwIfAborted();
    return { seen: tally.brought, about: { table: 'readings', rows: tally.rows } };
  });
  if (bringing.keeps) await judgeAnew(practiceId, (done) => bringing.judging?.(done, touched.size));
  return brought;
}

/** Brings a table of clients with their complaints in; an empty cell leaves what is here as it is. */
export async function bringClients(who: Member, table: BroughtTable, bringing: Bringing): Promise<Brought> {
  const { practiceId } = who;
  const tally = new BroughtTally();
  const here = (id: string) => v5(id, practiceId);
  const count = tally.of('clients');

  /** What is said anew of words that are here; told where it is something else. */
  const anew = <W extends object>(
    was: W,
    said: Partial<W>,
    line: number,
    name: string,
  ): { words: W; differs: boolean } => {
    const words = { ...was };
    let differs = false;
    for (const [field, value] of Object.entries(said) as [keyof W & string, W[keyof W & string]][]) {
      if (value === '' || (Array.isArray(value) && !value.length)) continue;
      if (JSON.stringify(was[field]) === JSON.stringify(value)) continue;
      words[field] = value;
      differs = true;
      tally.change({ line, name, field, was: String(was[field]), becomes: String(value) });
    }
    return { words, differs };
  };

  return allOrNothing(who, bringing.keeps, 'table-brought', async (transaction) => {
    const people = new KnownPeople(await knownPeople(practiceId, transaction));
    const one = async (line: number, row: IncomingClient) => {
      const person = personInRow(row, people, here);
      const id = person?.id ?? (row.client_id ? here(row.client_id) : v5(`client ${sameName(row.name)}`, practiceId));
      const allergies = allergiesOf(row);
      const { name, about, email, note } = row;
      let fate: 'new' | 'same' | 'changed' = person ? 'same' : 'new';
      if (person) {
        const was: ClientWords = await clientWords(practiceId, id, transaction);
        const { words, differs } = anew(was, { name, about, email, note, allergies }, line, was.name);
        if (differs) {
          await writeClient(practiceId, id, words, transaction);
          fate = 'changed';
        }
      } else await writeClient(practiceId, id, { name, about, email, note, allergies }, transaction);
      const known = person ?? { id, name, complaints: [] };
      if (!person) people.add(known);
      if (row.complaint) {
        const complaint = complaintInRow(row, known, here);
        const said = { called: row.called, since: row.since, set_off_by: row.set_off_by, goal: row.goal };
        if (complaint) {
          const was: ComplaintWords = await complaintWords(practiceId, complaint.id, transaction);
          const { words, differs } = anew(was, { ...said, ...(row.side ? { side: row.side } : {}) }, line, name);
          if (differs)
            await writeComplaint(
              practiceId,
              { id: complaint.id, clientId: id, kind: complaint.kind },
              words,
              transaction,
            );
          if (differs && fate === 'same') fate = 'changed';
        } else {
          const made = {
            id: row.complaint_id
              ? here(row.complaint_id)
              : v5(`complaint ${id} ${row.complaint} ${sameName(row.called)}`, practiceId),
            kind: row.complaint,
            label: row.called,
            side: row.side ?? ('both' as const),
            closed: false,
          };
          await writeComplaint(practiceId, { ...made, clientId: id }, { ...said, side: made.side }, transaction);
          known.complaints.push(made);
          if (fate === 'same') fate = 'changed';
          if (person) tally.change({ line, name, field: 'complaint', was: '', becomes: row.called || row.complaint });
        }
      }
      count[fate]++;
    };
    for await (const rows of piecesOf<IncomingClient>('clients', INCOMING_CLIENTS, table, tally, bringing))
      for (const { line, row } of rows) await orTold('clients', line, tally, () => one(line, row));
    bringing.signal.throwIfAborted();
    return { seen: tally.brought, about: { table: 'clients', rows: tally.rows } };
  });
}

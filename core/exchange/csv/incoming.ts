import { checkedReading, MEASURES } from '../../measures/index.ts';
import type { Complaint } from '../../record/index.ts';
import { COMPLAINT_NAMES, InputError, REGIONS, type Side, SIDES } from '../../words/index.ts';
import { CellRefused, idCell, oneOfCell, optional, textCell } from './cells.ts';
import type { CsvTable } from './table.ts';
import { CLIENTS_CSV, type CsvClient, type CsvReading, READINGS_CSV } from './tables.ts';

/** A rating or a measure as somebody else’s table has it: who it is of may be told by name alone. */
export interface IncomingReading extends Omit<CsvReading, 'id' | 'client_id' | 'side'> {
  id: string | null;
  client_id: string | null;
  side: Side | null;
}
export const INCOMING_READINGS: CsvTable<IncomingReading> = {
  ...READINGS_CSV,
  id: optional(idCell),
  client_id: optional(idCell),
  side: optional(oneOfCell(SIDES)),
};
/** A client with a complaint, the same. */
export interface IncomingClient extends Omit<CsvClient, 'client_id'> {
  client_id: string | null;
}
export const INCOMING_CLIENTS: CsvTable<IncomingClient> = {
  ...CLIENTS_CSV,
  client_id: optional(idCell),
  // Nobody comes in without a name.
  name: {
    ...textCell(120),
    accepted: () => 'a name of at most 120 characters',
    read(text, ways) {
      const name = textCell(120).read(text, ways).trim();
      if (!name) throw new CellRefused();
      return name;
    },
  },
};
/** Somebody of the practice, as far as a table tells people apart. */
export interface KnownPerson {
  id: string;
  name: string;
  complaints: Pick<Complaint, 'id' | 'kind' | 'label' | 'side' | 'closed'>[];
}
/** Everybody of the practice, by id and by name in small letters. */
export class KnownPeople {
  private readonly byId = new Map<string, KnownPerson>();
  private readonly byName = new Map<string, KnownPerson[]>();
  constructor(people: Iterable<KnownPerson>) {
    for (const person of people) this.add(person);
  }
  add(person: KnownPerson): void {
    this.byId.set(person.id, person);
    const key = sameName(person.name);
    this.byName.set(key, [...(this.byName.get(key) ?? []), person]);
  }
  withId = (id: string): KnownPerson | undefined => this.byId.get(id);
  called = (name: string): readonly KnownPerson[] => this.byName.get(sameName(name)) ?? [];
}
/** As people write a name: with other capitals, with spaces around and between. */
export const sameName = (name: string): string => name.trim().replace(/\s+/g, ' ').toLowerCase();

/** Why a row is not taken. */
export interface NotTaken {
  field: string;
  value: string;
  accepted: string;
}
export class RowNotTaken extends Error {
  readonly told: NotTaken;
  constructor(field: string, value: string, accepted: string) {
    super(`${field}: ${accepted}`);
    this.told = { field, value, accepted };
  }
}

function personOf(row: { client_id: string | null }, name: string, people: KnownPeople, here: (id: string) => string) {
  if (row.client_id) {
    const person = people.withId(row.client_id) ?? people.withId(here(row.client_id));
    if (!person) throw new RowNotTaken('client_id', row.client_id, 'a client of this practice');
    return person;
  }
  const [person, second] = people.called(name);
  if (!person) throw new RowNotTaken('client', name, 'a client of this practice, as the name stands here');
  if (second) throw new RowNotTaken('client', name, 'a name that one client alone has, or the id');
  return person;
}

function complaintOf(row: IncomingReading, person: KnownPerson, here: (id: string) => string) {
  if (row.complaint_id) {
    const found = person.complaints.find((k) => k.id === row.complaint_id || k.id === here(row.complaint_id!));
    if (!found) throw new RowNotTaken('complaint_id', row.complaint_id, 'a complaint of this client');
    return found;
  }
  const said = sameName(row.complaint);
  const found = person.complaints.filter((k) =>
    said ? [k.kind, k.label, COMPLAINT_NAMES[k.kind]].some((w) => sameName(w) === said) : !k.closed,
  );
  if (found.length !== 1)
    throw new RowNotTaken(
      'complaint',
      row.complaint,
      `one complaint of this client: ${person.complaints.map((k) => k.label || k.kind).join(', ') || 'there is none'}`,
    );
  return found[0]!;
}

/** A reading that belongs to somebody of the practice. */
export type ResolvedReading = Omit<CsvReading, 'id' | 'client' | 'complaint'> & { id: string | null };

/**
 * Whose a row is, of which complaint, and whether the measure takes its value there.
 * @param here What an id of another practice is here.
 * @throws RowNotTaken
 */
export function resolveReading(
  row: IncomingReading,
  people: KnownPeople,
  { here, muscle, now }: { here: (id: string) => string; muscle: (id: string) => boolean; now: Date },
): ResolvedReading {
  const person = personOf(row, row.client, people, here);
  const { belongs } = MEASURES[row.measure];
  const complaint = belongs === 'complaint' ? complaintOf(row, person, here) : null;
  if (!complaint && (row.complaint_id || row.complaint.trim()))
    throw new RowNotTaken(
      'complaint',
      row.complaint || row.complaint_id!,
      `nothing: ${row.measure} is of no complaint`,
    );
  const side = row.side ?? complaint?.side ?? (belongs === 'client' ? 'midline' : null);
  if (!side || ((belongs === 'muscle' || belongs === 'side') && side !== 'left' && side !== 'right'))
    throw new RowNotTaken('side', row.side ?? '', 'the client’s left or right');
  const takesPlace = belongs === 'muscle' ? muscle(row.place) : belongs === 'region' ? isRegion(row.place) : !row.place;
  if (!takesPlace)
    throw new RowNotTaken(
      'place',
      row.place,
      belongs === 'muscle' ? 'the id of a muscle' : belongs === 'region' ? 'the id of a region' : 'nothing',
    );
  try {
    checkedReading(row.measure, row.value);
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    throw new RowNotTaken(
      'value',
      String(row.value),
      error.message.slice('value: '.length).replace(/ is accepted$/, ''),
    );
  }
  if (Date.parse(row.taken_at) > now.getTime())
    throw new RowNotTaken('taken_at', row.taken_at, 'a moment that has been');
  if (row.phase !== 'between' && !row.visit_id)
    throw new RowNotTaken('phase', row.phase, 'between, where no visit is named');
  const { client: _client, complaint: _complaint, ...rest } = row;
  return { ...rest, client_id: person.id, complaint_id: complaint?.id ?? null, side };
}
const isRegion = (place: string): boolean => (REGIONS as readonly string[]).includes(place);

/** Who a row of clients is of, where somebody here is meant. @throws RowNotTaken where two are. */
export function personInRow(
  row: IncomingClient,
  people: KnownPeople,
  here: (id: string) => string,
): KnownPerson | null {
  if (row.client_id) return people.withId(row.client_id) ?? people.withId(here(row.client_id)) ?? null;
  const [person, second] = people.called(row.name);
  if (second) throw new RowNotTaken('name', row.name, 'a name that one client alone has, or the id');
  return person ?? null;
}

/** Which complaint of somebody a row tells of; null where it is a further one. @throws RowNotTaken */
export function complaintInRow(
  row: IncomingClient,
  person: KnownPerson,
  here: (id: string) => string,
): KnownPerson['complaints'][number] | null {
  if (!row.complaint) return null;
  const byId = row.complaint_id
    ? person.complaints.find((k) => k.id === row.complaint_id || k.id === here(row.complaint_id!))
    : undefined;
  return (
    byId ??
    person.complaints.find(
      (k) => k.kind === row.complaint && sameName(k.label) === sameName(row.called) && !k.closed,
    ) ??
    null
  );
}

/** Words of a cell as a list. @throws RowNotTaken */
export function allergiesOf(row: IncomingClient): string[] {
  const list = row.allergies
    .split(',')
    .map((a) => a.trim())
    .filter(Boolean);
  if (list.length > 40 || list.some((a) => a.length > 80))
    throw new RowNotTaken(
      'allergies',
      row.allergies,
      'at most 40 words, each of at most 80 characters, with commas between',
    );
  return list;
}

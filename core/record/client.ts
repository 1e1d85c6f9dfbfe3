import type { ClientMeasures } from '../atlas/index.ts';
import type { ComplaintKind, Pressure, Side } from '../words/index.ts';
import type { HabitSides } from './habit-sides.ts';

/** What a client comes with. */
export interface Complaint {
  id: string;
  kind: ComplaintKind;
  label: string;
  side: Side;
  onset: string;
  triggers: string;
  goal: string;
  closed: boolean;
}

/** A client as the practice keeps them. */
export interface Client {
  id: string;
  name: string;
  about: string;
  note: string;
  pressureCap: Pressure | null;
  fingerWidthsMm: number[] | null;
  habitSides: HabitSides;
  allergies: string[];
  version: number;
  complaints: Complaint[];
}

/** Measures of a client's face and hand, as taken on one day. */
export interface TakenMeasures {
  id: string;
  /** yyyy-mm-dd */
  takenOn: string;
  valuesMm: ClientMeasures;
}

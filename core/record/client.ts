import type { ClientMeasures } from '../atlas/index.ts';
import type { ComplaintKind, Pressure, Side } from '../words/index.ts';
import type { HabitSides } from './habit-sides.ts';

/** What a client comes with. */
export interface Complaint {
  /** Of its record. */
  id: string;
  /** What it is. */
  kind: ComplaintKind;
  /** Own name; empty when the kind says it. */
  label: string;
  /** The client’s. */
  side: Side;
  /** Since when, in words. */
  onset: string;
  /** What sets it off, in words. */
  triggers: string;
  /** What the client wants, in words. */
  goal: string;
  /** No longer worked on. */
  closed: boolean;
}

/** A client as the practice keeps them. */
export interface Client {
  /** Of the record. */
  id: string;
  /** As the practice calls them. */
  name: string;
  /** What tells them apart: seat, trade, how they came. */
  about: string;
  /** Where reminders go, with consent; empty where none was given. */
  email: string;
  /** Free words. */
  note: string;
  /** The most pressure anywhere; null when not capped. */
  pressureCap: Pressure | null;
  /** Own finger widths, index first, in mm; null when not measured. */
  fingerWidthsMm: number[] | null;
  /** Sides of chewing, hand, instrument and desk. */
  habitSides: HabitSides;
  /** What the skin reacts to, in the client’s words. */
  allergies: string[];
  /** Grows with every change. */
  version: number;
  /** In the order in which they were told. */
  complaints: Complaint[];
}

/** Measures of a client's face and hand, as taken on one day. */
export interface TakenMeasures {
  /** Of the record. */
  id: string;
  /** yyyy-mm-dd */
  takenOn: string;
  /** By measure, in mm. */
  valuesMm: ClientMeasures;
}

/** How a list of clients can be sorted. */
export const CLIENT_SORTS = ['name', 'last', 'visits'] as const;
export type ClientSort = (typeof CLIENT_SORTS)[number];

/** What somebody is called by where no more may be told. */
export const firstNameOf = (name: string): string => name.trim().split(/\s+/)[0] ?? '';

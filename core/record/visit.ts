import type { Answers } from '../limits/index.ts';
import type { Routine } from '../routine/index.ts';
import type { OneSide } from '../words/index.ts';
import type { Findings } from './findings.ts';

/** The five stages in the order of the work, and the three ways in which a visit ends. */
export const STAGES = ['screen', 'assess', 'compose', 'guide', 'record'] as const;
export type Stage = (typeof STAGES)[number];
export type VisitStage = Stage | 'done' | 'stopped' | 'postponed' | 'cancelled' | 'missed';
export const STAGE_NAMES: Record<VisitStage, string> = {
  screen: 'Screen',
  assess: 'Assess',
  compose: 'Compose',
  guide: 'Guide',
  record: 'Record',
  done: 'Done',
  stopped: 'Stopped, referred',
  postponed: 'Postponed',
  cancelled: 'Cancelled',
  missed: 'Did not come',
};

export const VISIT_STAGES = Object.keys(STAGE_NAMES) as VisitStage[];

const ENDS: ReadonlySet<VisitStage> = new Set<VisitStage>(['done', 'stopped', 'postponed', 'cancelled', 'missed']);
/** A visit that has ended takes no more entries; what was recorded in it can be corrected. */
export const hasEnded = (stage: VisitStage): boolean => ENDS.has(stage);

/** True once the visit's time has come or somebody has worked in it. */
export const hasBegun = (visit: { stage: VisitStage; startsAt: string }, nowIso: string): boolean =>
  visit.startsAt <= nowIso || visit.stage !== 'screen';

/** 0 screen … 4 record; a finished visit stands after the last, one that ended otherwise at the first. */
export const stageIndex = (stage: VisitStage): number =>
  stage === 'done' ? STAGES.length : hasEnded(stage) ? 0 : STAGES.indexOf(stage as Stage);

export interface Screen {
  /** By key of the caution. */
  answers: Answers;
  /** Keys of the preparation list that are done. */
  preparation: string[];
  /** Id of the practice's product that is used; absent when none was chosen. */
  product?: string;
}
export const EMPTY_SCREEN: Screen = { answers: {}, preparation: [] };

export const REACTIONS = [
  'warmth',
  'redness',
  'sore-spot',
  'ache-moved',
  'light-headed',
  'tears',
  'cramps',
  'sleepy',
  'none',
] as const;
export type Reaction = (typeof REACTIONS)[number];
export const REACTION_NAMES: Record<Reaction, string> = {
  warmth: 'Warmth',
  redness: 'Redness',
  'sore-spot': 'Sore spot',
  'ache-moved': 'Ache that moved',
  sleepy: 'Sleepy',
  'light-headed': 'Dizzy, light-headed',
  tears: 'Tears',
  cramps: 'Cramps',
  none: 'Nothing to note',
};

export interface VisitRecord {
  /** What was seen right after. */
  reactions: Reaction[];
  /** Where a reaction was, as far as it was pointed to: id of a muscle, the client’s side. */
  where: { reaction: Reaction; muscle: string; side: OneSide }[];
  /** Free words. */
  note: string;
  /** What was used, in words. */
  product: string;
  /** What to tell the client at the next visit. */
  tellNext: string;
  /** Calendar days, YYYY-MM-DD, in the practice's zone; empty when not agreed. */
  nextOn: string;
  /** The same for the review. */
  reviewOn: string;
}
export const EMPTY_RECORD: VisitRecord = {
  reactions: [],
  where: [],
  note: '',
  product: '',
  tellNext: '',
  nextOn: '',
  reviewOn: '',
};
/** A stored record; earlier ones did not say where, nor what to tell next time. */
export const readRecord = (stored: Partial<VisitRecord>): VisitRecord => ({ ...EMPTY_RECORD, ...stored });

export interface Referral {
  /** Keys of the cautions that stopped the visit. */
  cautions: string[];
  /** As it was told. */
  seeWho: string;
  /** What came of it; null while not known. */
  outcome: string | null;
  /** Calendar day of the outcome. */
  outcomeOn: string | null;
}

/** Which of the practice's routines a visit's own one was copied from, and as what it stood then. */
export interface RoutineOrigin {
  /** Of the record. */
  template: string;
  /** Its version when it was copied, or when its later changes were last gone through. */
  version: number;
}

/** A visit as it is kept. */
export interface Visit {
  /** Of the record. */
  id: string;
  /** Whose. */
  clientId: string;
  /** Who works. */
  practitionerId: string;
  /** ISO 8601. */
  startsAt: string;
  /** How far it has come. */
  stage: VisitStage;
  /** Answers and preparation. */
  screen: Screen;
  /** How long it was booked for; null where nobody said. */
  bookedMinutes: number | null;
  /** Null until one is composed. */
  routine: Routine | null;
  /** Null where it was composed from nothing. */
  origin: RoutineOrigin | null;
  /** Null until something is recorded. */
  record: VisitRecord | null;
  /** What Assess found that is no number. */
  findings: Findings;
  /** Null unless it was stopped. */
  referral: Referral | null;
  /** ISO 8601; null while it goes on. */
  endedAt: string | null;
  /** Grows with every write. */
  version: number;
}

/** A review agreed at a client's latest finished visit. */
export interface ReviewDue {
  /** Visit at which it was agreed. */
  visitId: string;
  /** Whose. */
  clientId: string;
  /** Whose. */
  clientName: string;
  /** YYYY-MM-DD */
  reviewOn: string;
}

/** A visit that ended in a referral whose outcome nobody has noted. */
export interface OpenReferral {
  /** Visit that was stopped. */
  visitId: string;
  /** Whose. */
  clientId: string;
  /** Whose. */
  clientName: string;
  /** ISO 8601. */
  startsAt: string;
  /** To whom, and why. */
  referral: Referral;
}

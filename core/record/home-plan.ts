import type { Step } from '../routine/index.ts';
import type { TechniqueTool } from '../words/index.ts';

/** A plan as it is kept; the rhythm and its rules are in `core/schedule`. */
export interface KeptHomePlan {
  id: string;
  /** Counted from the client’s first. */
  number: number;
  steps: { step: Step; words: string }[];
  timesADay: number;
  weekdays: number[];
  from: string;
  until: string;
  reviewOn: string;
  /** Tools that the client has and was shown. */
  shown: TechniqueTool[];
  by: string;
  /** ISO 8601. */
  madeAt: string;
  /** Null while it is in force. */
  endedAt: string | null;
  /** Day of each run of it. */
  runDays: string[];
}

/** How it felt at home. */
export const FELT = ['warm', 'looser', 'nothing', 'sore-after', 'ache-moved'] as const;
export type Felt = (typeof FELT)[number];

/** A yes from home, or a run that was stopped for more than time, that nobody in the practice has seen to. */
export interface HomeFlag {
  id: string;
  clientId: string;
  clientName: string;
  /** Keys of questions, or in words why a run was stopped. */
  yes: string[];
  /** ISO 8601. */
  at: string;
}

/** What was done at home that somebody should look at. */
export type HomeLook = { clientId: string; clientName: string } & (
  { kind: 'silent'; days: number } | { kind: 'felt'; felt: Felt; times: number }
);

/** One run at home, as it is told. */
export interface HomeRunTold {
  id: string;
  /** ISO 8601. */
  at: string;
  /** As one of those that were planned. */
  counts: boolean;
  /** Why; null where it was done. */
  stopped: string | null;
  before: number | null;
  after: number | null;
  felt: Felt[];
  note: string;
}

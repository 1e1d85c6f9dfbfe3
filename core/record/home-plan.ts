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

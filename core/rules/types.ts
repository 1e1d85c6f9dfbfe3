import type { Breach, Screening } from '../limits/index.ts';
import type { Catalogue, Cue, Routine, Step, Technique, Totals } from '../routine/index.ts';
import type { Contact, Pressure } from '../words/index.ts';

/** stop: may not stay as it is. warn: looks wrong, may be intended. hint: worth knowing. */
export type RuleSeverity = 'stop' | 'warn' | 'hint';

/** A change the program can make by itself. */
export type FixAction =
  | { do: 'set-pressure'; stepId: string; pressure: Pressure }
  | { do: 'set-contact'; stepId: string; contact: Contact }
  | { do: 'insert'; technique: string; at: number }
  | { do: 'move'; stepId: string; to: number }
  | { do: 'remove'; stepId: string }
  | { do: 'each-side'; stepId: string }
  | { do: 'even-sides' }
  | { do: 'mirror-drainage' }
  | { do: 'drop-place'; stepId: string }
  | { do: 'shorten-to-budget' };

export interface Finding {
  rule: string;
  severity: RuleSeverity;
  /** Steps it is about, in order. */
  stepIds: string[];
  /** What is wrong, with the figures. */
  title: string;
  /** Why it matters, plainly. */
  reason: string;
  fix: { label: string; action: FixAction } | null;
}

/** One step with what is known about its technique. */
export interface Placed {
  step: Step;
  technique: Technique;
  index: number;
}

interface RuleContext {
  routine: Routine;
  steps: readonly Placed[];
  cues: readonly Cue[];
  totals: Totals;
  screening: Screening | null;
  /** What each step runs into, by its index; worked out once for all rules. */
  breaches: readonly (readonly Breach[])[];
  catalogue: Catalogue;
}

/** A rule as data: its id, why it is there, and a check that walks the steps once. */
export interface Rule {
  id: string;
  severity: RuleSeverity;
  reason: string;
  source: string;
  check: (context: RuleContext) => Omit<Finding, 'rule' | 'severity' | 'reason'>[];
}

export const nameOf = ({ step, technique }: Placed): string => step.label ?? technique.name;

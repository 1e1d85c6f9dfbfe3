import type { Breach, Screening } from '../limits/index.ts';
import type { Catalogue, Cue, OrderProfile, Routine, Step, Technique, Totals } from '../routine/index.ts';
import type { Contact, OneSide, Pressure, Role } from '../words/index.ts';
import type { RuleSeverity } from './rule.ts';

/** A change the program can make by itself. */
export type FixAction =
  | { do: 'set-pressure'; stepId: string; pressure: Pressure }
  | { do: 'set-contact'; stepId: string; contact: Contact }
  | { do: 'insert'; role: Role; at: number }
  | { do: 'move'; stepId: string; to: number }
  | { do: 'remove'; stepId: string }
  | { do: 'each-side'; stepId: string }
  | { do: 'one-side'; stepId: string; side: OneSide }
  | { do: 'even-sides' }
  | { do: 'mirror-drainage' }
  | { do: 'drop-place'; stepId: string }
  | { do: 'shorten-to-budget' };

/** What a rule has to say about a routine. */
export interface RuleFinding {
  /** Id of the rule. */
  rule: string;
  /** How far it goes. */
  severity: RuleSeverity;
  /** Steps it is about, in order. */
  stepIds: string[];
  /** What is wrong, with the figures. */
  title: string;
  /** Why it matters, plainly. */
  reason: string;
  /** A change the program can make; null when there is none. */
  fix: { label: string; action: FixAction } | null;
}

/** What one kind of rule says: the rest comes from the row. */
export type Said = Pick<RuleFinding, 'stepIds' | 'title' | 'fix'>;

/** One step with what is known about its technique. */
export interface Placed {
  /** As it stands in the routine. */
  step: Step;
  /** Its row. */
  technique: Technique;
  /** Among all steps of the routine. */
  index: number;
}

/** Everything a rule may look at, worked out once for all of them. */
export interface RuleContext {
  /** As it is held against the rules. */
  routine: Routine;
  /** As the school of the routine and its own departure from it say. */
  order: OrderProfile;
  /** All steps with their techniques. */
  steps: readonly Placed[];
  /** The routine expanded. */
  cues: readonly Cue[];
  /** Read off the cues. */
  totals: Totals;
  /** Null where nobody was screened. */
  screening: Screening | null;
  /** What each step runs into, by its index. */
  breaches: readonly (readonly Breach[])[];
  /** Techniques, places and schools. */
  catalogue: Catalogue;
}

export const nameOf = ({ step, technique }: Placed): string => step.label ?? technique.name;

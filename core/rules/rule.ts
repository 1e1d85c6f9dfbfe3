import type { OrderProfile } from '../routine/index.ts';
import type { Contact, Motion, Phase, Pressure, Region, Role } from '../words/index.ts';

/** stop: may not stay as it is. warn: looks wrong, may be intended. hint: worth knowing. */
export type RuleSeverity = 'stop' | 'warn' | 'hint';

/**
 * Which steps a rule speaks of: all that is named has to hold. Lists mean "any of". No rule names a technique or a
 * place by its id; what a technique is for is its role.
 */
export interface Selector {
  /** In any of these phases. */
  phase?: readonly Phase[];
  /** In none of these phases. */
  notPhase?: readonly Phase[];
  /** Regions that the step touches. */
  region?: readonly Region[];
  /** Regions that only the technique names: a path may wander further. */
  works?: readonly Region[];
  /** Regions that the technique must not name. */
  worksNot?: readonly Region[];
  /** With this role. */
  role?: Role;
  /** Without this role. */
  notRole?: Role;
  /** Any of these motions. */
  motion?: readonly Motion[];
  /** Any of these contacts. */
  contact?: readonly Contact[];
  /** Harder of the two pressures: at least so hard; at most so hard. Steps without pressure never match the first. */
  pressureFrom?: Pressure;
  /** At most so hard. */
  pressureTo?: Pressure;
  /** Both sides at once. */
  bothSides?: true;
  /** The technique wants oil or cream before it. */
  wantsOil?: true;
}

/** When a rule holds: where schools differ, only under one setting of the order. */
type When = { [K in keyof OrderProfile]: { setting: K; is: OrderProfile[K] } }[keyof OrderProfile];

interface Common {
  id: string;
  severity: RuleSeverity;
  /** Why it matters, plainly. */
  reason: string;
  /** Where it comes from, with what is common practice or our choice said as such. */
  source: string;
  /** null = always. */
  when: When | null;
}

/** Pressure at most so hard; `own` is the most of the technique itself. */
export interface CapRule extends Common {
  /** A cap. */
  kind: 'cap';
  /** Steps it speaks of. */
  of: Selector;
  /** Hardest that is free. */
  most: Pressure | 'own';
  /** What takes no more: "the side of the neck". */
  where: string;
}

/** What is never touched: places that are kept off, or both sides of something at once. */
export interface KeepOffRule extends Common {
  /** Something never touched. */
  kind: 'keep-off';
  /** Places that are kept off, or both sides at once. */
  what: 'places' | 'both-sides';
  /** Steps it speaks of. */
  of: Selector;
}

/** What has to come before or after what. */
export interface PrecedenceRule extends Common {
  /** An order. */
  kind: 'precedence';
  /**
   * first: no `these` after the first `those` (they are moved before it). before: some `these` before the first
   * `those`. after: some `these` after the last `those`.
   */
  form: 'first' | 'before' | 'after';
  /** What comes first, before or after. */
  these: Selector;
  /** What it is held against. */
  those: Selector;
  /** Compared only on what is the same: a muscle of the technique, or a muscle or region. */
  same: 'muscle' | 'place' | null;
  /** What is added where nothing of the kind is there; or the pressure that `those` get. */
  mend: { insert: Role } | { pressure: Pressure } | null;
  /** What is said, with {these}, {those} and {pressure} put in. */
  title: string;
}

/** What is opened is closed: the stations that `opens` names are walked backward after the work, ending at `last`. */
export interface FrameRule extends Common {
  /** A frame round the work. */
  kind: 'frame';
  /** Phases that open it. */
  opens: readonly Phase[];
  /** Phases that may close it. */
  closes: readonly Phase[];
  /** Phases that are no work of their own. */
  around: readonly Phase[];
  /** Roles of which the last step has one. */
  last: readonly Role[];
  /** walk: the frame is closed at all and ends there. end: what closes, ends there. */
  asks: 'walk' | 'end';
}

/** Both sides get the same; what is intended is told. */
export interface BalanceRule extends Common {
  /** Balance of the sides. */
  kind: 'balance';
  /** Whether they are even, or what of it is intended. */
  asks: 'even' | 'intended';
  /** Seconds by which the sides may differ without a word. */
  withinSeconds: number;
}

/** The whole ends in time. */
interface BudgetRule extends Common {
  kind: 'budget';
}

/** So long at most, of one kind of contact without a break, or in one region in all. */
export interface LoadRule extends Common {
  /** A load on hands or skin. */
  kind: 'load';
  /** Steps it counts. */
  of: Selector;
  /** Without a break, or added up in a region. */
  asks: 'unbroken' | 'in-a-region';
  /** Longest that is free. */
  mostSeconds: number;
}

/** What screening says today. */
export interface CareRule extends Common {
  /** What screening says. */
  kind: 'care';
  /** What it took away, or asks care for. */
  effect: 'ban' | 'warn';
}

/** A complaint whose course is worse takes lighter work. */
export interface CourseRule extends Common {
  /** The course of a complaint. */
  kind: 'course';
  /** Hardest that is free in work that serves the complaint. */
  most: Pressure;
}

export type Rule =
  CapRule | KeepOffRule | PrecedenceRule | FrameRule | BalanceRule | BudgetRule | LoadRule | CareRule | CourseRule;

import type { Screening } from '../limits/index.ts';
import type { Catalogue, Routine, Step } from '../routine/index.ts';
import type { HandClass } from './trade.ts';
import type { ComplaintKind, OneSide, Region, TechniqueTool } from '../words/index.ts';

type Grade = 0 | 1 | 2 | 3;

/** What is asked of a proposal, in one sentence. */
export interface Ask {
  /** 1–60; null = one or two techniques. */
  minutes: number | null;
  /** Id of the school of order. */
  school: string;
  /** A word lighter throughout. */
  gentler: boolean;
  /** Regions of which more is wished. */
  more: Region[];
  /** Changes of place, contact and tool cost more. */
  fewerChanges: boolean;
  /** Up to four exercises in place of one. */
  exercises: boolean;
  /** Equal always, one more set on the clearly sorer side, or the sore side alone. */
  sides: 'equal' | 'extra-on-sorer' | 'sore-side-only';
  /** Tools at hand. */
  tools: TechniqueTool[];
  /** Whose hands. */
  hands: 'practitioner' | 'own';
  /** Steps that stay as they are. */
  kept: Step[];
  /** Ids of techniques taken out. */
  excluded: string[];
}

/** What is asked for where nothing was asked before: twenty minutes unless told otherwise. */
export const usualAsk = (school: string, minutes: number | null): Ask => ({
  minutes: minutes ?? 20,
  school,
  gentler: false,
  more: [],
  fewerChanges: false,
  exercises: false,
  sides: 'extra-on-sorer',
  tools: [],
  hands: 'practitioner',
  kept: [],
  excluded: [],
});

/** What is known of the client today. */
export interface Known {
  /** Rated 0–10; side null where there is none. */
  complaints: { kind: ComplaintKind; side: OneSide | null; score: number }[];
  /** Presses: how tender, whether it is the pain the client knows, and where else it was felt. */
  tenderness: { muscle: string; side: OneSide; grade: Grade; theirPain: boolean; feltIn: Region[] }[];
  /** Pinned spots by the region they lie in. */
  tightSpots: { region: Region; side: OneSide | 'midline'; grade: Grade }[];
  /** From the scan from inside. */
  tenseRegions: Region[];
  /** Pressure thresholds. */
  thresholds: { muscle: string; side: OneSide; kpa: number }[];
  /** Jaw opening with overlap; null when not taken. */
  openingMm: number | null;
  /** Side on which the jaw clicks, the client's; null when it does not. */
  clickSide: OneSide | null;
  /** What helped: mean fall of the 0–10 rating after a technique, its standard error. Empty = neutral. */
  response: { technique: string; effect: number; standardError: number }[];
  /** Mean fall over the practice's clients, towards which little knowledge is drawn. */
  practiceEffect: number;
  /** Shares of what each part of the hand can do in a day that other visits of the day leave; all of it where not said. */
  handsLeft?: Partial<Record<HandClass, number>>;
}
/** Nobody in particular. */
export const NOTHING_KNOWN: Known = {
  complaints: [],
  tenderness: [],
  tightSpots: [],
  tenseRegions: [],
  thresholds: [],
  openingMm: null,
  clickSide: null,
  response: [],
  practiceEffect: 0,
};

/** Everything a proposal depends on. Equal cases give equal proposals. */
export interface ProposalCase extends Known {
  /** Of the routine that comes of it. */
  name: string;
  /** What is asked for. */
  ask: Ask;
  /** What may be done today. */
  screening: Screening;
}

/** The muscles and techniques that a proposal is made of, handed in. */
export interface Library {
  catalogue: Catalogue;
  muscles: readonly { id: string; name: string; region: Region }[];
}

export type LeftOutWhy =
  | 'off-limits'
  | 'pressure'
  | 'excluded'
  | 'tool'
  | 'hands-of'
  | 'position'
  | 'school'
  | 'duplicate'
  | 'enough-there'
  | 'time'
  | 'hands'
  | 'ceiling'
  | 'needs'
  | 'less-use';

interface StepReason {
  /** In the proposed routine. */
  stepId: string;
  /** Plain words with their numbers. */
  text: string;
  /** What the routine loses without it; null for a step that frames or shares. */
  worth: number | null;
}
export interface LeftOut {
  /** Id of the technique. */
  technique: string;
  /** Which kind of limit kept it out. */
  why: LeftOutWhy;
  /** The limit, with the figure. */
  text: string;
}
export interface NotReached {
  muscle: string;
  side: OneSide;
  /** Why. */
  text: string;
}

/** A choice in its order, and how good it is. */
export interface Proposal {
  status: 'proposed';
  routine: Routine;
  totalSeconds: number;
  budgetSeconds: number;
  /** Worth of the choice; no choice of these steps is worth more than `bound`. */
  value: number;
  bound: number;
  /** (bound − value) ÷ value. */
  gap: number;
  /** Seconds of changes; no order of this choice has fewer than `bound`. */
  order: { seconds: number; bound: number; exact: boolean };
  reasons: StepReason[];
  leftOut: LeftOut[];
  notReached: NotReached[];
  /** Techniques of work, without those that frame it. */
  work: string[];
  /** Size of the program and how it was solved. */
  stats: { candidates: number; columns: number; rows: number; nonzeros: number; nodes: number; rounds: number };
}

/** One requirement that could give way by itself, and by how little. */
export interface Relaxation {
  what: 'time' | 'kept-dose' | 'kept-step' | 'frame';
  text: string;
  /** Seconds, or how many. */
  amount: number;
}
interface NotPossible {
  status: 'nothing-allowed' | 'cannot-fit';
  text: string;
  relaxations: Relaxation[];
}
export type ProposalAnswer = Proposal | NotPossible;

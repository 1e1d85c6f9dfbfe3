import type { GuideEvent } from '../guide/index.ts';
import type { Catalogue, JawLimits, Routine, School, Step, Technique } from '../routine/index.ts';
import type { PlaceRef, Region } from '../words/index.ts';
import type { DateFormat, Felt } from '../record/index.ts';
import type { Day } from './days.ts';
import type { HomePlan } from './home-plan.ts';

/** What every page behind a private link says of practice and client: nothing more of either is in it. */
export interface PacketHead {
  practice: string;
  /** How the practice is reached; empty where it never said. */
  contact: string;
  /** Whom to ask, by first name. */
  ask: string;
  /** Of the client. */
  firstName: string;
  zone: string;
  /** How the practice writes days and times. */
  dates: DateFormat;
}

/** Everything a phone needs of one plan, and nothing else of the practice: it goes on with it without a network. */
export interface HomePacket extends PacketHead {
  /** ISO 8601, by the server’s clock. */
  at: string;
  plan: Pick<HomePlan, 'timesADay' | 'weekdays' | 'from' | 'until' | 'reviewOn'> & {
    id: string;
    number: number;
    routine: Routine;
    /** Most times a day, and the technique that says so. */
    most: { times: number; because: string | null };
  };
  /** Those of the plan, each with the client’s own words as its cue. */
  techniques: Technique[];
  school: School;
  /** How far the mouth may open in its steps; nothing where it was not measured. */
  jaw: JawLimits;
  /** The places of the plan, by kind and id. */
  places: Record<string, HomePlace>;
  /** What is rated; null where there is no complaint. */
  complaint: { id: string; name: string } | null;
  /** Runs that have arrived, in order. */
  runs: { day: Day; at: string }[];
  /** Why it may not be done now, in words for the client; empty while it may. */
  held: string;
}

interface HomePlace {
  name: string;
  region: Region | null;
  isPaired: boolean;
}
const keyOf = ({ kind, id }: PlaceRef): string => `${kind}:${id}`;

/** The places of some steps, as a packet carries them. */
export const homePlaces = (steps: readonly Step[], catalogue: Catalogue): HomePacket['places'] =>
  Object.fromEntries(
    steps
      .flatMap((s) => s.path)
      .map((place) => [
        keyOf(place),
        {
          name: catalogue.placeName(place) ?? '',
          region: catalogue.regionOf(place),
          isPaired: catalogue.isPaired(place),
        },
      ]),
  );

/** What a phone has to tell. Its id is made there; the server takes each once, in whatever order they come. */
export type HomeItem = { id: string; planId: string; at: string } & (
  | { kind: 'rating'; complaintId: string; value: number }
  | { kind: 'run'; startedAt: string; events: GuideEvent[]; before: number | null }
  | { kind: 'after'; runId: string; value: number | null; felt: Felt[]; note: string }
  | { kind: 'flags'; yes: string[] }
);

export const FELT_NAMES: Record<Felt, string> = {
  warm: 'warm',
  looser: 'looser',
  nothing: 'nothing',
  'sore-after': 'sore after',
  'ache-moved': 'ache moved',
};
/** Told to the practice when it comes more than once. */
export const FELT_TO_TELL: readonly Felt[] = ['sore-after', 'ache-moved'];
/** Why a run was stopped that says nothing about the work. */
export const STOPPED_FOR_TIME = 'no time';
/** Days without a run after which a plan in force is told on Today. Our choice. */
export const HOME_SILENT_DAYS = 5;
/** Letters of a note from home. */
export const HOME_NOTE_LETTERS = 500;
/** Items of one sending. */
export const ITEMS_AT_ONCE = 40;

/** The catalogue of one plan: what is asked of anything else is not known. */
export function homeCatalogue({
  techniques,
  school,
  places,
}: Pick<HomePacket, 'techniques' | 'school' | 'places'>): Catalogue {
  return {
    techniques: new Map(techniques.map((t) => [t.id, t])),
    schools: new Map([[school.id, school]]),
    regionOf: (place) => places[keyOf(place)]?.region ?? null,
    placeName: (place) => places[keyOf(place)]?.name ?? null,
    pointsAt: () => [],
    isPaired: (place) => places[keyOf(place)]?.isPaired ?? false,
  };
}

/** A clock that is off by no more is taken at its word. Our choice. */
const CLOCK_SLACK_MS = 120_000;

/**
 * When something happened by the server’s clock: a phone whose clock was wrong when it sent is put right by as much.
 * Never later than now, never before the plan was made.
 */
export function happenedAt(at: Date, sentAt: Date, now: Date, notBefore: Date): Date {
  const off = now.getTime() - sentAt.getTime();
  const ms = at.getTime() + (Math.abs(off) > CLOCK_SLACK_MS ? off : 0);
  return new Date(Math.max(notBefore.getTime(), Math.min(now.getTime(), ms)));
}

/** Whether a run was stopped for what has to be asked about before the next one. */
export const isWarning = (stopped: string | null): stopped is string => !!stopped && stopped !== STOPPED_FOR_TIME;

/** Why a plan waits after a yes, or after a run that was stopped for more than time. */
export const askFirst = (ask: string): string => `You said that something is different. Ask ${ask} before you go on.`;

/** What may be done today, and why not. */
export type HomeToday =
  | { may: true; done: number; planned: number }
  | { may: false; done: number; planned: number; why: 'held' | 'not-begun' | 'over' | 'most' };

/** @param doneToday Runs of today, arrived or not. */
export function homeToday({ plan, held }: Pick<HomePacket, 'plan' | 'held'>, today: Day, doneToday: number): HomeToday {
  const told = { done: doneToday, planned: plan.timesADay };
  if (held) return { may: false, why: 'held', ...told };
  if (today < plan.from) return { may: false, why: 'not-begun', ...told };
  if (today > plan.until) return { may: false, why: 'over', ...told };
  return doneToday >= plan.most.times ? { may: false, why: 'most', ...told } : { may: true, ...told };
}

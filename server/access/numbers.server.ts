import { HAND_PARTS, usedBy, type HandPart } from '../../core/proposal/index.ts';
import { dayOf, handWorkDone } from '../../core/schedule/index.ts';
import {
  MOST_RUNS,
  type RunOfHands,
  runsOfHands,
  standsByComplaint,
  workDone,
  type WorkDone,
} from '../db/queries/numbers.server.ts';
import { calendarDayIn } from './time.server.ts';

/** What the hands of one person did in a span. */
interface HandsDone {
  /** Days with a run. */
  days: number;
  /** Days on which some part was past what it can hold without rest. */
  passedDays: number;
  /** Mean of each part over those days, as a share. */
  mean: Record<HandPart, number>;
}
export interface PracticeNumbers {
  /** There were more runs than are looked at: the hands are told of the latest of them. */
  isCut: boolean;
  people: (WorkDone & { hands: HandsDone | null })[];
  complaints: Awaited<ReturnType<typeof standsByComplaint>>;
}

/** The numbers of a practice from one calendar day to another, both counted in. */
export async function numbersOf(
  { practiceId, timeZone }: { practiceId: string; timeZone: string },
  from: string,
  until: string,
): Promise<PracticeNumbers> {
  const begin = calendarDayIn(timeZone, from).from;
  const end = calendarDayIn(timeZone, until).to;
  const [people, complaints, runs] = await Promise.all([
    workDone(practiceId, begin, end),
    standsByComplaint(practiceId),
    runsOfHands(practiceId, begin, end),
  ]);
  const used = await usedByDay(runs, timeZone);
  return {
    isCut: runs.length >= MOST_RUNS,
    complaints,
    people: people.map((p) => {
      const days = [...(used.get(p.id)?.values() ?? [])];
      return { ...p, hands: days.length ? handsOver(days) : null };
    }),
  };
}

/** Runs after which others get their turn: pages wait for nobody's numbers. */
const AT_ONCE = 50;
/** What each part of the hand used up, by person and day. */
async function usedByDay(runs: readonly RunOfHands[], timeZone: string) {
  const byDay = new Map<string, Map<string, Record<HandPart, number>>>();
  for (const [i, run] of runs.entries()) {
    if (i % AT_ONCE === AT_ONCE - 1) await new Promise(setImmediate);
    const day = dayOf(run.beganAt, timeZone);
    const days = byDay.get(run.practitionerId) ?? new Map<string, Record<HandPart, number>>();
    byDay.set(run.practitionerId, days);
    const used = usedBy(handWorkDone(run.routine, run.steps, run.strength));
    const before = days.get(day);
    days.set(day, before ? (Object.fromEntries(HAND_PARTS.map((p) => [p, before[p] + used[p]])) as typeof used) : used);
  }
  return byDay;
}

const handsOver = (days: readonly Record<HandPart, number>[]): HandsDone => ({
  days: days.length,
  passedDays: days.filter((d) => HAND_PARTS.some((p) => d[p] > 1)).length,
  mean: Object.fromEntries(HAND_PARTS.map((p) => [p, days.reduce((sum, d) => sum + d[p], 0) / days.length])) as Record<
    HandPart,
    number
  >,
});

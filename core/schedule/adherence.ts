import type { StepRecord } from '../guide/index.ts';
import { wilson } from '../measures/index.ts';
import { type Day, daysFrom } from './days.ts';
import { plannedDays, type Rhythm } from './rhythm.ts';

/** One day of a plan. */
interface PlannedDay {
  day: Day;
  planned: number;
  /** Runs of that day, also more than planned. */
  done: number;
}

/** How a plan went. */
export interface Adherence {
  /** What of the planned was done, up to today: more on one day makes up for nothing on another. */
  done: number;
  /** Planned up to yesterday, and of today what was done already. */
  due: number;
  /** 95 % by Wilson; null while nothing is due. */
  interval: { low: number; high: number } | null;
  days: PlannedDay[];
  /** Last day with a run where the plan was given up: so many planned days in a row went by without; null else. */
  stoppedAfter: Day | null;
}

/** So many planned days without a run, to the end or to today, are called given up. Our choice. */
const GIVEN_UP_DAYS = 5;

/**
 * @param runDays Day of each run, in any order.
 * @param today What is still to come is not counted against anybody.
 */
export function adherence(plan: Rhythm, runDays: readonly Day[], today: Day): Adherence {
  const done = new Map<Day, number>();
  for (const day of runDays) done.set(day, (done.get(day) ?? 0) + 1);
  const days = plannedDays(plan)
    .filter((day) => day <= today)
    .map((day) => ({ day, planned: plan.timesADay, done: done.get(day) ?? 0 }));
  const counted = days.map((d) => ({
    done: Math.min(d.done, d.planned),
    due: d.day === today ? Math.min(d.done, d.planned) : d.planned,
  }));
  const sum = (key: 'done' | 'due') => counted.reduce((so, d) => so + d[key], 0);
  const due = sum('due');
  return {
    done: sum('done'),
    due,
    interval: due ? wilson(sum('done'), due) : null,
    days,
    stoppedAfter: stoppedAfter(days, today),
  };
}

function stoppedAfter(days: readonly PlannedDay[], today: Day): Day | null {
  const last = days.findLast((d) => d.done > 0);
  if (!last) return null;
  const since = days.filter((d) => d.day > last.day && d.day < today);
  return since.length >= GIVEN_UP_DAYS ? last.day : null;
}

/** A run that was left early counts as done from this share of its hands-on seconds on. Our choice. */
const DONE_FROM_SHARE = 0.5;

/** Whether a run counts as one of those that were planned. */
export function countsAsDone(steps: readonly Pick<StepRecord, 'hands' | 'outcome'>[]): boolean {
  const sum = (key: 'plannedSeconds' | 'doneSeconds') => steps.reduce((so, s) => so + s.hands[key], 0);
  const planned = sum('plannedSeconds');
  // Breathing has no hands on anything: then steps are counted.
  return planned
    ? sum('doneSeconds') >= DONE_FROM_SHARE * planned
    : steps.filter((s) => s.outcome === 'done').length >= DONE_FROM_SHARE * steps.length;
}

/** Days since the last run; null where there was none. */
export const daysSilent = (runDays: readonly Day[], today: Day): number | null =>
  runDays.length
    ? daysFrom(
        runDays.reduce((a, b) => (a > b ? a : b)),
        today,
      )
    : null;

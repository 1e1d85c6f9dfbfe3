import { asYours } from '../../core/guide/index.ts';
import {
  HAND_PARTS,
  handSwaps,
  handWorkOf,
  usedBy,
  type HandPart,
  type HandStrength,
  type HandSwaps,
} from '../../core/proposal/index.ts';
import type { Routine } from '../../core/routine/index.ts';
import { hasEnded, type Visit } from '../../core/record/index.ts';
import {
  dayOf,
  type DaySpan,
  handLines,
  handWorkDone,
  type HandLine,
  type VisitHands,
} from '../../core/schedule/index.ts';
import type { DayRow } from '../db/queries/day.server.ts';
import { endedRuns, strengthOf } from '../db/queries/hands.server.ts';
import { catalogueOf } from '../db/queries/techniques.server.ts';
import { findVisit } from '../db/queries/visits.server.ts';
import { workOfDay, type WorkOfDay } from './day.server.ts';
import { screeningOf } from './screening.server.ts';

type Zoned = { practiceId: string; timeZone: string };
/** Tools that a swap may ask for: a ball is at hand where hands are. Our choice. */
const TOOLS: ReadonlySet<string> = new Set(['ball']);

/** What one visit, or one run of it, asks of the hands of a day. */
interface Part extends VisitHands {
  row: DayRow;
  /** It was run: nothing that is changed in its routine takes that back. */
  isDone: boolean;
}
/** A day of one person's hands: planned for what is to come, as it was for what was done. */
interface HandDay {
  parts: Part[];
  strength: HandStrength;
  /** A routine with the seconds that this person really takes. */
  asWorked: (routine: Routine) => Routine;
}
const OUT: ReadonlySet<string> = new Set(['cancelled', 'missed', 'postponed', 'stopped']);

async function handDay(
  practiceId: string,
  { rows: all, ways, learned }: WorkOfDay,
  personId: string,
): Promise<HandDay> {
  const rows = all.filter((r) => r.practitionerId === personId && !OUT.has(r.stage));
  const [strength, runs] = await Promise.all([
    strengthOf(practiceId, personId),
    endedRuns(
      practiceId,
      rows.map((r) => r.visitId),
    ),
  ]);
  const own = learned.get(personId);
  const asWorked = (routine: Routine) => (own ? asYours(routine, own) : routine);
  const parts = rows.flatMap((row): Part[] => {
    const { visitId, routine } = row;
    const run = runs.filter((r) => r.visitId === visitId);
    if (run.length)
      return run.map((of) => ({
        ...{ row, visitId, isDone: true },
        handsFromMs: of.beganAtMs,
        work: handWorkDone(of.routine, of.steps, strength),
      }));
    // What ended without a run was worked without the guide, as planned.
    if (!routine) return [];
    const handsFromMs = Date.parse(row.startsAt) + ways.beforeMinutes * 60_000;
    return [{ row, visitId, isDone: false, handsFromMs, work: handWorkOf(asWorked(routine), strength) }];
  });
  return { parts, strength, asWorked };
}

const totalsOf = (parts: readonly Part[]): Record<HandPart, number> => usedBy(parts.flatMap((p) => [...p.work]));

/** Changes of one visit of the day that would spare the part that is passed. */
interface DaySwap {
  visitId: string;
  clientName: string;
  startsAt: string;
  part: HandPart;
  swaps: HandSwaps['swaps'];
  /** Steps that press with this part now. */
  pressing: number;
  /** By the end of the day, before and after. */
  before: Record<HandPart, number>;
  after: Record<HandPart, number>;
}

/** The swap of one visit against the rest of the day; null where it was run, has ended, or nothing can be changed in it. */
async function swapIn(
  practiceId: string,
  { parts, strength, asWorked }: HandDay,
  visit: Visit,
  part: HandPart,
): Promise<{ found: HandSwaps; beside: Record<HandPart, number> } | null> {
  const isDone = parts.some((p) => p.visitId === visit.id && p.isDone);
  if (isDone || !visit.routine?.items.length || hasEnded(visit.stage)) return null;
  const [screened, catalogue] = await Promise.all([screeningOf(practiceId, visit), catalogueOf(practiceId)]);
  const beside = totalsOf(parts.filter((p) => p.visitId !== visit.id));
  const found = handSwaps(visit.routine, part, {
    ...{ beside, strength, asWorked, catalogue },
    most: Math.max(0, 1 - beside[part]),
    screening: screened(visit),
    tools: TOOLS,
  });
  return found && { found, beside };
}

export interface HandsOfDay {
  lines: HandLine[];
  /** Where a part is passed and something can be changed. */
  swap: DaySwap | null;
}

/** The hands of a person along a day. */
export async function handsOfDay(
  practiceId: string,
  work: WorkOfDay,
  personId: string,
  { fromMs, toMs }: DaySpan,
): Promise<HandsOfDay> {
  const ofDay = await handDay(practiceId, work, personId);
  const lines = handLines(ofDay.parts, fromMs, toMs);
  const passed = lines.filter((l) => l.passed).sort((a, b) => a.passed!.ms - b.passed!.ms)[0];
  return { lines, swap: passed ? await firstSwap(practiceId, ofDay, passed) : null };
}

/** The visit in which a part is passed first, then those that ask most of it: the first in which something can be changed. */
async function firstSwap(practiceId: string, ofDay: HandDay, { part, passed }: HandLine): Promise<DaySwap | null> {
  const isFirst = (p: Part) => Number(p.visitId === passed!.visitId);
  const order = ofDay.parts
    .filter((p) => !p.row.isTypical && !p.isDone && usedBy(p.work)[part] > 0)
    .sort((a, b) => isFirst(b) - isFirst(a) || usedBy(b.work)[part] - usedBy(a.work)[part]);
  for (const { visitId, row, work } of order) {
    const visit = await findVisit(practiceId, visitId);
    const swap = visit && (await swapIn(practiceId, ofDay, visit, part));
    if (!swap) continue;
    const { found, beside } = swap;
    return {
      ...{ visitId, part, swaps: found.swaps, clientName: row.clientName, startsAt: row.startsAt },
      pressing: work.filter((w) => w.part === part && w.used > 0).length,
      before: totalsOf(ofDay.parts),
      after: Object.fromEntries(HAND_PARTS.map((p) => [p, beside[p] + found.after[p]])) as Record<HandPart, number>,
    };
  }
  return null;
}

/** The hands of the day of a visit, of who works in it. */
const dayOfVisit = async (practice: Zoned, visit: Visit): Promise<HandDay> =>
  handDay(
    practice.practiceId,
    await workOfDay(practice, dayOf(visit.startsAt, practice.timeZone)),
    visit.practitionerId,
  );

/** The routine of a visit with the changes that spare a part, as its day stands now; null where there are none. */
export async function swappedRoutine(practice: Zoned, visit: Visit, part: HandPart): Promise<HandSwaps | null> {
  const swap = await swapIn(practice.practiceId, await dayOfVisit(practice, visit), visit, part);
  return swap?.found ?? null;
}

/** What of each part is left for one visit, as shares of a day; nothing where its day asks nothing else of the hands. */
export async function handsLeft(practice: Zoned, visit: Visit): Promise<Partial<Record<HandPart, number>>> {
  const { parts } = await dayOfVisit(practice, visit);
  const others = totalsOf(parts.filter((p) => p.visitId !== visit.id));
  return Object.fromEntries(HAND_PARTS.filter((p) => others[p] > 0).map((p) => [p, Math.max(0, 1 - others[p])]));
}

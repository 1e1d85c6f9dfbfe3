import { type Candidate, isFrame } from './candidates.ts';
import { CARE_COST, FILL_WORTH } from './constants.ts';
import { HAND_COST } from './hands.ts';
import type { Problem } from './problem.ts';
import type { Target } from './targets.ts';
import type { Unit } from './units.ts';

/** Cost that a shared unit brings. */
export const unitCost = (p: Pick<Problem, 'stepCost' | 'productCost'>, u: Unit): number =>
  (u.name === 'product' ? p.productCost : 0) +
  p.stepCost * (u.opens.length + u.closes.length) +
  (u.care ? CARE_COST : 0);

/** Cost that a candidate brings by itself, less what a filled minute is worth. */
export function ownCost(p: Pick<Problem, 'stepCost'>, x: Candidate): number {
  const steps = x.technique.phase === 'open-drainage' ? x.steps.length : 1;
  const brought = x.kept ? 0 : p.stepCost * steps + (x.care ? CARE_COST : 0);
  return brought + (x.hand ? HAND_COST[x.hand.part] * x.hand.minutes : 0) - (FILL_WORTH * x.seconds) / 60;
}

/** Worth of so many effective minutes on a target, each block of its returns filled in turn. */
export function worthOn(target: Target, minutes: number): number {
  let rest = minutes;
  let worth = 0;
  for (const [width, share] of target.returns) {
    const used = Math.min(rest, width);
    worth += target.worth * share * used;
    rest -= used;
  }
  return worth;
}

export interface Valued {
  /** −Infinity when a limit is broken. */
  value: number;
  /** The same, whether a limit is broken or not. */
  free: number;
  seconds: number;
  /** The limit that is broken, "what:name"; null when all hold. */
  broken: string | null;
  notReached: Target[];
}

/** Value of a choice straight from its meaning, independent of the integer program. */
export function valueOf(p: Problem, chosen: readonly number[]): Valued {
  const set = new Set(chosen);
  const xs = chosen.map((i) => p.candidates[i]!);
  const units = p.units.filter((u) => xs.some((x) => x.needs.includes(u.name)));
  const seconds = sum(xs, (x) => x.seconds) + sum(units, (u) => u.seconds);
  const notReached = p.targets.filter((t) => t.must && !xs.some((x) => x.reaches.has(t.id)));
  let free = 0;
  for (const t of p.targets)
    free += worthOn(
      t,
      sum(xs, (x) => x.credits.get(t.id) ?? 0),
    );
  for (const w of p.warmth) if (w.warm.some((i) => set.has(i)) && w.work.some((i) => set.has(i))) free += w.worth;
  free -= sum(xs, (x) => ownCost(p, x)) + sum(units, (u) => unitCost(p, u));
  free -= p.areaCost * new Set(xs.filter((x) => !isFrame(x)).map((x) => x.area)).size;
  free -= p.toolCost * new Set(xs.flatMap((x) => x.tool ?? [])).size;
  free -= sum(notReached, (t) => t.leaveCost);
  const broken = brokenLimit(p, set, xs, seconds);
  return { value: broken ? -Infinity : free, free, seconds, broken, notReached };
}

const sum = <T>(of: readonly T[], value: (x: T) => number): number => of.reduce((s, x) => s + value(x), 0);
/** Sums of seconds are exact to this. */
const SLACK = 1e-6;

function brokenLimit(p: Problem, set: ReadonlySet<number>, xs: readonly Candidate[], seconds: number): string | null {
  if (p.fixed.some((i) => !set.has(i))) return 'kept';
  if (xs.some((x) => x.needs.some((n) => !p.units.some((u) => u.name === n)))) return 'needs';
  if (seconds > p.budgetSeconds + SLACK) return 'time';
  for (const k of p.counts) {
    const n = k.of.filter((i) => set.has(i)).length;
    if (n > k.most) return `${k.what}:${k.name}`;
    if (n < k.least) return `frame:${k.name}`;
  }
  if (p.lightFirst.some((l) => set.has(l.of) && !l.oneOf.some((i) => set.has(i)))) return 'light-first';
  for (const { region, most } of p.ceilings)
    if (
      sum(
        xs.filter((x) => x.region === region),
        (x) => x.seconds,
      ) >
      most + SLACK
    )
      return `ceiling:${region}`;
  for (const { part, most } of p.hands)
    if (
      sum(
        xs.filter((x) => x.hand?.part === part),
        (x) => x.hand!.minutes,
      ) >
      most + SLACK
    )
      return `hands:${part}`;
  const wants = (name: string) => xs.some((x) => (x.needs as readonly string[]).includes(name));
  return wants('gloves') && wants('product') ? 'oil under current' : null;
}

import type { Candidate } from './candidates.ts';
import { pressureRank } from '../words/index.ts';
import type { Problem } from './problem.ts';
import { ownCost, worthOn } from './value.ts';

/** What asks for some other candidate to be there can make any worth. */
const ASKED_FOR = 100;

/** Candidates that can help: some target gets more from them than they cost, or something asks for their kind. */
export function relevant(p: Problem): Set<number> {
  const asked = new Set([...p.counts.filter((k) => k.least > 0).flatMap((k) => k.of), ...p.fixed]);
  return new Set(p.candidates.filter((x) => asked.has(x.index) || mostGain(p, x) > ownCost(p, x)).map((x) => x.index));
}

/** The most a candidate could be worth: alone, with everything else empty. */
function mostGain(p: Problem, x: Candidate): number {
  let gain = 0;
  for (const t of p.targets)
    gain += worthOn(t, x.credits.get(t.id) ?? 0) + (t.must && x.reaches.has(t.id) ? t.leaveCost : 0);
  for (const w of p.warmth) if (w.warm.includes(x.index) || w.work.includes(x.index)) gain += w.worth;
  if (p.lightFirst.some((l) => l.oneOf.includes(x.index))) gain += ASKED_FOR;
  return gain;
}

/**
 * Without candidates that another of the same duplicate group or technique beats in everything: no more seconds, cost or
 * hand load, at least as much on every target and in every role. Wherever the beaten one stands the other can stand.
 */
export function undominated(p: Problem, among: ReadonlySet<number>): Set<number> {
  const keep = new Set(among);
  const fixed = new Set(p.fixed);
  const oneOnly = new Set(p.counts.filter((k) => k.what === 'duplicate' && k.most === 1).map((k) => k.name));
  const groups = new Map<string, Candidate[]>();
  for (const i of among) {
    const x = p.candidates[i]!;
    groups.set(x.group, [...(groups.get(x.group) ?? []), x]);
  }
  for (const [group, xs] of groups)
    for (const b of xs)
      for (const a of xs) {
        if (a === b || fixed.has(b.index) || fixed.has(a.index) || !keep.has(b.index) || !keep.has(a.index)) continue;
        if (!oneOnly.has(group) && a.technique.id !== b.technique.id) continue;
        const twins = dominates(p, b, a);
        if (dominates(p, a, b) && !(twins && a.index > b.index)) keep.delete(b.index);
      }
  return keep;
}

function dominates(p: Problem, a: Candidate, b: Candidate): boolean {
  if (a.seconds > b.seconds || ownCost(p, a) > ownCost(p, b) + 1e-12) return false;
  if (a.area !== b.area || a.part !== b.part || a.tool !== b.tool) return false;
  const firm = pressureRank('firm');
  if (
    a.rank >= firm &&
    !(b.rank >= firm && a.where === b.where && lightFor(p, b).every((i) => lightFor(p, a).includes(i)))
  )
    return false;
  if (a.needs.some((n) => !b.needs.includes(n))) return false;
  if (a.region !== null && a.region !== b.region) return false;
  if (a.hand && (a.hand.part !== b.hand?.part || a.hand.minutes > b.hand.minutes)) return false;
  for (const [t, v] of b.credits) if ((a.credits.get(t) ?? 0) < v - 1e-12) return false;
  for (const t of b.reaches) if (!a.reaches.has(t)) return false;
  if (p.lightFirst.some((l) => l.oneOf.includes(b.index) && !l.oneOf.includes(a.index))) return false;
  const warms = p.warmth.every(
    (w) =>
      (!w.warm.includes(b.index) || w.warm.includes(a.index)) &&
      (!w.work.includes(b.index) || w.work.includes(a.index)),
  );
  // What an at-least counts must be counted for the other too; what an at-most counts must not be new.
  const counted = p.counts.every((k) =>
    k.least > 0
      ? !k.of.includes(b.index) || k.of.includes(a.index)
      : k.what === 'duplicate' || k.what === 'technique' || !k.of.includes(a.index) || k.of.includes(b.index),
  );
  return warms && counted;
}
const lightFor = (p: Problem, x: Candidate): readonly number[] =>
  p.lightFirst.find((l) => l.of === x.index)?.oneOf ?? [];

/** The problem with only these candidates, and how to get back to the old indices. */
export function restricted(p: Problem, keep: ReadonlySet<number>): { problem: Problem; back: number[] } {
  const back = [...keep].sort((a, b) => a - b);
  const to = new Map(back.map((old, i) => [old, i]));
  const map = (of: readonly number[]): number[] => of.flatMap((i) => to.get(i) ?? []);
  return {
    back,
    problem: {
      ...p,
      candidates: back.map((old, i) => ({ ...p.candidates[old]!, index: i })),
      counts: p.counts.map((k) => ({ ...k, of: map(k.of) })).filter((k) => k.least > 0 || k.of.length > k.most),
      lightFirst: p.lightFirst.flatMap((l) => (to.has(l.of) ? [{ of: to.get(l.of)!, oneOf: map(l.oneOf) }] : [])),
      warmth: p.warmth
        .map((w) => ({ ...w, warm: map(w.warm), work: map(w.work) }))
        .filter((w) => w.warm.length && w.work.length),
      fixed: map(p.fixed),
    },
  };
}

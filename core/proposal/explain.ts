import { techniqueFor } from '../routine/index.ts';
import { clock } from '../words/index.ts';
import { type Candidate, isFrame, mustReach, type Pool } from './candidates.ts';
import type { LeftOut, Library, NotReached, Proposal, ProposalCase } from './case.ts';
import type { Problem } from './problem.ts';
import { muscleName, restingMuscles, type Target } from './targets.ts';
import { areaOfMuscle } from './trade.ts';
import { valueOf } from './value.ts';
import { whyNot } from './why-not.ts';
import { reasonOf, unitReason } from './words.ts';
import type { Written } from './write.ts';
import type { Way } from './ways.ts';

interface Chosen {
  problem: Problem;
  pool: Pool;
  /** Indices into the problem's candidates. */
  chosen: readonly number[];
  steps: readonly Written[];
  targets: readonly Target[];
  way: Way;
  library: Library;
}

/** Reasons of every step, of every technique that touches a sore muscle and is not in, and of every sore place not reached. */
export function explain(c: ProposalCase, e: Chosen): Pick<Proposal, 'reasons' | 'leftOut' | 'notReached'> {
  const { problem: p, chosen, pool, library } = e;
  const all = valueOf(p, chosen);
  const byId = new Map(e.targets.map((t) => [t.id, t]));
  const xs = chosen.map((i) => p.candidates[i]!);
  const worth = new Map(
    chosen.map((i) => [
      i,
      all.value -
        valueOf(
          p,
          chosen.filter((j) => j !== i),
        ).free,
    ]),
  );
  const reasons = e.steps.map(({ step, from, closes }) => {
    if (!from) {
      const roles = library.catalogue.techniques.get(step.technique)?.roles;
      return { stepId: step.id, worth: null, text: unitReason(roles?.[0], xs) };
    }
    if (closes) return { stepId: step.id, worth: null, text: 'what was opened, closed in reverse' };
    if (step.technique !== from.technique.id)
      return { stepId: step.id, worth: null, text: `warm hands for ${from.technique.name.toLowerCase()}` };
    const index = chosen.find((i) => p.candidates[i] === from || p.candidates[i]!.main === from.main)!;
    return { stepId: step.id, worth: worth.get(index) ?? null, text: reasonOf(c, from, byId, library) };
  });
  return {
    reasons,
    leftOut: leftOutOf(c, e, all.value),
    notReached: all.notReached.map((t) => ({
      muscle: t.of,
      side: t.side!,
      text: whyNotReached(c, p, pool, t, e.way, library),
    })),
  };
}

/** Everything that touches a muscle of 2 or 3 and is not in; where nothing is sore, what serves the first complaint. */
function leftOutOf(c: ProposalCase, { problem: p, pool, chosen }: Chosen, value: number): LeftOut[] {
  const sore = mustReach(c);
  const [first] = [...c.complaints].sort((a, b) => b.score - a.score);
  const touches = (x: Pick<Candidate, 'technique'>) =>
    sore.size ? x.technique.muscles.some((m) => sore.has(m)) : !!first && x.technique.serves[0] === first.kind;
  const inRoutine = new Set(chosen.map((i) => p.candidates[i]!.technique.id));
  const variants = new Map<string, Candidate[]>();
  for (const x of p.candidates)
    if (!inRoutine.has(x.technique.id) && !isFrame(x) && !x.technique.plain && touches(x))
      variants.set(x.technique.id, [...(variants.get(x.technique.id) ?? []), x]);
  return [
    ...pool.excluded
      .filter((x) => touches(x) && !x.technique.plain)
      .map((x): LeftOut => ({ technique: x.technique.id, why: x.why, text: x.text })),
    ...[...variants].map(([id, xs]): LeftOut => ({ technique: id, ...whyNot(p, chosen, value, xs) })),
  ];
}

function whyNotReached(
  c: ProposalCase,
  p: Problem,
  pool: Pool,
  t: Target,
  way: Way,
  library: Library,
): NotReached['text'] {
  const resting = restingMuscles(c.screening, library).get(`${t.of}.${t.side}`);
  if (resting) return `Left alone: ${resting}.`;
  const could = p.candidates.filter((x) => x.reaches.has(t.id)).sort((a, b) => a.seconds - b.seconds)[0];
  if (could)
    return `${could.technique.name} would reach it and needs ${clock(could.seconds)}: no time or no room for it.`;
  const barred = pool.excluded.filter((x) => x.technique.muscles.some((m) => areaOfMuscle(m) === areaOfMuscle(t.of)));
  const worst = barred.find((x) => x.why === 'off-limits') ?? barred[0];
  return worst
    ? `${worst.technique.name}: ${worst.text}.`
    : `No technique for the ${muscleName(t.of, library)} is written (${way.name}).`;
}

/** Ids of roles that are shared by several steps. */
export const sharedTechniques = ({ catalogue }: Library): Set<string> =>
  new Set(
    (['spreads-glide', 'opens-collarbone', 'closes-collarbone', 'sets-up-current', 'warms-hands'] as const).flatMap(
      (role) => techniqueFor(role, catalogue)?.id ?? [],
    ),
  );

import { emptyRoutine, type Routine, routineSeconds } from '../routine/index.ts';
import { checkRoutine, type RuleFinding } from '../rules/index.ts';
import { isFrame, type Pool, poolOf } from './candidates.ts';
import type { ProposalAnswer, Library, Proposal, ProposalCase } from './case.ts';
import { CLEARLY_BETTER, NEAR_ENOUGH, ROUNDS_MOST } from './constants.ts';
import { explain, sharedTechniques } from './explain.ts';
import { modelOf } from './model.ts';
import { ordered, type Ordered } from './order.ts';
import { type Problem, problemOf } from './problem.ts';
import { relevant, restricted, undominated } from './reduce.ts';
import { relaxations } from './relax.ts';
import { chosenOf, sizeOf, type Solve, type Solved } from './solver.ts';
import { targetsOf } from './targets.ts';
import { type Way, wayOf } from './ways.ts';
import { written, type Written } from './write.ts';

export interface ProposeOptions {
  /** Relative gap at which the search may end; 0 = proven. */
  gap?: number;
  /** Hears of a choice that is near enough while its proof goes on. */
  onBetter?: (soFar: Proposal) => void;
  /** Techniques of another proposal that this one has to do without, so many at least. */
  differFrom?: { techniques: readonly string[]; least: number };
  /** Reasons and what is left out are worked out too. */
  reasons?: boolean;
  /** Candidates that cannot be in the answer are taken out before. */
  reduce?: boolean;
}

interface Choice {
  /** Of the candidates that were in the program. */
  problem: Problem;
  back: readonly number[];
  chosen: readonly number[];
  solved: Solved;
  size: ReturnType<typeof sizeOf>;
}

/** The best choice of a problem, or null where nothing fits. */
export function choose(
  p: Problem,
  solve: Solve,
  { gap = 0, reduce = true, differFrom }: Pick<ProposeOptions, 'gap' | 'reduce' | 'differFrom'> = {},
  onChoice?: (soFar: Choice) => void,
): Choice | null {
  const all = new Set(p.candidates.map((x) => x.index));
  const kept = reduce ? relevant(p) : all;
  // What another beats in everything may still be what makes a proposal different.
  const { problem, back } = restricted(p, reduce && !differFrom ? undominated(p, kept) : kept);
  const model = modelOf(problem);
  const choiceOf = (solved: Solved): Choice => ({
    problem,
    back,
    chosen: chosenOf(model, solved),
    solved,
    size: sizeOf(model),
  });
  const solved = solve(model, { gap, ...(onChoice ? { onBetter: (soFar: Solved) => onChoice(choiceOf(soFar)) } : {}) });
  return solved.status === 'infeasible' || !solved.columns.length ? null : choiceOf(solved);
}

/**
 * The best routine for a client in these minutes: selected, put in order, held against the rules, explained. Nothing in
 * it depends on time or machine: equal cases give equal answers.
 * @param solve A solver of mixed-integer programs.
 */
export function propose(c: ProposalCase, library: Library, solve: Solve, o: ProposeOptions = {}): ProposalAnswer {
  const { screening, ask } = c;
  if (screening.mustStop || screening.postpone) {
    const why = [...screening.hits['refer-out'], ...screening.hits.avoid].filter((x) => x.group !== 'everyone');
    return nothing(`No routine today: ${why.map((x) => x.title).join('; ')}.`);
  }
  const way = wayOf(library.catalogue.schools.get(ask.school));
  const targets = targetsOf(c, library);
  const pool = poolOf(c, targets, way, library);
  if (pool.keptBanned.length)
    return {
      status: 'cannot-fit',
      text: pool.keptBanned.map((k) => k.text).join(' '),
      relaxations: pool.keptBanned.map(({ step }) => ({
        what: 'kept-step',
        text: `Let go of ${library.catalogue.techniques.get(step.technique)!.name}: it is off limits.`,
        amount: 1,
      })),
    };
  if (!pool.candidates.some((x) => !isFrame(x)))
    return nothing('Nothing is allowed: every technique is off limits, not at hand or taken out.');
  const problem = problemOf(c, pool, targets, way);
  if (o.differFrom) {
    const { techniques, least } = o.differFrom;
    const of = problem.candidates.filter((x) => techniques.includes(x.technique.id)).map((x) => x.index);
    problem.counts.push({
      name: 'differ',
      what: 'must-differ',
      of,
      least: 0,
      most: Math.max(0, techniques.length - least),
    });
  }
  const whole = { pool, problem, way, library, targets };
  let toldValue = -Infinity;
  /** A better choice while the proof goes on, once it is near enough and clearly better than what was told. */
  const onFound = (found: Found): void => {
    const { value, bound } = found.solved;
    if (bound - value > NEAR_ENOUGH * Math.abs(value) || value < toldValue + CLEARLY_BETTER * Math.abs(value)) return;
    toldValue = value;
    o.onBetter!(proposalOf(c, found, whole, o));
  };
  const found = inRounds(c, whole, solve, o, o.onBetter && onFound);
  return found
    ? proposalOf(c, found, whole, o)
    : {
        status: 'cannot-fit',
        text: 'What is asked for does not fit together.',
        relaxations: relaxations(problem, solve),
      };
}

const nothing = (text: string): ProposalAnswer => ({ status: 'nothing-allowed', text, relaxations: [] });

/** What a case was made into. */
interface Whole {
  pool: Pool;
  problem: Problem;
  way: Way;
  library: Library;
  targets: ReturnType<typeof targetsOf>;
}

interface Found extends Choice {
  order: Ordered;
  steps: Written[];
  routine: Routine;
  rounds: number;
}

/**
 * Choose, order, and let the checker send back what a choice could have avoided, as a limit on exactly those candidates.
 * What the rules would stop is never given back, whatever the rounds.
 */
function inRounds(
  c: ProposalCase,
  { problem, way, library }: Pick<Whole, 'problem' | 'way' | 'library'>,
  solve: Solve,
  o: ProposeOptions,
  onFound?: (soFar: Found) => void,
): Found | null {
  let best: Found | null = null;
  for (let rounds = 1; rounds <= ROUNDS_MOST; rounds++) {
    const inOrder = (choice: Choice): Found => {
      const xs = choice.chosen.map((i) => choice.problem.candidates[i]!);
      const order = ordered(xs, way);
      const steps = written(order.path, problem.units);
      return { ...choice, order, steps, routine: routineOf(c, steps), rounds };
    };
    const choice = choose(
      problem,
      solve,
      o,
      onFound &&
        ((soFar) => {
          const f = inOrder(soFar);
          const findings = checkRoutine(f.routine, library.catalogue, c.screening);
          if (!isStopped(findings) && !cutFor(findings, f)) onFound(f);
        }),
    );
    if (!choice) return best;
    const found = inOrder(choice);
    const findings = checkRoutine(found.routine, library.catalogue, c.screening);
    if (!isStopped(findings)) best = found;
    const cut = cutFor(findings, found);
    if (!cut) return best;
    problem.counts.push(cut);
  }
  return best;
}

const routineOf = ({ name, ask }: ProposalCase, steps: readonly Written[]): Routine => ({
  ...emptyRoutine(name, ask.school),
  budgetMinutes: ask.minutes,
  items: steps.map((w) => w.step),
});

const isStopped = (findings: readonly RuleFinding[]): boolean => findings.some((f) => f.severity === 'stop');

/** Warnings that another choice, or another order of one, would not have. */
const AVOIDABLE = new Set(['thumb-load', 'light-before-firm', 'daily-ceiling', 'gel-before-oil']);

function cutFor(findings: readonly RuleFinding[], { steps, back }: Found): Problem['counts'][number] | null {
  const f = findings.find((x) => x.severity === 'stop') ?? findings.find((x) => AVOIDABLE.has(x.rule));
  if (!f) return null;
  const from = f.stepIds.flatMap((id) => steps.find((w) => w.step.id === id)?.from ?? []).filter((x) => !x.kept);
  const of = [...new Set(from.map((x) => back[x.index]!))];
  // A stop takes its step out; of a warning it is enough that one of its steps goes.
  const most = f.severity === 'stop' ? 0 : of.length - 1;
  return of.length ? { name: f.rule, what: 'sent-back', of, least: 0, most } : null;
}

function proposalOf(
  c: ProposalCase,
  { solved, order, steps, routine, rounds, size, chosen, back }: Found,
  of: Whole,
  o: ProposeOptions,
): Proposal {
  const shared = sharedTechniques(of.library);
  const frames = new Set(steps.flatMap((w) => (w.from && isFrame(w.from) ? [w.step.technique] : [])));
  const told =
    o.reasons === false
      ? { reasons: [], leftOut: [], notReached: [] }
      : explain(c, { ...of, steps, chosen: chosen.map((i) => back[i]!) });
  return {
    status: 'proposed',
    routine,
    totalSeconds: routineSeconds(routine),
    budgetSeconds: of.problem.budgetSeconds,
    value: solved.value,
    bound: solved.bound,
    gap: Math.max(0, (solved.bound - solved.value) / Math.max(1e-9, Math.abs(solved.value))),
    order: { seconds: order.seconds, bound: order.bound, exact: order.exact },
    ...told,
    work: [...new Set(steps.map((w) => w.step.technique))].filter((id) => !shared.has(id) && !frames.has(id)),
    stats: { candidates: of.pool.candidates.length, ...size, nodes: solved.nodes, rounds },
  };
}

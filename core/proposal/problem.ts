import { loadLimits } from '../rules/index.ts';
import { pressureRank } from '../words/index.ts';
import { wantsRetest } from './availability.ts';
import { type Candidate, isFrame, type Pool } from './candidates.ts';
import type { ProposalCase } from './case.ts';
import {
  AREA_COST,
  BLOCK_MOST,
  BREATHE_MOST,
  EXERCISES_MOST,
  EXTRAS_MOST,
  FEWER_CHANGES,
  ONE_OR_TWO,
  PER_AREA,
  PLAIN_MOST,
  PRODUCT_COST,
  SETTLE_MOST,
  STEP_COST,
  STEPS_MOST,
  TOOL_COST,
  WARM_ON_SORE,
  WARM_WORTH,
} from './constants.ts';
import { MEAN_SHARE_MOST } from './hands.ts';
import type { Target } from './targets.ts';
import { areaOfMuscle, type HandClass } from './trade.ts';
import type { Unit } from './units.ts';
import type { Way } from './ways.ts';

/** At least, or at most, so many of these; the name is told when it binds. `sent-back`: the rules spoke against them. */
interface Count {
  name: string;
  what: 'duplicate' | 'enough-there' | 'frame' | 'steps' | 'technique' | 'must-differ' | 'sent-back';
  of: readonly number[];
  least: number;
  most: number;
}

/** The choice as plain data: what may be chosen, what it is worth, what binds. Program, value and order all read this. */
export interface Problem {
  candidates: readonly Candidate[];
  units: readonly Unit[];
  targets: readonly Target[];
  budgetSeconds: number;
  counts: Count[];
  /** Firm work needs one of these, lighter, before it at the place. */
  lightFirst: { of: number; oneOf: readonly number[] }[];
  /** Worth of warming an area in which firmer work is chosen. */
  warmth: { area: string; warm: readonly number[]; work: readonly number[]; worth: number }[];
  ceilings: { region: string; most: number }[];
  /** Most minutes at full strength, by part of the hand. */
  hands: { part: HandClass; most: number }[];
  stepCost: number;
  areaCost: number;
  toolCost: number;
  productCost: number;
  /** Kept steps. */
  fixed: readonly number[];
}

const groupsBy = (candidates: readonly Candidate[], key: (x: Candidate) => string | null): Map<string, number[]> => {
  const groups = new Map<string, number[]>();
  for (const x of candidates) {
    const k = key(x);
    if (k !== null) groups.set(k, [...(groups.get(k) ?? []), x.index]);
  }
  return groups;
};

const keptSum = (candidates: readonly Candidate[], of: (x: Candidate) => number): number =>
  candidates.filter((x) => x.kept).reduce((s, x) => s + of(x), 0);

const minutesOf = ({ ask }: ProposalCase): number => ask.minutes ?? ONE_OR_TWO.seconds / 60;

export function problemOf(c: ProposalCase, pool: Pool, targets: readonly Target[], way: Way): Problem {
  const { candidates, units } = pool;
  const minutes = minutesOf(c);
  const fewer = c.ask.fewerChanges ? FEWER_CHANGES : 1;
  const load = loadLimits();
  return {
    candidates,
    units,
    targets,
    counts: countsOf(c, pool, way),
    lightFirst: lightFirstOf(candidates, way),
    warmth: minutes >= 5 ? warmthOf(candidates, targets) : [],
    budgetSeconds: minutes * 60,
    // What is kept counts, and is never what breaks a limit.
    ceilings: [...new Set(candidates.flatMap((x) => x.region ?? []))].map((region) => ({
      region,
      most: Math.max(
        load.regionSeconds,
        keptSum(candidates, (x) => (x.region === region ? x.seconds : 0)),
      ),
    })),
    hands: (['thumb', 'index', 'knuckle', 'palm'] as const).map((part) => ({
      part,
      most: Math.max(
        MEAN_SHARE_MOST * minutes * Math.min(1, c.handsLeft?.[part] ?? 1),
        keptSum(candidates, (x) => (x.hand?.part === part ? x.hand.minutes : 0)),
      ),
    })),
    stepCost: STEP_COST * fewer,
    areaCost: AREA_COST * fewer,
    toolCost: TOOL_COST * fewer,
    productCost: PRODUCT_COST * fewer,
    fixed: candidates.filter((x) => x.kept).map((x) => x.index),
  };
}

/** How many at least and at most: doses of a technique, near-duplicates, techniques in an area, the frame, all steps. */
function countsOf(c: ProposalCase, { candidates, units }: Pool, way: Way): Count[] {
  const minutes = minutesOf(c);
  const few = c.ask.minutes === null;
  const counts: Count[] = [];
  const indices = (keep: (x: Candidate) => boolean) => candidates.filter(keep).map((x) => x.index);
  const at = (i: number) => candidates[i]!;
  const most = (name: string, what: Count['what'], of: readonly number[], limit: number): void => {
    // What is kept counts, and is never what breaks a limit.
    if (of.length > limit)
      counts.push({ name, what, of, least: 0, most: Math.max(limit, of.filter((i) => at(i).kept).length) });
  };
  // A frame is asked for only where it is to be had without a call for care: it is a custom, not worth a warning.
  const calm = (i: number) => !at(i).care && at(i).needs.every((n) => !units.find((u) => u.name === n)?.care);
  const least = (name: string, of: readonly number[], n: number): void => {
    if (of.filter(calm).length >= n) counts.push({ name, what: 'frame', of, least: n, most: Infinity });
  };
  const severalOf = (of: readonly number[]) => new Set(of.map((i) => at(i).technique.id)).size;
  for (const [id, of] of groupsBy(candidates, (x) => (x.kept ? null : x.technique.id))) most(id, 'technique', of, 1);
  for (const [name, of] of groupsBy(candidates, (x) => (isFrame(x) ? null : x.group)))
    if (severalOf(of) > 1) most(name, 'duplicate', of, 1);
  const perArea = PER_AREA.find(([upTo]) => minutes <= upTo)?.[1] ?? PER_AREA.at(-1)![1];
  for (const [area, of] of groupsBy(candidates, (x) => (isFrame(x) || x.technique.phase === 'warm-up' ? null : x.area)))
    if (severalOf(of) > perArea) most(area, 'enough-there', of, perArea);
  const phase = (p: string) => indices((x) => x.technique.phase === p);
  most('settling', 'enough-there', phase('settle'), SETTLE_MOST);
  most(
    'breathing',
    'enough-there',
    phase('breathe'),
    minutes > BREATHE_MOST.longFromMinutes ? BREATHE_MOST.long : BREATHE_MOST.usual,
  );
  most('preparing', 'enough-there', phase('prepare'), 1);
  most('opening stations', 'enough-there', phase('open-drainage'), way.stationsMost);
  most('closing strokes', 'enough-there', phase('close-drainage'), minutes > 25 || way.stationsMost > 1 ? 3 : 1);
  most('exercise', 'enough-there', phase('exercise'), c.ask.exercises ? EXERCISES_MOST.wished : EXERCISES_MOST.relief);
  const all = few ? indices((x) => !isFrame(x)) : candidates.map((x) => x.index);
  most(
    'steps',
    'steps',
    all,
    few ? ONE_OR_TWO.techniques : Math.floor(STEPS_MOST.first + STEPS_MOST.perMinute * minutes),
  );
  for (const block of way.blocks)
    most(
      'one block',
      'steps',
      indices((x) => block.includes(x.part)),
      BLOCK_MOST,
    );
  const points = way.prefers.includes('point-holding') ? PLAIN_MOST.pointSchool : PLAIN_MOST.usual;
  most(
    'plain work',
    'enough-there',
    indices((x) => x.technique.plain),
    points,
  );
  most(
    'extra sets',
    'enough-there',
    indices((x) => x.plan === 'extra'),
    EXTRAS_MOST,
  );
  const drains = units.some((u) => u.name === 'drainage') && way.order.drainage !== 'none';
  const from = (minute: number | null) => !few && minute !== null && minutes >= minute;
  if (from(way.breathFrom)) least('breath', phase('breathe'), 1);
  if (from(way.settleFrom)) least('a soothing end', phase('settle'), 1);
  if (from(way.clearFrom) && drains)
    least(
      'a drainage down to the collarbone',
      indices((x) => x.technique.phase === 'close-drainage' && x.technique.regions.includes('neck-side')),
      1,
    );
  if (!few && way.stationsMost > 1 && drains)
    least('an opened drainage', phase('open-drainage'), Math.min(3, Math.max(1, Math.floor(minutes / 5))));
  if (c.ask.exercises) least('an exercise', phase('exercise'), 1);
  if (wantsRetest(c))
    least(
      'the opening taken again',
      indices((x) => x.technique.roles.includes('retests-opening')),
      1,
    );
  return counts;
}

/** Firm work and what lighter touch may come before it at its place, in its block or an earlier one. */
function lightFirstOf(candidates: readonly Candidate[], way: Way): Problem['lightFirst'] {
  const firm = pressureRank('firm');
  const blockOf = (x: Candidate) => way.blocks.findIndex((b) => b.includes(x.part));
  return candidates
    .filter((x) => x.rank >= firm && !x.kept)
    .map((x) => ({
      of: x.index,
      oneOf: candidates
        .filter(
          (y) =>
            y.technique.id !== x.technique.id &&
            y.rank > 0 &&
            y.rank < firm &&
            y.touches.has(x.where) &&
            blockOf(y) <= blockOf(x) &&
            !isFrame(y),
        )
        .map((y) => y.index),
    }));
}

/** Where something is clearly sore, warmth means heat, as long as heat may be used. */
function warmthOf(candidates: readonly Candidate[], targets: readonly Target[]): Problem['warmth'] {
  const out: Problem['warmth'] = [];
  for (const [area, of] of groupsBy(candidates, (x) => (isFrame(x) ? null : x.area))) {
    const warming = of.filter((i) => candidates[i]!.technique.phase === 'warm-up');
    const hot = warming.filter((i) => candidates[i]!.technique.words.includes('heat'));
    const muscles = targets.filter((t) => t.kind === 'muscle' && areaOfMuscle(t.of) === area);
    const isSore = muscles.some((t) => t.must);
    const warm = isSore && hot.length ? hot : warming;
    const work = of.filter(
      (i) =>
        ['release', 'press'].includes(candidates[i]!.technique.phase) && candidates[i]!.rank >= pressureRank('medium'),
    );
    const need = muscles.reduce((s, t) => s + t.worth, 0);
    if (warm.length && work.length && need > 0)
      out.push({ area, warm, work, worth: (isSore ? WARM_ON_SORE : WARM_WORTH) * Math.min(1, need / 2) });
  }
  return out;
}

import { hardestOf, newStep, pressed, techniqueFor, type Step, type Technique } from '../routine/index.ts';
import { FACE_REGIONS, type Phase, pressureRank, type Region } from '../words/index.ts';
import { besideResting, isNoWork, unavailable } from './availability.ts';
import type { LeftOutWhy, Library, ProposalCase } from './case.ts';
import { MUST_REACH, REACHED_MINUTES } from './constants.ts';
import { creditsOf, isDrainage } from './credits.ts';
import { type DoseLevel, type SidesPlan, totalsOfSteps } from './doses.ts';
import { handMinutes } from './hands.ts';
import { admitted, startPressure } from './pressure.ts';
import { restingMuscles, type Target } from './targets.ts';
import { areaOfMuscle, FAMILY, type HandClass } from './trade.ts';
import { type Unit, UNIT_WORDS, type UnitName, unitsOf } from './units.ts';
import { variantsOf } from './variants.ts';
import type { Part, Way } from './ways.ts';

/** One way in which one technique may stand in the routine. */
export interface Candidate {
  /** Its place in the pool. */
  index: number;
  technique: Technique;
  level: DoseLevel;
  plan: SidesPlan;
  /** Usually one; an opening station has its mirror at the end, warm palms have the rubbing before. */
  steps: Step[];
  /** Of `steps`, the one it is about. */
  main: Step;
  /** Exact seconds of all its steps, with finding the place and changes. */
  seconds: number;
  /** Effective minutes on each target it helps. */
  credits: ReadonlyMap<string, number>;
  /** Sore places it reaches. */
  reaches: ReadonlySet<string>;
  area: string;
  /** Near-duplicates: the same kind of motion in the same area. */
  group: string;
  part: Part;
  /** Face region whose day it uses up; null where none. */
  region: Region | null;
  hand: { part: HandClass; minutes: number } | null;
  needs: readonly UnitName[];
  tool: Technique['tool'];
  /** Care that screening asks for. */
  care: string | null;
  /** Of the harder pressure; 0 where nothing presses. */
  rank: number;
  /** Where a first touch is looked for. */
  where: string;
  touches: ReadonlySet<string>;
  kept: boolean;
  /** Why it is lighter than usual. */
  lowered: string | null;
}

interface Excluded {
  technique: Technique;
  why: LeftOutWhy;
  text: string;
}

export interface Pool {
  candidates: Candidate[];
  units: Unit[];
  excluded: Excluded[];
  /** Kept steps that screening does not allow. */
  keptBanned: { step: Step; text: string }[];
}

const NECKISH: ReadonlySet<Region> = new Set<Region>(['neck-side', 'neck-back', 'neck-front', 'shoulder', 'chest']);
const QUIET: ReadonlySet<Phase> = new Set<Phase>(['breathe', 'settle', 'prepare', 'compare']);
const FRAMING: ReadonlySet<Phase> = new Set<Phase>([...QUIET, 'open-drainage', 'close-drainage']);
export const isFrame = (c: Pick<Candidate, 'technique'>): boolean => FRAMING.has(c.technique.phase);
function partOf(t: Technique): Part {
  if (t.phase !== 'warm-up' && t.phase !== 'release' && t.phase !== 'press') return t.phase;
  const [region] = t.regions;
  if (region && NECKISH.has(region)) return 'neck-work';
  if (region === 'hand' || region === 'arm') return 'hand-work';
  return t.phase === 'warm-up' ? 'face-warm' : t.phase === 'release' ? 'face-work' : 'face-press';
}

/** Everything that may be chosen, and what may not with its reason. */
export function poolOf(c: ProposalCase, targets: readonly Target[], way: Way, library: Library): Pool {
  const { catalogue } = library;
  const units = unitsOf(c, way, library);
  const candidates: Candidate[] = [];
  const excluded: Excluded[] = [];
  const keptBanned: Pool['keptBanned'] = [];
  const offered = [...catalogue.techniques.values()].filter((t) => !t.retired);
  const listed = new Set(offered.filter((t) => !t.plain).flatMap((t) => t.muscles));
  const resting = restingMuscles(c.screening, library);
  const keptIds = new Set(c.ask.kept.map((k) => k.technique));
  const sore = mustReach(c);
  const likesPoints = way.prefers.includes('point-holding');
  const isWanted = (t: Technique) =>
    t.muscles.some((m) => sore.has(m) && (!listed.has(m) || (likesPoints && t.points.length > 0)));
  const rubbing = rubbedWarm(c, library);

  const make = (
    t: Technique,
    step: Step,
    level: DoseLevel,
    plan: SidesPlan,
    care: string | null,
    kept: boolean,
    lowered: string | null,
  ): Candidate => {
    const needsWarmth = t.needs.includes('warmth') && rubbing && !kept;
    const isStation = t.phase === 'open-drainage' && way.order.drainage === 'open-and-close' && !kept;
    const steps = needsWarmth ? [rubbing, step] : isStation ? [step, step] : [step];
    const credits = creditsOf(t, step, targets, c, way, listed, library);
    const area = t.muscles[0]
      ? areaOfMuscle(t.muscles[0])
      : isDrainage(t)
        ? 'drainage'
        : QUIET.has(t.phase)
          ? t.phase
          : (t.regions[0] ?? '');
    const hardest = hardestOf(step);
    const region =
      hardest && hardest !== 'feather'
        ? (t.regions.find((r) => FACE_REGIONS.includes(r) && r !== 'whole-face') ?? null)
        : null;
    const needs: UnitName[] = [];
    if (t.tool === 'microcurrent-device') needs.push('gloves');
    else if (step.glide === 'product' || t.needs.includes('glide')) needs.push('product');
    if (t.needs.includes('opened-hollow') && !t.roles.includes('closes-collarbone')) needs.push('drainage');
    const where = t.muscles[0] ?? t.regions[0] ?? '';
    const reaching = (id: string, minutes: number) =>
      minutes >= REACHED_MINUTES && id.startsWith('m:') && t.phase !== 'exercise' && !isDrainage(t);
    return {
      index: candidates.length,
      technique: t,
      level,
      plan,
      steps,
      main: step,
      seconds: totalsOfSteps(steps).totalSeconds,
      credits,
      reaches: new Set([...credits].filter(([id, m]) => reaching(id, m)).map(([id]) => id)),
      area,
      // Plain work of one place is one thing, however the finger moves on it.
      group: t.plain
        ? `plain work at ${t.points[0] ?? area}`
        : `${area}, ${t.phase === 'warm-up' ? 'warm ' : ''}${FAMILY[step.motion]}`,
      part: partOf(t),
      region,
      hand: handMinutes(step),
      needs,
      tool: t.tool,
      care,
      rank: hardest ? pressureRank(hardest) : 0,
      where,
      touches: new Set([...t.muscles, where]),
      kept,
      lowered,
    };
  };

  for (const step of c.ask.kept) {
    const t = catalogue.techniques.get(step.technique)!;
    const a = admitted(step, step.pressure?.there ?? null, c, library);
    if ('ban' in a || JSON.stringify(a.step) !== JSON.stringify(step))
      keptBanned.push({ step, text: 'ban' in a ? a.ban : `${t.name} is not allowed as it was kept.` });
    candidates.push(make(t, step, 'usual', 'as-taught', 'care' in a ? a.care : null, true, null));
  }

  for (const t of offered) {
    if (keptIds.has(t.id) || isNoWork(t, c, way)) continue;
    // Plain work is there where something is clearly sore and the trade has no way of its own for it, or likes points.
    if (t.plain && !isWanted(t)) continue;
    const out = (why: LeftOutWhy, text: string): void => void excluded.push({ technique: t, why, text });
    const why = unavailable(t, c, way);
    if (why) {
      out(...why);
      continue;
    }
    const usual = newStep(t, 'x');
    if (t.needs.includes('warmth') && !rubbing) {
      out('needs', 'needs warm palms, which are off limits today');
      continue;
    }
    const start = usual.pressure ? startPressure(t, usual.pressure.there, c) : null;
    if (start && t.pressure && pressureRank(start.pressure) < pressureRank(t.pressure.least)) {
      out('pressure', `only done ${t.pressure.least}; ${start.pressure} at most here: ${start.why}`);
      continue;
    }
    const lighter = start && pressureRank(start.pressure) < pressureRank(usual.pressure!.there);
    const a = admitted(
      lighter ? { ...usual, pressure: pressed(start.pressure) } : usual,
      t.pressure?.least ?? null,
      c,
      library,
    );
    if ('ban' in a) {
      out('off-limits', a.ban);
      continue;
    }
    const rested = besideResting(a.step, t, resting);
    if (!rested.step) {
      out('off-limits', `left alone: ${rested.title}; light work may be added by hand`);
      continue;
    }
    // What screening lowers is told before what soreness does.
    const lowered = a.lowered ?? start?.why ?? null;
    const variants: Candidate[] = [];
    let missing: UnitName | undefined;
    for (const { plan, level, step, care } of variantsOf(rested.step, t, c, library)) {
      const made = make(t, step, level, plan, care, false, lowered);
      const lacks = made.needs.find((n) => !units.some((u) => u.name === n));
      if (lacks) missing = lacks;
      else if (!variants.some((v) => sameInAll(v, made))) variants.push(made);
    }
    if (!variants.length && missing) out('needs', `needs ${UNIT_WORDS[missing]}, which is not to be had today`);
    for (const v of variants) candidates.push({ ...v, index: candidates.length });
  }
  return { candidates, units, excluded, keptBanned };
}

/** The palms rubbed warm, as they may be today; null where they may not. */
function rubbedWarm(c: ProposalCase, library: Library): Step | null {
  const t = techniqueFor('warms-hands', library.catalogue);
  const a = t && admitted(newStep(t, 'x'), t.pressure?.least ?? null, c, library);
  return a && 'step' in a ? a.step : null;
}

const sameInAll = (a: Candidate, b: Candidate): boolean =>
  a.seconds === b.seconds && a.plan === b.plan && a.rank === b.rank && a.main.contact === b.main.contact;

/** Muscles that must be reached. */
export const mustReach = (c: ProposalCase): ReadonlySet<string> =>
  new Set(c.tenderness.filter((t) => t.grade >= MUST_REACH).map((t) => t.muscle));

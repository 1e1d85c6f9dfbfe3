import { onOneSide } from '../limits/index.ts';
import { hardestOf, newStep, pressed, techniqueFor, type Step, type Technique } from '../routine/index.ts';
import {
  FACE_REGIONS,
  type Contact,
  otherSide,
  type Phase,
  pressureRank,
  type Region,
  type Role,
} from '../words/index.ts';
import type { LeftOutWhy, Library, ProposalCase } from './case.ts';
import { FRAME_WHOLE_FROM, LIMITED_OPENING, MUST_REACH, REACHED_MINUTES } from './constants.ts';
import { creditsOf, isDrainage } from './credits.ts';
import { type DoseLevel, shortEnough, sidesPlans, type SidesPlan, totalsOfSteps } from './doses.ts';
import { handMinutes, holdsTooLong } from './hands.ts';
import { admitted, startPressure } from './pressure.ts';
import { restingMuscles, type Target } from './targets.ts';
import { areaOfMuscle, FAMILY, HAND_CLASS, type HandClass } from './trade.ts';
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

export type UnitName = 'product' | 'drainage' | 'gloves';
/** What several steps share: glide, an opened hollow, the current. */
export interface Unit {
  name: UnitName;
  opens: Step[];
  closes: Step[];
  seconds: number;
  care: string | null;
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
/** Postures that nobody changes into in the middle of a treatment. */
const APART: ReadonlySet<Technique['position']> = new Set<Technique['position']>(['standing', 'face-down', 'head-low']);
const LOWEST_FIRM = pressureRank('firm');

export const isFrame = (c: Pick<Candidate, 'technique'>): boolean => FRAMING.has(c.technique.phase);
/** The opening is the one number there is: it is taken again where it was limited. */
export const wantsRetest = ({ openingMm, ask }: ProposalCase): boolean =>
  openingMm !== null &&
  openingMm < LIMITED_OPENING.mm &&
  ask.minutes !== null &&
  ask.minutes >= LIMITED_OPENING.fromMinutes;

function partOf(t: Technique): Part {
  if (t.phase !== 'warm-up' && t.phase !== 'release' && t.phase !== 'press') return t.phase;
  const [region] = t.regions;
  if (region && NECKISH.has(region)) return 'neck-work';
  if (region === 'hand' || region === 'arm') return 'hand-work';
  return t.phase === 'warm-up' ? 'face-warm' : t.phase === 'release' ? 'face-work' : 'face-press';
}

/** What is shared, where it may be had. */
function unitsOf(c: ProposalCase, way: Way, library: Library): Unit[] {
  const units: Unit[] = [];
  const add = (name: UnitName, opens: readonly Role[], closes: readonly Role[]): void => {
    const unit: Unit = { name, opens: [], closes: [], seconds: 0, care: null };
    for (const [roles, into] of [
      [opens, unit.opens],
      [closes, unit.closes],
    ] as const)
      for (const role of roles) {
        const t = techniqueFor(role, library.catalogue);
        if (!t || c.ask.kept.some((k) => k.technique === t.id)) continue;
        const a = admitted(newStep(t, 'x'), t.pressure?.least ?? null, c, library);
        if ('ban' in a || c.ask.excluded.includes(t.id)) return;
        unit.care ??= a.care;
        into.push(a.step);
      }
    unit.seconds =
      unit.opens.length + unit.closes.length ? totalsOfSteps([...unit.opens, ...unit.closes]).totalSeconds : 0;
    units.push(unit);
  };
  add('product', ['spreads-glide'], []);
  add('drainage', ['opens-collarbone'], way.order.drainage === 'none' ? [] : ['closes-collarbone']);
  if (c.ask.tools.includes('microcurrent-device')) add('gloves', ['sets-up-current'], []);
  return units;
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
  const warms = techniqueFor('warms-hands', catalogue);

  const make = (
    t: Technique,
    step: Step,
    level: DoseLevel,
    plan: SidesPlan,
    care: string | null,
    kept: boolean,
    lowered: string | null,
  ): Candidate => {
    const needsWarmth = t.needs.includes('warmth') && warms && !kept;
    const isStation = t.phase === 'open-drainage' && way.order.drainage === 'open-and-close' && !kept;
    const steps = needsWarmth ? [newStep(warms, 'x'), step] : isStation ? [step, step] : [step];
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
    const base = rested.step;
    // What screening lowers is told before what soreness does.
    const lowered = a.lowered ?? start?.why ?? null;
    const variants: Candidate[] = [];
    for (const pressedStep of withLighter(base, t))
      for (const heldStep of withOtherContact(pressedStep, t))
        for (const { plan, step } of sidesPlans(heldStep, t.muscles, c)) {
          // What screening or the neck asks to be done side by side stays so.
          const sided: Step =
            heldStep.sides.mode === 'each' && step.sides.mode === 'together'
              ? { ...step, sides: { ...step.sides, mode: 'each' } }
              : step;
          for (const level of levelsOf(t, plan, c)) {
            const dosed = shortEnough(sided, level);
            if (!dosed || holdsTooLong(dosed)) continue;
            const made = make(t, dosed, level, plan, a.care, false, lowered);
            const missing = made.needs.find((n) => !units.some((u) => u.name === n));
            if (missing) {
              if (!variants.length && level === 'usual')
                out('needs', `needs ${UNIT_WORDS[missing]}, which is not to be had today`);
              continue;
            }
            if (!variants.some((v) => sameInAll(v, made))) variants.push(made);
          }
        }
    for (const v of variants) candidates.push({ ...v, index: candidates.length });
  }
  return { candidates, units, excluded, keptBanned };
}

const UNIT_WORDS: Record<UnitName, string> = {
  product: 'oil or cream',
  drainage: 'an opened collarbone hollow',
  gloves: 'the current set up',
};

const sameInAll = (a: Candidate, b: Candidate): boolean =>
  a.seconds === b.seconds && a.plan === b.plan && a.rank === b.rank && a.main.contact === b.main.contact;

/** Assessing, preparing and what several steps share: done in its own stage or as a unit, never chosen by itself. */
function isNoWork(t: Technique, c: ProposalCase, way: Way): boolean {
  if (t.roles.includes('retests-opening')) return !wantsRetest(c);
  if (t.isTest || t.roles.some((r) => r !== 'soothes')) return true;
  if (t.phase === 'compare') return true;
  return t.phase === 'prepare' && !(way.prefers.includes('breathwork') && t.by === 'both');
}

/** Why a technique is out before anything of this client is looked at. */
function unavailable(t: Technique, c: ProposalCase, way: Way): [LeftOutWhy, string] | null {
  if (c.ask.excluded.includes(t.id)) return ['excluded', 'taken out by the practitioner'];
  if (t.tool && !c.ask.tools.includes(t.tool)) return ['tool', `needs the ${t.tool.replaceAll('-', ' ')}, not at hand`];
  const ownMuscles = t.phase === 'exercise' || t.motion === 'breathe';
  if (c.ask.hands === 'practitioner' && t.by === 'client' && !ownMuscles) return ['hands-of', 'done on oneself'];
  if (c.ask.hands === 'own' && t.by === 'practitioner') return ['hands-of', 'cannot be done on oneself'];
  if (c.ask.hands === 'practitioner' && APART.has(t.position))
    return ['position', `asks the client to change to ${t.position.replaceAll('-', ' ')}`];
  if (isDrainage(t) && way.order.drainage === 'none') return ['school', `${way.name} has no drainage`];
  if (t.phase === 'open-drainage' && way.stationsMost === 0) return ['school', `${way.name} does not open a drainage`];
  return null;
}

/** A step beside muscles that are left alone: as it is, on the free side, or not at all. */
function besideResting(
  step: Step,
  t: Technique,
  resting: ReadonlyMap<string, string>,
): { step: Step | null; title: string } {
  if (!step.pressure || step.pressure.there === 'feather') return { step, title: '' };
  const titleOn = (side: 'left' | 'right') =>
    t.muscles.map((m) => resting.get(`${m}.${side}`)).find((x) => x !== undefined);
  const { mode } = step.sides;
  const touched = mode === 'left' || mode === 'right' ? [mode] : (['left', 'right'] as const);
  const closed = touched.filter((s) => titleOn(s) !== undefined);
  if (!closed.length) return { step, title: '' };
  const title = titleOn(closed[0]!)!;
  if (closed.length === touched.length || mode === 'midline') return { step: null, title };
  return { step: onOneSide(step, otherSide(closed[0]!)), title };
}

/** Medium beside firm, where the technique allows it. */
function withLighter(step: Step, t: Technique): Step[] {
  const there = step.pressure?.there;
  const firm = there === 'firm' || there === 'deep';
  return firm && t.pressure && pressureRank(t.pressure.least) < LOWEST_FIRM
    ? [step, { ...step, pressure: pressed('medium') }]
    : [step];
}
/** What takes the thumb's place, the likest first. Our choice. */
const IN_PLACE_OF_THUMB: readonly Contact[] = [
  'fingertips',
  'two-fingers',
  'middle-finger',
  'index-knuckle',
  'knuckles',
];
/** The contact that spares the thumb beside the thumb. */
function withOtherContact(step: Step, t: Technique): Step[] {
  if (HAND_CLASS[step.contact] !== 'thumb') return [step];
  const other = IN_PLACE_OF_THUMB.find((x) => t.contacts.includes(x));
  return other ? [step, { ...step, contact: other }] : [step];
}
/** Which doses are tried: a frame keeps what is taught where there is time; plain work and extra sets are not drawn out. */
function levelsOf(t: Technique, plan: SidesPlan, { ask }: ProposalCase): readonly DoseLevel[] {
  if (t.plain) return ['usual'];
  const whole = ask.minutes !== null && ask.minutes >= FRAME_WHOLE_FROM;
  if (whole && (t.phase === 'breathe' || isDrainage(t))) return plan === 'extra' ? ['usual'] : ['usual', 'more'];
  return plan === 'extra' ? ['least', 'usual'] : ['least', 'usual', 'more'];
}

/** Muscles that must be reached. */
export const mustReach = (c: ProposalCase): ReadonlySet<string> =>
  new Set(c.tenderness.filter((t) => t.grade >= MUST_REACH).map((t) => t.muscle));

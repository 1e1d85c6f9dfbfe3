import { type Contact, InputError, type OneSide, otherSide, type Pressure, type Side } from '../words/index.ts';
import {
  BOUNDS,
  goesBothWays,
  type Block,
  type Body,
  type BreathPhaseLength,
  type DosePart,
  type Routine,
  type Step,
} from './model.ts';

/**
 * The cue list: what happens from when to when. It is the one truth behind the total, the ribbon, the chart, the voice,
 * the player and the run record; each of them reads a cue and nothing beside it. Times in milliseconds from the start
 * of the routine, exact (not rounded), each cue beginning where the one before ended.
 */
export type CueKind = DosePart['kind'] | PauseKind | 'done';
/** Cues in which nobody counts. */
type PauseKind = 'find-place' | 'next-place' | 'change-direction' | 'rest' | 'change-side' | 'swap';

export interface Cue {
  /** In the list. */
  index: number;
  /** What is done. */
  kind: CueKind;
  /** Index of the step among all steps of the routine, those of blocks among them. */
  stepIndex: number;
  /** Id of the step. */
  stepId: string;
  /** Index of the block among the items of the routine; null outside of blocks. */
  blockIndex: number | null;
  /** Which part of the dose; null in pauses. */
  partIndex: number | null;
  /** From the start of the routine. */
  startMs: number;
  /** From the start of the routine. */
  endMs: number;
  /** Shortest and longest that it may become: open doses, and counts with a most. */
  leastMs: number;
  /** Longest that it may become. */
  mostMs: number;
  /** The client's. */
  side: Side;
  /** 1-based, on this side. */
  set: number;
  /** Sets on this side. */
  sets: number;
  /** Which place of the path, from 0; null while one pass covers the whole path. */
  placeIndex: number | null;
  /** Places of the path. */
  places: number;
  /** Of a stroke with two ways; null where the contact has no way. */
  way: 'there' | 'back' | null;
  /** On this way; null where nothing presses. */
  pressure: Pressure | null;
  /** On the way back within one count, of a stroke to and fro; null where it is the same. */
  pressureBack: Pressure | null;
  /** Counted repetitions; null in other cues. */
  beats: { count: number; most: number | null; intervalMs: number; unit: string } | null;
  /** Paced breathing; null in other cues. */
  breath: { cycles: number; phases: readonly BreathPhaseLength[] } | null;
  /** What is waited for; null in other cues. */
  open: { until: string } | null;
  /** What to look at or compare. */
  check: string | null;
  /** What to read, and where. */
  test: { measure: string; place: string } | null;
  /** Hands, or a tool in them, are on the client; not while somebody breathes, looks or moves by themselves. */
  hands: boolean;
  /** What the client does in it. */
  body: Body;
  /** What stays put in it. */
  still: Step['still'];
  /** When hands change over in it. */
  swap: Step['swap'];
}

const WORKING_KINDS = {
  hold: true,
  beats: true,
  open: true,
  breath: true,
  check: true,
  test: true,
} as const satisfies Record<DosePart['kind'], true>;
/** Cues in which something is done; the others are changes and pauses. */
export const WORKING: ReadonlySet<CueKind> = new Set(Object.keys(WORKING_KINDS) as CueKind[]);

const HAND_KINDS: ReadonlySet<DosePart['kind']> = new Set<DosePart['kind']>(['hold', 'beats', 'open']);
const NO_HANDS: ReadonlySet<Contact> = new Set<Contact>(['none', 'tongue']);

interface Round {
  side: Side;
  set: number;
  sets: number;
}

/** The rounds of one step in the order they are done. */
function roundsOf(step: Step): Round[] {
  const { mode, first, sets, extra, sequence } = step.sides;
  if (mode === 'together' || mode === 'midline') {
    const side: Side = mode === 'together' ? 'both' : 'midline';
    return Array.from({ length: sets }, (_, i) => ({ side, set: i + 1, sets }));
  }
  const setsOn = (side: OneSide) => sets + (extra?.side === side ? extra.sets : 0);
  const roundsOn = (side: OneSide): Round[] =>
    Array.from({ length: setsOn(side) }, (_, i) => ({ side, set: i + 1, sets: setsOn(side) }));
  if (mode === 'left' || mode === 'right') return roundsOn(mode);
  const second = otherSide(first);
  if (sequence === 'side-complete') return [...roundsOn(first), ...roundsOn(second)];
  const out: Round[] = [];
  for (let set = 1; set <= Math.max(setsOn(first), setsOn(second)); set++)
    for (const side of [first, second]) if (set <= setsOn(side)) out.push({ side, set, sets: setsOn(side) });
  return out;
}

const cycleSeconds = (phases: readonly BreathPhaseLength[]): number => phases.reduce((sum, p) => sum + p.seconds, 0);
/** Breaths per minute of a pattern. */
export const breathsPerMinute = (phases: readonly BreathPhaseLength[]): number => 60 / cycleSeconds(phases);
/** Full breaths that fit into a time, so that it ends on a complete breath out. */
export const breathCyclesIn = (seconds: number, phases: readonly BreathPhaseLength[]): number =>
  Math.floor(seconds / cycleSeconds(phases) + 1e-9);

/** Milliseconds of one pass of a part, one way, at one place: usual, least and most. */
function lengthOf(part: DosePart): [usual: number, least: number, most: number] {
  switch (part.kind) {
    case 'open':
      return [part.usualSeconds * 1000, part.leastSeconds * 1000, part.mostSeconds * 1000];
    case 'beats': {
      const interval = 60_000 / part.perMinute;
      return [part.count * interval, part.count * interval, (part.most ?? part.count) * interval];
    }
    case 'breath': {
      const ms = part.cycles * cycleSeconds(part.phases) * 1000;
      return [ms, ms, ms];
    }
    default:
      return [part.seconds * 1000, part.seconds * 1000, part.seconds * 1000];
  }
}

/** One step on one stretch of rounds: in a block a step is met once for each side. */
interface Turn {
  step: Step;
  stepIndex: number;
  blockIndex: number | null;
  rounds: readonly Round[];
  /** The block goes over to its other side here. */
  changesSide: boolean;
}

/** Steps of a block: those that are not one-sided first and once, then all of one side, then all of the other. */
function turnsOf(block: Block, blockIndex: number, from: number, sorer: OneSide): Turn[] {
  const first: OneSide = block.sides === 'sorer-first' ? sorer : block.sides === 'left-then-right' ? 'left' : 'right';
  const all = block.steps.map((step, i) => ({
    step,
    stepIndex: from + i,
    blockIndex,
    rounds: roundsOf(step),
    changesSide: false,
  }));
  const on = (...sides: Side[]): Turn[] =>
    all.flatMap((turn) => {
      const rounds = turn.rounds.filter((r) => sides.includes(r.side));
      return rounds.length ? [{ ...turn, rounds }] : [];
    });
  const one = on(first);
  const other = on(otherSide(first));
  return [
    ...on('both', 'midline'),
    ...one,
    ...other.map((turn, i) => ({ ...turn, changesSide: i === 0 && one.length > 0 })),
  ];
}

/**
 * Expand a routine into its cue list. The cost grows linearly with the cues.
 * @param sorer The client's sorer side, for blocks that begin there; the left where nobody knows.
 * @throws InputError when the whole runs longer than 120 minutes.
 * @example expandRoutine(readRoutine(file)).at(-1)!.endMs / 1000 // total in seconds
 */
export function expandRoutine(routine: Pick<Routine, 'items'>, sorer: OneSide = 'left'): Cue[] {
  const cues: Cue[] = [];
  let clockMs = 0;
  const play = ({ step, stepIndex, blockIndex, rounds, changesSide }: Turn): void => {
    const { dose, pressure, body, still, swap } = step;
    const { parts, perPlace, pauses } = dose;
    const places = Math.max(1, step.path.length);
    const stops = perPlace ? places : 1;
    const there = pressure?.there ?? null;
    const back = pressure?.back ?? there;
    const bothWays = goesBothWays(step.stroke);
    const travels = !perPlace && places > 1;
    // Written out in full: this runs for every keystroke, and spreading objects here costs thirty times as much.
    const push = (
      kind: CueKind,
      [ms, leastMs, mostMs]: readonly [number, number, number],
      round: Round,
      place: number,
      way: Cue['way'],
      partIndex: number | null,
    ): void => {
      if (ms <= 0) return;
      const part = partIndex === null ? null : parts[partIndex]!;
      cues.push({
        index: cues.length,
        kind,
        stepIndex,
        stepId: step.id,
        blockIndex,
        partIndex,
        startMs: clockMs,
        endMs: clockMs + ms,
        leastMs,
        mostMs,
        side: round.side,
        set: round.set,
        sets: round.sets,
        placeIndex: travels && part !== null ? null : place,
        places,
        way,
        pressure: way === 'back' ? back : there,
        pressureBack: step.stroke === 'to-and-fro' && back !== there ? back : null,
        beats:
          part?.kind === 'beats'
            ? { count: part.count, most: part.most, intervalMs: 60_000 / part.perMinute, unit: part.unit }
            : null,
        breath: part?.kind === 'breath' ? { cycles: part.cycles, phases: part.phases } : null,
        open: part?.kind === 'open' ? { until: part.until } : null,
        check: part?.kind === 'check' ? part.what : null,
        test: part?.kind === 'test' ? { measure: part.measure, place: part.place } : null,
        hands: part !== null && HAND_KINDS.has(part.kind) && !NO_HANDS.has(step.contact),
        body,
        still,
        swap,
      });
      clockMs += ms;
    };
    const pause = (kind: PauseKind, seconds: number, round: Round, place: number, way: Cue['way'] = null): void =>
      push(kind, [seconds * 1000, seconds * 1000, seconds * 1000], round, place, way, null);
    rounds.forEach((round, r) => {
      const before = rounds[r - 1];
      if (!before) {
        if (changesSide) pause('change-side', pauses.sideChangeSeconds, round, 0);
        pause('find-place', pauses.findPlaceSeconds, round, 0);
      } else if (before.side !== round.side) pause('change-side', pauses.sideChangeSeconds, round, 0);
      else if (swap === 'each-set') pause('swap', pauses.swapSeconds, round, 0);
      else pause('rest', pauses.restSeconds, round, 0);
      for (let place = 0; place < stops; place++) {
        if (place > 0) pause('next-place', pauses.nextPlaceSeconds, round, place);
        parts.forEach((part, partIndex) => {
          const length = lengthOf(part);
          const counted = part.kind === 'beats';
          const oneWay = counted && (bothWays || step.stroke === 'one-way' || step.stroke === 'circles-one-way');
          push(part.kind, length, round, place, oneWay ? 'there' : null, partIndex);
          if (!counted || !bothWays) return;
          pause('change-direction', pauses.directionChangeSeconds, round, place, 'back');
          push(part.kind, length, round, place, 'back', partIndex);
        });
      }
    });
  };
  let stepIndex = 0;
  routine.items.forEach((item, i) => {
    if (item.kind === 'block') {
      for (const turn of turnsOf(item, i, stepIndex, sorer)) play(turn);
      stepIndex += item.steps.length;
    } else play({ step: item, stepIndex: stepIndex++, blockIndex: null, rounds: roundsOf(item), changesSide: false });
  });
  if (clockMs > BOUNDS.routineMinutes * 60_000)
    throw new InputError(
      'items',
      `the routine runs ${Math.ceil(clockMs / 60_000)} min; at most ${BOUNDS.routineMinutes} min are accepted`,
    );
  const last = cues[cues.length - 1];
  if (last)
    cues.push({
      ...last,
      index: cues.length,
      kind: 'done',
      partIndex: null,
      startMs: clockMs,
      endMs: clockMs,
      leastMs: 0,
      mostMs: 0,
      way: null,
      beats: null,
      breath: null,
      open: null,
      check: null,
      test: null,
      hands: false,
    });
  return cues;
}

/** Onset of beat `k` (0-based), scheduled from the start of its cue and never by adding rounded intervals. */
export const beatOnsetMs = (cue: Cue, k: number): number => cue.startMs + k * (cue.beats?.intervalMs ?? 0);

/**
 * Where on the path the contact is, so many ms into a cue: at one place while it is worked place by place, travelling
 * while one pass covers the path. Counted strokes travel once a count, the same way each time or there and back.
 * @returns 0 … places − 1, between two places while it travels from one to the next
 */
export function alongPath(cue: Cue, intoMs: number, stroke: Step['stroke']): number {
  if (cue.placeIndex !== null) return cue.placeIndex;
  const lengthMs = cue.endMs - cue.startMs;
  const strokes = cue.beats && stroke !== 'circles-one-way' && stroke !== 'circles-both-ways';
  const at = Math.min(intoMs, lengthMs);
  const passMs = cue.beats?.intervalMs ?? 0;
  const share = strokes ? (at % passMs) / passMs : lengthMs > 0 ? at / lengthMs : 0;
  const along = stroke === 'to-and-fro' && strokes ? 1 - Math.abs(1 - 2 * share) : share;
  const place = along * (cue.places - 1);
  return cue.way === 'back' ? cue.places - 1 - place : place;
}

export interface BreathPhase {
  /** What is breathed. */
  phase: BreathPhaseLength['what'];
  /** From the start of the routine. */
  startMs: number;
  /** From the start of the routine. */
  endMs: number;
  /** From 1. */
  cycle: number;
}

/** The phases of a breath cue, in order. */
export function breathPhases(cue: Cue): BreathPhase[] {
  if (!cue.breath) return [];
  const out: BreathPhase[] = [];
  let at = cue.startMs;
  for (let cycle = 1; cycle <= cue.breath.cycles; cycle++)
    for (const { what, seconds } of cue.breath.phases) {
      out.push({ phase: what, startMs: at, endMs: at + seconds * 1000, cycle });
      at += seconds * 1000;
    }
  return out;
}

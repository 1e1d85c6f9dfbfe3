import { leftAlone, type Screening } from '../limits/index.ts';
import { COMPLAINT_NAMES, type OneSide, REGION_NAMES } from '../words/index.ts';
import type { Known, Library, ProposalCase } from './case.ts';
import {
  COMPLAINT_RETURNS,
  COMPLAINT_WORTH,
  FELT_AT_COMPLAINT,
  LEFT_OUT_COST,
  MUSCLE_RETURNS,
  MUST_REACH,
  OTHER_SIDE_SHARE,
  REGION_RETURNS,
  type Returns,
  SHORT,
  SPOT_WORTH,
  TENDERNESS_WORTH,
  TENSE_WORTH,
  THEIR_PAIN,
  USUAL_MUSCLE_WORTH,
  WISH_RETURNS,
  WISH_WORTH,
} from './constants.ts';
import { areaOfMuscle, COMPLAINT_MUSCLES, COMPLAINT_REGIONS, musclesOfArea } from './trade.ts';

/** One thing this client needs, with what a first minute on it is worth. */
export interface Target {
  id: string;
  kind: 'muscle' | 'region' | 'complaint';
  /** Muscle, region or kind of complaint. */
  of: string;
  /** The client's; null where it has none. */
  side: OneSide | null;
  worth: number;
  returns: Returns;
  /** Must be reached, or its absence explained; what leaving it out costs. */
  must: boolean;
  leaveCost: number;
  /** "left masseter 3 of 3, their pain". */
  words: string;
}

/** The name of a muscle within a sentence. */
export const muscleName = (id: string, { muscles }: Library): string =>
  (muscles.find((m) => m.id === id)?.name ?? id).toLowerCase();

/** Muscles that are left alone today, and what lies under one contact with them, by muscle and side, with the reason. */
export function restingMuscles(screening: Screening, { muscles }: Library): Map<string, string> {
  const out = leftAlone(screening, muscles);
  for (const [key, title] of [...out]) {
    const [muscle, side] = key.split('.') as [string, OneSide];
    for (const id of musclesOfArea(areaOfMuscle(muscle)))
      if (!out.has(`${id}.${side}`)) out.set(`${id}.${side}`, title);
  }
  return out;
}

const leaveCostOf = ({ ask }: ProposalCase, isWorst: boolean): number =>
  ask.minutes === null ? 0 : isWorst || ask.minutes > SHORT.minutes ? LEFT_OUT_COST : SHORT.leftOutCost;

/** What this client needs, in a fixed order. */
export function targetsOf(c: ProposalCase, library: Library): Target[] {
  const targets = new Map<string, Target>();
  const add = (t: Omit<Target, 'must' | 'leaveCost'> & Partial<Pick<Target, 'must' | 'leaveCost'>>): void => {
    const next: Target = { must: false, leaveCost: 0, ...t };
    const had = targets.get(t.id);
    targets.set(
      t.id,
      had
        ? {
            ...had,
            // Two reasons for one place: the stronger whole, a quarter of the other.
            worth: Math.max(had.worth, next.worth) + 0.25 * Math.min(had.worth, next.worth),
            must: had.must || next.must,
            leaveCost: Math.max(had.leaveCost, next.leaveCost),
            words: had.worth >= next.worth ? had.words : next.words,
          }
        : next,
    );
  };
  const felt = c.complaints.filter((x) => x.score > 0);
  const complaintRegions = new Set(felt.flatMap((x) => COMPLAINT_REGIONS[x.kind]));
  const alone = restingMuscles(c.screening, library);
  for (const t of c.tenderness) {
    if (t.grade === 0) continue;
    const feltThere = t.feltIn.filter((r) => complaintRegions.has(r));
    const words = [`${t.side} ${muscleName(t.muscle, library)} ${t.grade} of 3`];
    if (t.theirPain) words.push('their pain');
    if (feltThere.length) words.push(`felt at the ${feltThere.map((r) => REGION_NAMES[r]).join(' and ')}`);
    add({
      id: `m:${t.muscle}:${t.side}`,
      kind: 'muscle',
      of: t.muscle,
      side: t.side,
      worth: TENDERNESS_WORTH[t.grade] * (t.theirPain ? THEIR_PAIN : 1) * (feltThere.length ? FELT_AT_COMPLAINT : 1),
      returns: MUSCLE_RETURNS,
      must: t.grade >= MUST_REACH,
      leaveCost: alone.has(`${t.muscle}.${t.side}`) ? 0 : leaveCostOf(c, t.grade === 3 || t.theirPain),
      words: words.join(', '),
    });
  }
  for (const x of felt) {
    const share = x.score / 10;
    const name = COMPLAINT_NAMES[x.kind].toLowerCase();
    add({
      id: `c:${x.kind}:${x.side ?? ''}`,
      kind: 'complaint',
      of: x.kind,
      side: x.side,
      worth: COMPLAINT_WORTH * share,
      returns: COMPLAINT_RETURNS,
      words: `${x.side ? `${x.side} ` : ''}${name} ${x.score} of 10`,
    });
    for (const muscle of COMPLAINT_MUSCLES[x.kind])
      for (const side of ['left', 'right'] as const)
        add({
          id: `m:${muscle}:${side}`,
          kind: 'muscle',
          of: muscle,
          side,
          worth: USUAL_MUSCLE_WORTH * share * (x.side && x.side !== side ? OTHER_SIDE_SHARE : 1),
          returns: MUSCLE_RETURNS,
          words: `${muscleName(muscle, library)}, usual with ${name}`,
        });
  }
  for (const s of c.tightSpots)
    for (const side of s.side === 'midline' ? (['left', 'right'] as const) : [s.side])
      add({
        id: `r:${s.region}:${side}`,
        kind: 'region',
        of: s.region,
        side,
        worth: SPOT_WORTH[s.grade] * (s.side === 'midline' ? 0.5 : 1),
        returns: REGION_RETURNS,
        words: `tight spot at the ${REGION_NAMES[s.region]}, ${s.grade} of 3`,
      });
  for (const r of c.tenseRegions)
    add({
      id: `r:${r}:`,
      kind: 'region',
      of: r,
      side: null,
      worth: TENSE_WORTH,
      returns: REGION_RETURNS,
      words: `${REGION_NAMES[r]} felt tense`,
    });
  for (const r of c.ask.more)
    add({
      id: `w:${r}:`,
      kind: 'region',
      of: r,
      side: null,
      worth: WISH_WORTH,
      returns: WISH_RETURNS,
      words: `more of the ${REGION_NAMES[r]} was wished`,
    });
  return [...targets.values()].sort((a, b) => (a.id < b.id ? -1 : 1));
}

/** The side that is clearly sorer in a set of muscles; null when neither is. */
export function sorerOf(
  { tenderness }: Pick<Known, 'tenderness'>,
  muscles: readonly string[],
  factor: number,
): { side: OneSide; words: string } | null {
  const areas = new Set(muscles.map(areaOfMuscle));
  const there = tenderness.filter((t) => areas.has(areaOfMuscle(t.muscle)));
  const most = (side: OneSide, of: (t: Known['tenderness'][number]) => number) =>
    Math.max(0, ...there.filter((t) => t.side === side).map(of));
  const worth = (side: OneSide) => most(side, (t) => t.grade * (t.theirPain ? THEIR_PAIN : 1));
  const side: OneSide = worth('left') > worth('right') ? 'left' : 'right';
  const other: OneSide = side === 'left' ? 'right' : 'left';
  if (worth(side) < 1 || worth(side) === worth(other) || worth(side) < factor * worth(other)) return null;
  const grade = (s: OneSide) => most(s, (t) => t.grade);
  const name = side === 'left' ? 'Left' : 'Right';
  return {
    side,
    words:
      grade(side) > grade(other)
        ? `${name} is sorer, ${grade(side)} against ${grade(other)} of 3.`
        : `${name} is the pain they know, ${grade(side)} of 3 on both sides.`,
  };
}

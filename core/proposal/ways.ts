import { type OrderProfile, type School, USUAL_ORDER } from '../routine/index.ts';
import { FACE_REGIONS, NECK_REGIONS, type Craft, type Phase, type Region } from '../words/index.ts';

/** Phases, with the work on the neck told from the work on the face. */
export type Part = Phase | 'neck-work' | 'face-warm' | 'face-work' | 'face-press' | 'hand-work';

/** One school as a proposal follows it: which block comes when, and what it asks for. */
export interface Way {
  /** As it is shown. */
  name: string;
  order: OrderProfile;
  /** Blocks in which the work is done; the order inside a block is found. */
  blocks: readonly (readonly Part[])[];
  /** Place of a region in the school's walk; null where it may come anywhere. */
  walkRank: (region: Region) => number | null;
  /** Crafts it prefers. */
  prefers: readonly Craft[];
  /** Breath opens, something soothing ends, a light drainage clears: from so many minutes on; null = never asked for. */
  breathFrom: number | null;
  settleFrom: number | null;
  clearFrom: number | null;
  /** Opening stations at most. */
  stationsMost: number;
}

/** Crafts and minutes by school. Which crafts a school works in is common practice, no source; the minutes are our choice. */
const SETTINGS: Record<
  string,
  Partial<Pick<Way, 'prefers' | 'breathFrom' | 'settleFrom' | 'clearFrom' | 'stationsMost'>>
> = {
  'neck-first': { prefers: ['hand-massage', 'neck-stretch'], stationsMost: 1 },
  'back-chest-upward': { prefers: ['fascia-release', 'hand-massage'] },
  'top-down': { prefers: ['hand-massage', 'shiatsu-press'], breathFrom: 12, clearFrom: null },
  'bottom-up': { prefers: ['hand-massage', 'fascia-release'] },
  'periphery-first': { prefers: ['point-holding', 'tapping-qigong'], clearFrom: null },
  'framed-by-drainage': {
    prefers: ['lymph-drainage', 'fascia-release'],
    breathFrom: 15,
    settleFrom: 8,
    clearFrom: 5,
    stationsMost: 4,
  },
  'framed-by-breath': { prefers: ['breathwork', 'hand-massage'], breathFrom: 4, settleFrom: 4 },
  'joint-side-first': { prefers: ['hand-massage', 'shiatsu-press'] },
  'points-in-massage': { prefers: ['point-holding', 'shiatsu-press'], clearFrom: null },
  'target-only': { prefers: ['hand-massage'], breathFrom: null, settleFrom: null, clearFrom: null },
  'reflex-zones': { prefers: ['reflex-probe', 'point-holding'], breathFrom: null, clearFrom: null },
};

const HEAD: readonly (readonly Part[])[] = [['prepare'], ['breathe'], ['open-drainage']];
const TAIL: readonly (readonly Part[])[] = [['stretch'], ['exercise'], ['close-drainage'], ['settle'], ['compare']];
const NECK: readonly Part[] = ['neck', 'neck-work'];
/** Warmth goes before the work of its own area, not before all: the hand stays where it has warmed. */
const FACE: readonly (readonly Part[])[] = [['face-warm', 'face-work', 'face-press']];

/** A school as a proposal follows it. */
export function wayOf(school: School | undefined): Way {
  const order = school?.order ?? USUAL_ORDER;
  const walk = new Map((school?.walk ?? []).flatMap((regions, rank) => regions.map((r) => [r, rank] as const)));
  const first = (of: readonly Region[]) => Math.min(...of.map((r) => walk.get(r) ?? Infinity));
  // Where the school does not say neck first, its walk does.
  const neckFirst = order.begin === 'neck' || first([...NECK_REGIONS, 'shoulder']) <= first(FACE_REGIONS);
  const handsFirst = first(['hand', 'arm']) < first([...NECK_REGIONS, ...FACE_REGIONS]);
  const hands: readonly Part[] = ['hand-work'];
  return {
    name: school?.name ?? 'No school',
    order,
    blocks: [
      ...HEAD,
      ...(handsFirst ? [hands] : []),
      ...(neckFirst ? [NECK, ...FACE] : [...FACE, NECK]),
      ...(handsFirst ? [] : [hands]),
      ...TAIL,
    ],
    walkRank: (region) => walk.get(region) ?? null,
    prefers: [],
    breathFrom: 8,
    settleFrom: 4,
    clearFrom: order.drainage === 'none' ? null : 12,
    stationsMost: order.drainage === 'open-and-close' ? 1 : 0,
    ...SETTINGS[school?.id ?? ''],
  };
}

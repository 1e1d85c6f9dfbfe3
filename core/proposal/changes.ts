import { loadLimits } from '../rules/index.ts';
import { FACE_REGIONS, pressureRank } from '../words/index.ts';
import type { Candidate } from './candidates.ts';
import { CHANGE_SECONDS as COST, REGION_AT } from './constants.ts';
import { HAND_CLASS } from './trade.ts';
import type { Way } from './ways.ts';

export const isWet = (c: Candidate): boolean => c.needs.includes('product');
const isDry = (c: Candidate): boolean =>
  (c.main.glide === 'dry' || c.technique.needs.includes('bare-skin')) && c.main.contact !== 'none' && !isWet(c);
const zone = (c: Candidate): string => (c.technique.regions.some((r) => FACE_REGIONS.includes(r)) ? 'face' : 'neck');
const byThumbs = (c: Candidate): boolean => HAND_CLASS[c.main.contact] === 'thumb' && c.rank > pressureRank('feather');

/** Where the hand is, in mm forward and up: the middle of its first two regions. */
export function handAt({ technique }: Candidate): readonly [number, number] {
  const of = technique.regions.slice(0, 2).map((r) => REGION_AT[r]);
  if (!of.length) return [0, 0];
  return [of.reduce((s, p) => s + p[0], 0) / of.length, of.reduce((s, p) => s + p[1], 0) / of.length];
}

/** Seconds lost between two steps: way, contact, tool, thumbs that get no rest, going back in the school's walk. */
export function change(a: Candidate | null, b: Candidate, way: Way): number {
  if (!a) return 0;
  const [p, q] = [handAt(a), handAt(b)];
  let cost = COST.perMm * Math.hypot(p[0] - q[0], p[1] - q[1]);
  if (a.main.contact !== b.main.contact) cost += COST.contact;
  if (a.tool !== b.tool) cost += COST.tool;
  if (byThumbs(a) && byThumbs(b))
    cost += a.seconds + b.seconds > loadLimits().thumbsSeconds ? COST.thumbOverrun : COST.thumbAgain;
  const rank = (c: Candidate) => (c.technique.regions[0] ? way.walkRank(c.technique.regions[0]) : null);
  const [from, to] = [rank(a), rank(b)];
  if (from !== null && to !== null && to < from) cost += COST.againstWalk * (from - to);
  return cost;
}

/** True when `a` has to come before `b`: the lighter touch before the firm one, warmth before the work of its area. */
export function precedes(a: Candidate, b: Candidate): boolean {
  if (a === b) return false;
  const firm = pressureRank('firm');
  if (b.rank >= firm && a.rank > 0 && a.rank < firm && a.touches.has(b.where)) return true;
  if (a.area === b.area && a.technique.phase === 'warm-up' && b.technique.phase !== 'warm-up') return true;
  return a.technique.phase === 'neck' && b.part === 'neck-work' && b.rank >= firm;
}

/** What the cost of a step needs to know about what was done before it, as bit masks over the items of its block. */
export interface Masks {
  must: number;
  wet: number;
  wetBefore: boolean;
  area: number;
  firmer: number;
}
export function masksOf(items: readonly Candidate[], before: readonly Candidate[]): Masks[] {
  const mask = (test: (a: Candidate) => boolean): number => items.reduce((m, a, i) => (test(a) ? m | (1 << i) : m), 0);
  const firm = pressureRank('firm');
  return items.map((b) => ({
    must: mask((a) => precedes(a, b)),
    wet: isDry(b) ? mask((a) => isWet(a) && zone(a) === zone(b)) : 0,
    wetBefore: isDry(b) && before.some((a) => isWet(a) && zone(a) === zone(b)),
    area: mask((a) => a.area === b.area),
    firmer: b.rank < firm ? mask((a) => a.area === b.area && a.rank > b.rank && a.technique.phase !== 'press') : 0,
  }));
}
/** Seconds that the history costs: dry grips on an oiled face, coming back to an area, lighter work after firmer. */
export const historyCost = (m: Masks, done: number, sameArea: boolean): number =>
  (m.wetBefore || (done & m.wet) !== 0 ? COST.dryAfterProduct : 0) +
  (!sameArea && (done & m.area) !== 0 ? COST.areaBack : 0) +
  ((done & m.firmer) !== 0 ? COST.lightAfterFirm : 0);

import { type Catalogue, newStep, type Technique } from '../routine/index.ts';
import type { Region } from '../words/index.ts';
import { isWholeVisit, parseAppliesTo } from './grammar.ts';
import { breachesOf, screen, type Caution, type Limit } from './screen.ts';

/** How a caution touches one place or technique. */
export interface Reach {
  effect: 'off' | 'capped' | 'care';
  /** What is off: "firm and deep pressure", "rubbing"; empty when everything is. */
  what: string;
}

const RANK: Record<Reach['effect'], number> = { off: 3, capped: 2, care: 1 };
const harder = (a: Reach | null, b: Reach): Reach => (!a || RANK[b.effect] > RANK[a.effect] ? b : a);

/** How a caution touches a place of a region, a point or a muscle; null when it does not. */
export function reachOfPlace(
  caution: Caution,
  place: { region: Region | null; point?: string; muscle?: string },
): Reach | null {
  let reach: Reach | null = null;
  const bans = caution.severity === 'refer-out' || caution.severity === 'avoid';
  for (const clause of parseAppliesTo(caution.appliesTo)) {
    if (isWholeVisit(clause)) {
      reach = harder(reach, { effect: bans ? 'off' : 'care', what: bans ? 'the whole visit' : '' });
      continue;
    }
    const where = clause.filter((t) => t.kind === 'region' || t.kind === 'point' || t.kind === 'muscle');
    const holds =
      where.length > 0 &&
      where.every((t) =>
        t.kind === 'region'
          ? place.region !== null && t.values.includes(place.region)
          : t.kind === 'point'
            ? place.point !== undefined && t.values.includes(place.point)
            : place.muscle !== undefined && t.values.includes(place.muscle),
      );
    if (!holds) continue;
    const rest = clause.filter((t) => !where.includes(t));
    const what = rest
      .map(
        (t) => `${t.values.map((v) => v.replaceAll('-', ' ')).join(' or ')}${t.kind === 'pressure' ? ' pressure' : ''}`,
      )
      .join(' with ');
    reach = harder(reach, {
      effect:
        !bans && !(caution.severity === 'adapt' && rest.some((t) => t.kind === 'pressure'))
          ? 'care'
          : rest.length
            ? 'capped'
            : 'off',
      what,
    });
  }
  return reach;
}

/** How a caution touches a technique as it is usually done. */
export function reachOfTechnique(caution: Caution, technique: Technique, catalogue: Catalogue): Reach | null {
  const everyone = { ...caution, question: null };
  const breaches = breachesOf(newStep(technique, 'x'), screen([everyone], {}), catalogue);
  let reach: Reach | null = technique.heed.includes(caution.key) ? { effect: 'care', what: '' } : null;
  const effect = (e: Limit['effect'], freed: boolean): Reach['effect'] =>
    e === 'ban' ? (freed ? 'capped' : 'off') : 'care';
  for (const b of breaches)
    reach = harder(reach, {
      effect: effect(b.effect, b.lowerTo !== null),
      what: b.lowerTo ? `more than ${b.lowerTo} pressure` : '',
    });
  return reach;
}

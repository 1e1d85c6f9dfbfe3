import { hardestOf, touchedRegions, type Catalogue } from '../routine/index.ts';
import { pressureRank, type Region } from '../words/index.ts';
import type { Selector } from './rule.ts';
import type { Placed } from './types.ts';

/** 0 where nothing presses, 1 feather … 5 deep: the harder of the two pressures. */
export function rankOf(p: Placed): number {
  const hardest = hardestOf(p.step);
  return hardest ? pressureRank(hardest) : 0;
}

function inSome(regions: readonly Region[], p: Placed, catalogue: Catalogue): boolean {
  const touched = touchedRegions(p.step, p.technique, catalogue);
  return regions.some((r) => touched.has(r));
}

/** Whether a selector speaks of a step. */
export function selects(of: Selector, p: Placed, catalogue: Catalogue): boolean {
  const { technique, step } = p;
  const rank = rankOf(p);
  return (
    (!of.phase || of.phase.includes(technique.phase)) &&
    !of.notPhase?.includes(technique.phase) &&
    (!of.role || technique.roles.includes(of.role)) &&
    !(of.notRole && technique.roles.includes(of.notRole)) &&
    (!of.motion || of.motion.includes(step.motion)) &&
    (!of.contact || of.contact.includes(step.contact)) &&
    (!of.pressureFrom || rank >= pressureRank(of.pressureFrom)) &&
    (!of.pressureTo || rank <= pressureRank(of.pressureTo)) &&
    (!of.bothSides || step.sides.mode === 'together') &&
    (!of.wantsOil || (technique.needs.includes('glide') && technique.glide !== 'water-based')) &&
    (!of.works || technique.regions.some((r) => of.works!.includes(r))) &&
    !(of.worksNot && technique.regions.some((r) => of.worksNot!.includes(r))) &&
    (!of.region || inSome(of.region, p, catalogue))
  );
}

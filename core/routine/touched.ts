import { FACE_REGIONS, type Region } from '../words/index.ts';
import type { Step } from './model.ts';
import type { Catalogue, Technique } from './technique.ts';

const TRAVELS: ReadonlySet<Step['stroke']> = new Set(['one-way', 'to-and-fro', 'one-way-then-other']);

/**
 * Regions that a step touches: those its path and its still hand lie in. A stroke that travels between places passes all
 * regions of its technique, and one over the whole face every region of the face. What is merely stretched, or moved by
 * the client, is not touched. A step without a path counts as everywhere its technique goes.
 */
export function touchedRegions(step: Step, technique: Technique | undefined, catalogue: Catalogue): Set<Region> {
  const out = new Set<Region>();
  for (const place of step.still?.place ? [...step.path, step.still.place] : step.path) {
    const region = catalogue.regionOf(place);
    if (region) out.add(region);
  }
  const passes = TRAVELS.has(step.stroke) && step.path.length > 1 && !step.dose.perPlace;
  const own = technique?.regions ?? [];
  if (!step.path.length || passes) for (const region of own) out.add(region);
  if (out.has('whole-face') || own.includes('whole-face')) for (const region of FACE_REGIONS) out.add(region);
  return out;
}

import { basinsOf, bearingOf, fibreBearing, type Flat, strokeToBasin, strokeToFibres } from '../../../core/atlas';
import type { Technique } from '../../../core/routine';
import { DRAINAGE_PATHS, LYMPH_NODES } from '../../../reference/facts/lymph';
import { MUSCLES } from '../../../reference/facts/muscles';
import { bestView, placesOn, worldOf, type View } from '../../parts/chart/places';

/** The client's left side flattened into the plane of a view: [lateral or forward, up]. */
function flat(
  kind: 'point' | 'muscle' | 'region' | 'node' | 'landmark' | 'keep-off',
  id: string,
  profile: boolean,
): Flat | null {
  const world = worldOf(placesOn({ kind, id }, 'left')[0] ?? { kind, id, side: 'left' });
  return world && !world.body ? [profile ? world.mm[2] : world.mm[0], world.mm[1]] : null;
}

/**
 * What can be said of a technique that moves from one place to another: how it lies to the fibres of its muscles, and
 * whether it runs toward a basin of the region it starts in.
 */
export function strokeNotes(t: Technique): { label: string; words: string }[] {
  const [from, ...rest] = t.defaults.path;
  const to = rest[rest.length - 1];
  if (!from || !to || (from.kind === to.kind && from.id === to.id)) return [];
  const view: View = bestView([...placesOn(from, 'left'), ...placesOn(to, 'left')]);
  const profile = view === 'left' || view === 'right';
  const [start, end] = [flat(from.kind, from.id, profile), flat(to.kind, to.id, profile)];
  const stroke = start && end && bearingOf(start, end);
  if (stroke === null || !start) return [];
  const out: { label: string; words: string }[] = [];
  const muscles = MUSCLES.filter(
    (m) => t.muscles.includes(m.id) && m.fibreDegrees !== null && (m.view === 'profile') === profile,
  );
  if (muscles.length)
    out.push({
      label: 'Against the fibres',
      words: muscles
        .map((m) => {
          const { degrees, relation } = strokeToFibres(stroke, fibreBearing(m.fibreDegrees!, m.view));
          return `${relation} ${m.name} (${Math.round(degrees)}°)`;
        })
        .join('; '),
    });
  const basins = [...new Set(t.regions.flatMap((r) => basinsOf(DRAINAGE_PATHS, r)))].filter((id) => id !== from.id);
  const ways = basins.flatMap((id) => {
    const node = flat('node', id, profile);
    const relation = node && strokeToBasin(stroke, start, node);
    return relation ? [{ id, ...relation }] : [];
  });
  const best = ways.sort((a, b) => a.degrees - b.degrees)[0];
  if (best && (t.phase === 'open-drainage' || t.phase === 'close-drainage')) {
    const name = LYMPH_NODES.find((n) => n.id === best.id)!.name;
    out.push({
      label: 'Drainage',
      words: best.toward
        ? `runs toward its basin, ${name} (${Math.round(best.degrees)}° off the straight way)`
        : `runs away from its basins (${Math.round(best.degrees)}° off ${name})`,
    });
  }
  return out;
}

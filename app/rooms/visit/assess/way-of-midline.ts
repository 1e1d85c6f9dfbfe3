import { eased, jawMotion, type PosableHead, type Vec3 } from '../../../../core/drawing';
import type { OpeningPath } from '../../../../core/measures';
import type { OneSide } from '../../../../core/words';

const STEPS = 24;

/**
 * Where the lower midline goes while the jaw opens: straight, aside and back, or aside for good. Only how far aside and
 * whether it comes back is measured; how it gets there is drawn as one even bend.
 */
export function wayOfMidline(
  { path, offMm, side }: { path: OpeningPath; offMm: number; side: OneSide },
  toMm: number,
  { jaw }: PosableHead,
): Vec3[] {
  const sign = side === 'left' ? 1 : -1;
  return Array.from({ length: STEPS + 1 }, (_, i) => {
    const t = i / STEPS;
    const share = path === 'straight' ? 0 : path === 'returns' ? Math.sin(Math.PI * t) : eased(t);
    const motion = jawMotion({ openingMm: toMm * t, leftMm: sign * offMm * share }, jaw);
    return motion.moved(jaw.incisor);
  });
}

import type { MuscleFan } from './anchors.ts';
import type { Bodies } from './bodies.ts';
import { fibreLines, seenFibres } from './muscle-drawing.ts';
import type { PosableHead } from './posable-head.ts';
import { DRAWN_POSES } from './poses.ts';
import type { DepthMap } from './trace.ts';
import { apart, type Vec3 } from './vector.ts';

/** Views for which fibres of a jaw are kept: the right profile is the left one in a mirror. */
const JAW_FIBRE_VIEWS = ['front', 'left', 'opened'] as const;
export type JawFibreView = (typeof JAW_FIBRE_VIEWS)[number];

/** Fibres of the client's left side that an opening jaw moves, shut: places of the body in mm, as each view sees them. */
export type JawFibreRow = { isRing: boolean } & Partial<Record<JawFibreView, number[][][]>>;

/** A fibre that nowhere moves so far at the widest drawn opening stays, mm. */
const MOVES_MM = 0.5;
/** Every so many places of a fibre are kept. */
const EVERY = 4;

/**
 * The muscles of a head that its jaw moves, by id.
 * @param stretched those between skull and jaw, which count always
 */
export function jawFibres(
  muscles: readonly { id: string; fan: MuscleFan | null }[],
  stretched: readonly string[],
  bodies: Bodies,
  head: PosableHead,
  maps: Readonly<Record<JawFibreView, DepthMap>>,
): Record<string, JawFibreRow> {
  const moves = (p: Vec3) => apart(head.flesh(DRAWN_POSES['open-40']).posed(p), p) > MOVES_MM;
  const rows = muscles.flatMap(({ id, fan }) => {
    if (!fan) return [];
    const lines = fibreLines(fan, bodies);
    if (!stretched.includes(id) && !lines.some((line) => line.some((p) => p && moves(p)))) return [];
    const seen = JAW_FIBRE_VIEWS.flatMap((view) => {
      const drawn = seenFibres(lines, maps[view], false);
      const thin = drawn?.map((line) =>
        line
          .filter((_, i) => i % EVERY === 0 || i === line.length - 1)
          .map((p) => p.map((v) => Math.round(v * 10) / 10)),
      );
      return thin ? [[view, thin] as const] : [];
    });
    return seen.length
      ? [[id, { isRing: fan.kind === 'ring' && !fan.half, ...Object.fromEntries(seen) }] as const]
      : [];
  });
  return Object.fromEntries(rows);
}

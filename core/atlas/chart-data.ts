import {
  type Anchor,
  bellyOf,
  type Bodies,
  type BodyName,
  bodyOf,
  type DepthMap,
  drawFibres,
  type FibreDrawing,
  fibreLines,
  locateAnchor,
  PICTURES,
  type Spot,
  spotsOf,
  type Vec3,
  type View,
  VIEWS,
} from '../drawing/index.ts';
import type { InchesMm } from './body-inch.ts';
import { locateAll } from './locate.ts';
import type { DrainagePath, LandmarkRow, MuscleRow, NodeRow, PointRow } from './rows.ts';

/** A place on one side: where it is on the body, and where it is drawn in every view that shows it. */
export interface ChartPlace {
  /** On the client's own side for the head; in the left hand's frame for hands. */
  mm: Vec3;
  /** Left out for the head. */
  body?: 'hand';
  /** Views in which it is seen, and where on their sheets. */
  views: Partial<Record<View, Spot>>;
}

export interface ChartTables {
  /** Bony and skin landmarks. */
  landmarks: readonly LandmarkRow[];
  /** Points of the traditions. */
  points: readonly PointRow[];
  /** Muscles with their fibres. */
  muscles: readonly MuscleRow[];
  /** Node groups. */
  nodes: readonly NodeRow[];
  /** Ways of drainage. */
  drainage: readonly DrainagePath[];
  /** Further anchored places by the prefix of their key. */
  others: Readonly<Record<string, readonly { id: string; anchor: Anchor; paired: boolean }[]>>;
}

export interface ChartData {
  /** By `kind:id.side`. */
  places: Record<string, ChartPlace>;
  /** By `muscle.side`. */
  fibres: Record<string, Partial<Record<View, FibreDrawing>>>;
}

/**
 * Every place and every muscle of the tables on some bodies, as seen through the depth maps of the views.
 * @param inches Those that the words tell.
 * @throws Error naming a row whose line misses the body or that stands twice.
 */
export function chartData(
  bodies: Bodies,
  maps: Readonly<Partial<Record<View, DepthMap>>>,
  tables: ChartTables,
  inches: InchesMm,
): ChartData {
  const places: Record<string, ChartPlace> = {};
  const put = (id: string, mm: Vec3 | null, body: BodyName, paired: boolean): void => {
    if (!mm) throw new Error(`${id}: its line misses the body`);
    for (const side of paired ? ['left', 'right'] : ['midline']) {
      const key = `${id}.${side}`;
      if (places[key]) throw new Error(`${key} stands twice`);
      const onRight = side === 'right';
      const [x, y, z] = mm.map((v) => Math.round(v * 10) / 10) as unknown as Vec3;
      places[key] = {
        mm: [onRight && body === 'head' ? 0 - x : x, y, z],
        ...(body === 'hand' ? { body } : {}),
        views: spotsOf(mm, body, onRight, maps),
      };
    }
  };
  const located = locateAll(bodies, tables.landmarks, tables.points, inches);
  for (const p of located.landmarks.values()) put(`landmark:${p.id}`, p.mm, p.body, p.paired);
  for (const p of located.points.values()) put(`point:${p.id}`, p.mm, p.body, p.paired);
  for (const n of tables.nodes) put(`node:${n.id}`, locateAnchor(bodies, n.anchor), 'head', true);
  for (const p of tables.drainage) put(`drainage:${p.id}`, locateAnchor(bodies, p.start), 'head', true);
  for (const [kind, rows] of Object.entries(tables.others))
    for (const r of rows) put(`${kind}:${r.id}`, locateAnchor(bodies, r.anchor), bodyOf(r.anchor), r.paired);

  const fibres: ChartData['fibres'] = {};
  for (const m of tables.muscles) {
    const strands = m.fan ? fibreLines(m.fan, bodies) : [];
    put(`muscle:${m.id}`, m.belly ? locateAnchor(bodies, m.belly) : bellyOf(strands), 'head', m.paired);
    if (!m.fan) continue;
    const isRing = m.fan.kind === 'ring' && !m.fan.half;
    for (const side of ['left', 'right'] as const) {
      const drawn = VIEWS.filter((view) => maps[view] && PICTURES[view].body === 'head').flatMap((view) => {
        const drawing = drawFibres(strands, isRing, maps[view]!, side === 'right');
        return drawing ? [[view, drawing] as const] : [];
      });
      fibres[`${m.id}.${side}`] = Object.fromEntries(drawn);
    }
  }
  return { places, fibres };
}

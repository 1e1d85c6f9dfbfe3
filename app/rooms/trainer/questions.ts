import { inchesMm, type Judged, judgeMark } from '../../../core/atlas';
import { apart, leftEdge, PICTURES, PX_PER_MM, sheetOf, skinAt, tapeMm, type View } from '../../../core/drawing';
import { FACE_REGIONS, NECK_REGIONS, type OneSide, otherSide, type Region } from '../../../core/words';
import { BODY_INCHES } from '../../../reference/facts/body-inches';
import { LANDMARKS } from '../../../reference/facts/landmarks';
import { LYMPH_NODES } from '../../../reference/facts/lymph';
import { MUSCLES } from '../../../reference/facts/muscles';
import { POINTS } from '../../../reference/facts/points';
import { referenceBodies } from '../../parts/chart/bodies';
import { placeKey, placesOn, spotOf, worldOf, type Place } from '../../parts/chart/places';
import { EDGE_MUSCLES, nearEdge, type Outlines } from './edges';

/** What can be asked for. A landmark belongs to the region of no row, so it is asked under "landmarks". */
export interface Question {
  /** Without a side: "point:GB20". */
  key: string;
  kind: 'point' | 'muscle' | 'edge' | 'node' | 'landmark';
  id: string;
  name: string;
  /** How to find it: told with the answer. */
  find: string;
  region: Region | null;
  paired: boolean;
}

export const QUESTIONS: readonly Question[] = [
  ...POINTS.filter((p) => p.place.from !== 'leg').map((p): Question => ({
    key: `point:${p.id}`,
    kind: 'point',
    id: p.id,
    name: `${p.id} ${p.name}`,
    find: p.find,
    region: p.region,
    paired: p.paired,
  })),
  ...MUSCLES.filter((m) => m.fan).map((m): Question => ({
    key: `muscle:${m.id}`,
    kind: 'muscle',
    id: m.id,
    name: `the belly of ${m.name}`,
    find: m.find,
    region: m.region,
    paired: m.paired,
  })),
  ...MUSCLES.filter((m) => EDGE_MUSCLES.includes(m.id)).map((m): Question => ({
    key: `edge:${m.id}`,
    kind: 'edge',
    id: m.id,
    name: `any place on the border of ${m.name}`,
    find: m.find,
    region: m.region,
    paired: m.paired,
  })),
  ...LYMPH_NODES.map((n): Question => ({
    key: `node:${n.id}`,
    kind: 'node',
    id: n.id,
    name: `the nodes: ${n.name}`,
    find: n.where,
    region: n.region,
    paired: true,
  })),
  ...LANDMARKS.filter((l) => l.anchor && l.id !== 'gnathion').map((l): Question => ({
    key: `landmark:${l.id}`,
    kind: 'landmark',
    id: l.id,
    name: `the ${l.name}`,
    find: l.find,
    region: null,
    paired: l.paired,
  })),
];

const inRegions =
  (...regions: Region[]) =>
  (q: Question): boolean =>
    q.kind !== 'edge' && q.region !== null && regions.includes(q.region);

/** Groups that one learns at a time. */
export const SETS: readonly { id: string; name: string; has: (q: Question) => boolean }[] = [
  {
    id: 'everyday',
    name: 'Everyday places',
    has: (q) =>
      [
        'point:GB20',
        'point:LI4',
        'point:ST6',
        'point:ST7',
        'point:EX-HN5',
        'point:EX-HN3',
        'point:BL2',
        'point:GB14',
        'point:LI20',
        'muscle:masseter-superficial',
        'muscle:temporalis-anterior',
        'muscle:suboccipitals',
        'node:supraclavicular',
      ].includes(q.key),
  },
  {
    id: 'face',
    name: 'Points of the face',
    has: (q) => q.kind === 'point' && q.region !== null && FACE_REGIONS.includes(q.region),
  },
  {
    id: 'head',
    name: 'Points of scalp, ear and neck',
    has: (q) =>
      q.kind === 'point' &&
      q.region !== null &&
      ['scalp', 'ear', 'neck-back', 'neck-side', 'neck-front', 'under-chin', 'shoulder', 'chest'].includes(q.region),
  },
  {
    id: 'hand',
    name: 'Points of hand and forearm',
    has: (q) => q.kind === 'point' && (q.region === 'hand' || q.region === 'arm'),
  },
  { id: 'jaw', name: 'Jaw and cheek', has: inRegions('jaw', 'cheek', 'chin', 'lips', 'upper-lip', 'under-chin') },
  {
    id: 'brow',
    name: 'Brow, eye and temple',
    has: inRegions('forehead', 'glabella', 'brow', 'upper-lid', 'under-eye', 'temple'),
  },
  { id: 'neck', name: 'Neck, throat and shoulder', has: inRegions(...NECK_REGIONS, 'shoulder', 'chest') },
  {
    id: 'back',
    name: 'Back of head and neck',
    has: (q) =>
      q.kind !== 'edge' && !!spotOf(questionPlace(q, 'left'), 'back') && !spotOf(questionPlace(q, 'left'), 'front'),
  },
  { id: 'edges', name: 'Borders of jaw and neck muscles', has: (q) => q.kind === 'edge' },
  { id: 'muscles', name: 'Muscle bellies', has: (q) => q.kind === 'muscle' },
  { id: 'landmarks', name: 'Landmarks', has: (q) => q.kind === 'landmark' },
  { id: 'nodes', name: 'Lymph node groups', has: (q) => q.kind === 'node' },
];

/** The place that is asked for; of a border, the belly that it goes round. */
export const questionPlace = ({ kind, id }: Question, side: OneSide): Place =>
  placesOn({ kind: kind === 'edge' ? 'muscle' : kind, id }, side)[0]!;

/** Of the reference head and hand, which the trainer shows. */
const INCHES = inchesMm(BODY_INCHES, {});

export interface Answered extends Judged {
  /** Error in body-inches of the drawn body there. */
  inches: number;
  inchName: string;
  /** The mark is on the other side than the one asked for. */
  otherSide: boolean;
  /** Where it should have been in the view that was marked, in px of its sheet. */
  target: { x: number; y: number };
}
/** Why a mark says nothing: the place is hidden in this view, or the mark is beside the body. */
export type NotCounted = 'hidden' | 'beside';

interface Marked {
  /** Over the skin on the head, across its sheet on a hand; in mm. */
  away: (place: Place) => number;
  /** Through what is between; never more. */
  straight: (place: Place) => number;
  /** Of the client. */
  side: OneSide;
}
const NEIGHBOURS = 3;

/** A mark on a view as what is measured from; null beside the body. */
function measuredFrom(view: View, x: number, y: number): Marked | null {
  if (PICTURES[view].body === 'hand') {
    const away = (place: Place) => {
      const spot = spotOf(place, view)!;
      return Math.hypot(spot.x - x, spot.y - y) / PX_PER_MM;
    };
    const atLeftEdge = leftEdge(view)!;
    return { away, straight: away, side: x < sheetOf(view).width / 2 ? atLeftEdge : otherSide(atLeftEdge) };
  }
  const bodies = referenceBodies();
  const mark = skinAt(bodies, view, x, y);
  return (
    mark && {
      away: (place) => tapeMm(bodies.head.body.distance, mark, worldOf(place)!.mm),
      straight: (place) => apart(mark, worldOf(place)!.mm),
      side: mark[0] < 0 ? 'right' : 'left',
    }
  );
}

/** A mark on a view, in px of its sheet. */
interface MarkOnView {
  view: View;
  x: number;
  y: number;
}
/** Judge a mark against the border of a muscle: how far it lies from the nearest place of it. */
function judgeOnEdge(
  q: Question,
  side: OneSide,
  { view, x, y }: MarkOnView,
  outlines: Outlines,
): Answered | NotCounted {
  if (PICTURES[view].body !== 'head' || !outlines[`${q.id}.${side}`]?.[view]) return 'hidden';
  const bodies = referenceBodies();
  const mark = skinAt(bodies, view, x, y);
  if (!mark) return 'beside';
  const spots = nearEdge(outlines, q.id, side, view, x, y).map((spot) => ({
    spot,
    mm: tapeMm(bodies.head.body.distance, mark, spot.skin),
  }));
  if (!spots.length) return 'hidden';
  const nearest = spots.reduce((a, b) => (b.mm < a.mm ? b : a));
  return {
    ...judgeMark({ [q.key]: nearest.mm }, q.key),
    inches: nearest.mm / INCHES.face,
    inchName: 'face inches',
    otherSide: mark[0] < 0 !== (side === 'right'),
    target: { x: nearest.spot.x, y: nearest.spot.y },
  };
}

/**
 * Judge a mark on a view, in px of its sheet.
 * @param outlines of the muscles, for questions of their borders
 */
export function judgeOnView(
  q: Question,
  side: OneSide,
  view: View,
  x: number,
  y: number,
  outlines: Outlines,
): Answered | NotCounted {
  if (q.kind === 'edge') return judgeOnEdge(q, side, { view, x, y }, outlines);
  const asked = questionPlace(q, side);
  const target = spotOf(asked, view);
  if (!target) return 'hidden';
  const mark = measuredFrom(view, x, y);
  if (!mark) return 'beside';
  const error = mark.away(asked);
  // Which neighbours may be meant is told by the straight way; a tape is laid to those few only.
  const neighbours = QUESTIONS.filter((other) => other.kind === q.kind && other !== q)
    .map((other) => questionPlace(other, side))
    .filter((place) => spotOf(place, view) && mark.straight(place) < error)
    .sort((a, b) => mark.straight(a) - mark.straight(b))
    .slice(0, NEIGHBOURS)
    .map((place) => [placeKey(place), mark.away(place)] as const);
  const judged = judgeMark(Object.fromEntries([[placeKey(asked), error], ...neighbours]), placeKey(asked));
  const onHand = worldOf(asked)?.body === 'hand';
  const inchMm = onHand ? INCHES.forearm : INCHES.face;
  return {
    ...judged,
    inches: judged.errorMm / inchMm,
    inchName: onHand ? 'forearm inches' : 'face inches',
    otherSide: q.paired && mark.side !== side,
    target: { x: target.x, y: target.y },
  };
}

/** Name of the neighbour that a mark was nearer to. */
export function nameOfKey(key: string): string {
  const q = QUESTIONS.find((candidate) => key.startsWith(`${candidate.key}.`));
  return q ? q.name.replace(/^the (belly of )?/, '') : key;
}

import {
  DRAWN_POSES,
  fibreDrawing,
  type JawFibreRow,
  type JawPose,
  MOST_DRAWN_MM,
  nearestPose,
  POSE_VIEWS,
  type PoseName,
  type PoseView,
  type Vec3,
} from '../../../../core/drawing';
import { STRETCHED_BY_OPENING } from '../../../../reference/facts/muscles/jaw';
import type { OneSide } from '../../../../core/words';
import { useEffect, useMemo, useState } from 'react';
import type { FibreDrawing, Fibres } from '../fibres';
import { flipX, placeKey, type Shown, type View } from '../places';
import { type PoseDrawings, STANDARD_DRAWINGS } from './pose-drawings';

/** How the jaw of the drawn head is held. */
export interface JawShown {
  pose: JawPose;
  /** It is to be opened so far at most: no drawing that opens further stands for it. */
  notWider?: boolean;
  /** It moves by itself: how far open it is at a time of the browser's clock, mm, and how far at most. */
  moving?: { at: (nowMs: number) => number; mostMm: number };
}

/** What a view shows of a jaw: the drawing that comes nearest, and the pose that is really drawn. */
export interface PosedView {
  view: PoseView;
  /** Of the drawn adult, or of a client's own head. */
  drawings: PoseDrawings;
  drawing: PoseName | null;
  /** The drawing is seen in a mirror: the midline goes to the other side. */
  flipped: boolean;
  pose: JawPose;
  moving: JawShown['moving'];
}
export const isProfile = (view: View): view is 'left' | 'right' => view === 'left' || view === 'right';

/** Null where the view shows nothing of it: then the shut head stands. */
export function posedView(
  view: View,
  jaw: JawShown | null | undefined,
  drawings: PoseDrawings = STANDARD_DRAWINGS,
): PosedView | null {
  const on = POSE_VIEWS.find((v) => v === view);
  if (!jaw || !on) return null;
  const isCarried = isProfile(on);
  const { name, mirrored } = nearestPose(jaw.pose, on, jaw.notWider && !isCarried);
  const moving = isCarried ? jaw.moving : undefined;
  // An O is drawn in front only; elsewhere its lips would be wrong.
  if ((jaw.pose.round ?? 0) > 0 && name !== 'o-shape') return null;
  // A profile's lines are carried to the very millimetre; elsewhere what is drawn is what stands.
  if (isCarried) {
    const openingMm = Math.min(MOST_DRAWN_MM, Math.max(0, jaw.pose.openingMm));
    return openingMm > 0 || moving
      ? { view: on, drawings, drawing: name, flipped: false, pose: { openingMm }, moving }
      : null;
  }
  if (!name) return null;
  const drawn: JawPose = DRAWN_POSES[name];
  const pose = mirrored ? { ...drawn, leftMm: -(drawn.leftMm ?? 0) } : drawn;
  return { view: on, drawings, drawing: name, flipped: mirrored, pose, moving };
}

/** The same, anew only when something of it changed. */
export function usePosed(
  view: View,
  jaw: JawShown | null | undefined,
  drawings: PoseDrawings = STANDARD_DRAWINGS,
): PosedView | null {
  const { pose, moving, notWider = false } = jaw ?? {};
  const { openingMm, leftMm, round } = pose ?? {};
  return useMemo(
    () =>
      openingMm === undefined
        ? null
        : posedView(
            view,
            {
              pose: { openingMm, ...(leftMm ? { leftMm } : {}), ...(round ? { round } : {}) },
              notWider,
              ...(moving ? { moving } : {}),
            },
            drawings,
          ),
    [view, openingMm, leftMm, round, notWider, moving, drawings],
  );
}

type Drawn = Pick<PosedView, 'view' | 'pose' | 'drawings'>;

/** Places as a view shows them on a head with its jaw posed: what the shut head shows, carried along. */
export const shownPosed =
  ({ view, pose, drawings: { head, places } }: Drawn, mirrored: boolean): Shown =>
  (place) => {
    const located = places[typeof place === 'string' ? place : placeKey(place)];
    if (!located?.views[view] || located.body === 'hand') return null;
    const [x, y] = head.onSheet(view, head.posedPlace(located.mm, pose));
    return { x: flipX(x, mirrored, view), y };
  };

type FibreRows = Record<string, JawFibreRow>;
let rows: FibreRows | null = null;
/** Fibres that an opening jaw moves; those of the drawn adult are loaded when a jaw first opens. */
export function useJawFibres(posed: PosedView | null): FibreRows {
  const [known, set] = useState(rows ?? {});
  const own = posed?.drawings.fibres;
  const wanted = !!posed && !own;
  useEffect(() => {
    if (!wanted || rows) return;
    void import('../../../../reference/derived/jaw-fibres.json').then(
      (m) => set((rows = m.default as unknown as FibreRows)),
      () => {},
    );
  }, [wanted]);
  return own ?? rows ?? known;
}

const STRETCHED: ReadonlySet<string> = new Set(STRETCHED_BY_OPENING);

/** Whether the jaw of a head moves a muscle, as far as is known by now. */
export const moves = (id: string, { fibres }: PoseDrawings): boolean => !!(fibres ?? rows)?.[id];

/** A muscle of one side in a pose; undefined where the jaw does not move it, or the view does not show it. */
export function posedFibre(
  all: FibreRows,
  id: string,
  side: OneSide,
  { view, pose, drawings: { head } }: Drawn,
): FibreDrawing | undefined {
  const row = all[id];
  if (isProfile(view) && view !== side) return undefined;
  const lines = row?.[view === 'right' ? 'left' : view];
  if (!row || !lines) return undefined;
  const own = (p: number[]): Vec3 => [side === 'right' ? -p[0]! : p[0]!, p[1]!, p[2]!];
  const seen = lines.map((line) => {
    const shut = line.map(own);
    const posed = STRETCHED.has(id) ? head.stretchedFibre(shut, pose) : shut.map((q) => head.posedFlesh(q, pose));
    return posed.map((p) => head.onSheet(view, p));
  });
  return fibreDrawing(seen, row.isRing);
}

/** Every muscle as the view shows it: those that the jaw moves anew, the others as they were. */
export function posedFibres(all: FibreRows, shut: Fibres, posed: Drawn): Fibres {
  const anew = Object.keys(all).flatMap((id) =>
    (['left', 'right'] as const).flatMap((side) => {
      const drawing = posedFibre(all, id, side, posed);
      return drawing ? [[`${id}.${side}`, { ...shut[`${id}.${side}`], [posed.view]: drawing }] as const] : [];
    }),
  );
  return { ...shut, ...Object.fromEntries(anew) };
}

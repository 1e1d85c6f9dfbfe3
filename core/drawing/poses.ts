import type { JawPose } from './jaw-motion.ts';
import type { View } from './views.ts';

/** Views in which the jaw can be seen to move. */
export type PoseView = Extract<View, 'front' | 'left' | 'right' | 'opened'>;
export const POSE_VIEWS: readonly PoseView[] = ['front', 'left', 'right', 'opened'];

/** The poses of the jaw that are drawn, beside the shut one. */
export const DRAWN_POSES = {
  'open-10': { openingMm: 10 },
  'open-25': { openingMm: 25 },
  'open-40': { openingMm: 40 },
  /** Lips drawn into an O. */
  'o-shape': { openingMm: 22, round: 1 },
  /** Lower midline to the client's left; to the right it is seen in a mirror. */
  aside: { openingMm: 30, leftMm: 4 },
} as const satisfies Record<string, JawPose>;
export type PoseName = keyof typeof DRAWN_POSES;

/** In which views each is drawn. */
export const POSES_OF: Record<PoseView, readonly PoseName[]> = {
  front: ['open-10', 'open-25', 'open-40', 'o-shape', 'aside'],
  left: ['open-10', 'open-25', 'open-40'],
  right: ['open-10', 'open-25', 'open-40'],
  opened: ['open-25'],
};

/** From so far aside the drawing that goes aside is nearer than the straight one, mm. */
const ASIDE_FROM_MM = 2;
/** From so round the O is nearer. */
const ROUND_FROM = 0.5;

/**
 * The drawing of a view that comes nearest to a pose, null for the shut one; and whether it is seen in a mirror.
 * @param notWider of those only that open no further: what is not to be opened is not drawn open
 */
export function nearestPose(
  pose: JawPose,
  view: PoseView,
  notWider = false,
): { name: PoseName | null; mirrored: boolean } {
  const drawn = POSES_OF[view].filter((name) => !notWider || DRAWN_POSES[name].openingMm <= pose.openingMm);
  const straight = (name: PoseName | null): { name: PoseName | null; mirrored: boolean } => ({ name, mirrored: false });
  if ((pose.round ?? 0) >= ROUND_FROM && drawn.includes('o-shape')) return straight('o-shape');
  const leftMm = pose.leftMm ?? 0;
  if (Math.abs(leftMm) >= ASIDE_FROM_MM && drawn.includes('aside')) return { name: 'aside', mirrored: leftMm < 0 };
  const away = (name: PoseName | null) => Math.abs((name ? DRAWN_POSES[name].openingMm : 0) - pose.openingMm);
  const open = drawn.filter((name) => name !== 'o-shape' && name !== 'aside');
  return straight([null, ...open].reduce((a, b) => (away(b) < away(a) ? b : a)));
}

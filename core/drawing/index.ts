/** The parametric head and hand: bodies, anchors on them, cameras, and the lines that are drawn. */
// Points in mm, and the measures that shape a head.
export { apart, type Vec3 } from './vector.ts';
export { REFERENCE_MM, type ProportionName, type Proportions } from './proportions.ts';
// Bodies, and where an anchor lies on them.
export { asFarAsTheBodyGoes, buildBodies, locateAnchor, type Bodies } from './bodies.ts';
export {
  above,
  back,
  backOfHand,
  bodyOf,
  ear,
  fan,
  front,
  palm,
  ring,
  side,
  strap,
  type Anchor,
  type BodyName,
  type MuscleFan,
} from './anchors.ts';
// Cameras and sheets.
export {
  CAMERAS,
  FLAT_VIEWS,
  isOnChest,
  leftEdge,
  onSheet,
  PICTURES,
  project,
  PX_PER_MM,
  sheetOf,
  squareness,
  VIEWS,
  type FlatView,
  type View,
} from './views.ts';
export type { DepthMap } from './trace.ts';
// Drawing a view.
export { drawPose, drawThumbs, drawView, tracePose, traceView } from './draw.ts';
export { bellyOf, drawFibres, fibreDrawing, fibreLines, type FibreDrawing } from './muscle-drawing.ts';
export { spotsOf, type Spot } from './places.ts';
export { pathText, polylinesOf, type PathPoints } from './path.ts';
// A place of the skin, out of one view and into another.
export { flatViewOf, skinAt, spotOfSkin } from './skin.ts';
export { tapeMm } from './tape.ts';
// A jaw that opens.
export { DRAWN_POSES, nearestPose, POSE_VIEWS, POSES_OF, type PoseName, type PoseView } from './poses.ts';
export { eased, jawMotion, jawPlaces, type JawPose } from './jaw-motion.ts';
export { poseBodies } from './posed-head.ts';
export { condyleWay, incisorWay } from './jaw-bone.ts';
export { DRAWN_HEAD, MOST_DRAWN_MM, PosableHead } from './posable-head.ts';
export { jawFibres, type JawFibreRow, type JawFibreView } from './jaw-fibres.ts';
export { movingPath, textAt, type MovingText } from './moving-path.ts';
export { carriedPaths, depthBytes, pathsOfSvg } from './carry.ts';

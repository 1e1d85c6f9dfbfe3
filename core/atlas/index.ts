/** Places of head, neck and hand: where they lie, how far apart, what they are called. */
// The tables: points, muscles, nodes, landmarks, as the reference writes them.
export type {
  BodyInchRow,
  DrainagePath,
  LandmarkRow,
  Mark,
  MuscleRow,
  NodeRow,
  PointPlace,
  PointRow,
  Tradition,
} from './rows.ts';
// Every place laid off from landmarks and body-inches, in mm.
export { locateAll } from './locate.ts';
export { alongForehead, midlineArc } from './body-inch.ts';
export { proportionsOf } from './client-head.ts';
// Body-inches and measures of one client, and the drawing that follows.
export { clientInches, inchesMm, withFingers, type ClientInch } from './client-inch.ts';
export {
  CLIENT_MEASURE_IDS,
  CLIENT_MEASURES,
  compareMeasures,
  refusedMeasures,
  type ClientMeasureId,
  type ClientMeasures,
} from './client-measure.ts';
export { locateOnClient, readLandmarksFile } from './landmarks-file.ts';
// How far, which way, along what.
export { distanceWords, inchesOf, pointDistance } from './distance.ts';
export { bearingOf, fibreBearing, strokeToBasin, strokeToFibres, type Flat } from './stroke.ts';
export { basinsOf, wayToTerminus } from './drainage.ts';
// What the chart draws, and where its words go.
export { chartData, type ChartData, type ChartPlace, type ChartTables } from './chart-data.ts';
export { placeLabels, type Box, type Sheet } from './labels.ts';
// Finding a place by words, and learning to find it by hand.
export { ENTRY_KINDS, searchAtlas, type AtlasAsk, type AtlasEntry, type EntryKind } from './search.ts';
export { GRADE_LIMITS_MM, judgeMark, progressByDay, type Judged, type TrainerDay } from './trainer.ts';

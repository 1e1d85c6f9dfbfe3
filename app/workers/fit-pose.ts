import {
  CAMERAS,
  type DepthMap,
  depthBytes,
  DRAWN_POSES,
  drawPose,
  pathsOfSvg,
  poseBodies,
  type PoseName,
  type PoseView,
  type Proportions,
  tracePose,
} from '../../core/drawing';

/** A client's own head with its jaw open: both profiles are one picture, so they are asked for together. */
export interface PoseAsked {
  proportions: Partial<Proportions>;
  views: readonly PoseView[];
  pose: PoseName;
  resolution: number;
}
export type PoseDrawn = Partial<Record<PoseView, { svg: string; /** Of a profile's paths. */ depths: number[] }>>;

self.onmessage = ({ data: { proportions, views, pose, resolution } }: MessageEvent<PoseAsked>) => {
  const posed = poseBodies(DRAWN_POSES[pose], proportions);
  const drawn: PoseDrawn = {};
  let before: DepthMap | undefined;
  for (const view of views) {
    const map = (before = tracePose(posed, view, resolution, before));
    const svg = drawPose(posed, view, map);
    const isProfile = view === 'left' || view === 'right';
    drawn[view] = { svg, depths: isProfile ? [...depthBytes(pathsOfSvg(svg), map, CAMERAS[view])] : [] };
  }
  self.postMessage(drawn);
};

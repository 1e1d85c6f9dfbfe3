import { CAMERAS, carriedPaths, drawnFlesh, pathsOfSvg, type PathPoints } from '../../core/drawing';

/** A drawn profile, and the openings to which its lines are to be carried. */
export interface CarryAsked {
  view: 'left' | 'right';
  markup: string;
  depths: Uint8Array;
  drawnMm: number;
  toMm: readonly number[];
}
/** Its paths, and where their places lie at each of those openings; null for a path that stays. */
export interface Carried {
  paths: PathPoints[];
  ends: (Float32Array | null)[][];
}

self.onmessage = ({ data }: MessageEvent<CarryAsked>) => {
  const paths = pathsOfSvg(data.markup);
  const from = drawnFlesh({ openingMm: data.drawnMm });
  const ends = data.toMm.map((mm) =>
    carriedPaths(paths, data.depths, CAMERAS[data.view], from, drawnFlesh({ openingMm: mm })),
  );
  self.postMessage({ paths, ends } satisfies Carried);
};

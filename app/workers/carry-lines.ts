import { CAMERAS, carriedPaths, pathsOfSvg, type PathPoints, PosableHead, type Proportions } from '../../core/drawing';

/** A drawn profile, and the openings to which its lines are to be carried. */
export interface CarryAsked {
  /** Of the head that is drawn. */
  proportions: Partial<Proportions>;
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
  const head = new PosableHead(data.proportions);
  const from = head.flesh({ openingMm: data.drawnMm });
  const ends = data.toMm.map((mm) =>
    carriedPaths(paths, data.depths, CAMERAS[data.view], from, head.flesh({ openingMm: mm })),
  );
  self.postMessage({ paths, ends } satisfies Carried);
};

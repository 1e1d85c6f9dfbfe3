import type { RibbonBlock } from './ribbon.ts';

/** All of a routine at one pressure, as one path: across in seconds, up and down in ranks of pressure; rank 0 is breath and looks. */
export interface SmallBand {
  rank: number;
  path: string;
}

/** The ribbon in few words, for a list of many: right above the line, left below it. */
export function smallBands({
  blocks,
}: {
  blocks: readonly Pick<RibbonBlock, 'startSeconds' | 'endSeconds' | 'right' | 'left' | 'kind'>[];
}): SmallBand[] {
  const paths = new Map<number, string>();
  for (const { startSeconds, endSeconds, right, left, kind } of blocks) {
    const rank = kind === 'breath' ? 0 : Math.max(right, left);
    const from = Math.round(startSeconds);
    const width = Math.max(2, Math.round(endSeconds) - from - 2);
    const [up, down] = rank ? [right, left] : [0.5, 0.5];
    paths.set(rank, `${paths.get(rank) ?? ''}M${from} ${-up}h${width}v${up + down}h${-width}z`);
  }
  return [...paths].sort(([a], [b]) => a - b).map(([rank, path]) => ({ rank, path }));
}

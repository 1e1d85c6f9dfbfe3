import { InputError, type Region } from '../words/index.ts';
import type { DrainagePath, NodeRow } from './rows.ts';

/** The usual way from a node group to the end of the graph, itself first. @throws InputError for an unknown group or a ring. */
export function wayToTerminus(nodes: readonly NodeRow[], from: string): string[] {
  const way: string[] = [];
  for (let id: string | undefined = from; id;) {
    const node = nodes.find((n) => n.id === id);
    if (!node) throw new InputError('node', `unknown node group "${id}"`);
    if (way.includes(id)) throw new InputError('node', `the way from "${from}" runs in a ring`);
    way.push(id);
    id = node.next[0];
  }
  return way;
}

/** Strokes that begin in a region, each with its accepted basin. */
export const drainageOf = (paths: readonly DrainagePath[], region: Region): DrainagePath[] =>
  paths.filter((p) => p.region === region);

/** Node groups that a region's strokes may run to first. */
export const basinsOf = (paths: readonly DrainagePath[], region: Region): string[] => [
  ...new Set(drainageOf(paths, region).map((p) => p.to)),
];

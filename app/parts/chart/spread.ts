import { forceCollide, forceSimulation, forceX, forceY, type SimulationNodeDatum } from 'd3';

interface Node extends SimulationNodeDatum {
  x: number;
  y: number;
  atX: number;
  atY: number;
}

/**
 * Move marks apart until none covers another, each staying as near to its own place as it can. `fixed` marks are kept
 * clear of but do not move. Deterministic.
 */
export function spread<T extends { x: number; y: number }>(
  marks: readonly T[],
  radius: number,
  fixed: readonly { x: number; y: number }[] = [],
): T[] {
  const free: Node[] = marks.map((m) => ({ x: m.x, y: m.y, atX: m.x, atY: m.y }));
  const posts: Node[] = fixed.map((f) => ({ x: f.x, y: f.y, fx: f.x, fy: f.y, atX: f.x, atY: f.y }));
  const simulation = forceSimulation([...free, ...posts])
    .force('x', forceX<Node>((n) => n.atX).strength(0.06))
    .force('y', forceY<Node>((n) => n.atY).strength(0.06))
    .force('collide', forceCollide(radius).strength(1).iterations(6))
    .stop();
  for (let i = 0; i < 140; i++) simulation.tick();
  return marks.map((m, i) => ({ ...m, x: Math.round(free[i]!.x * 10) / 10, y: Math.round(free[i]!.y * 10) / 10 }));
}

/** Heights in their order moved down until each stands so far below the one before, the whole about where it was. */
export function spreadDown(heights: readonly number[], gap: number): number[] {
  const moved: number[] = [];
  for (const y of heights) moved.push(Math.max(y, (moved.at(-1) ?? -Infinity) + gap));
  const shift = moved.reduce((sum, y, i) => sum + y - heights[i]!, 0) / (moved.length || 1);
  return moved.map((y) => y - shift / 2);
}

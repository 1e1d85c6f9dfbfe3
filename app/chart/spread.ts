import { forceCollide, forceSimulation, forceX, forceY } from 'd3';

/** Move marks apart until none covers another, each staying as near to its own place as it can. Deterministic. */
export function spread<T extends { x: number; y: number }>(marks: readonly T[], radius: number): (T & { atX: number; atY: number })[] {
  const nodes = marks.map((m) => ({ ...m, atX: m.x, atY: m.y }));
  const simulation = forceSimulation(nodes)
    .force('x', forceX<(typeof nodes)[number]>((n) => n.atX).strength(0.25))
    .force('y', forceY<(typeof nodes)[number]>((n) => n.atY).strength(0.25))
    .force('collide', forceCollide(radius).strength(1).iterations(4))
    .stop();
  for (let i = 0; i < 90; i++) simulation.tick();
  return nodes.map((n) => ({ ...n, x: Math.round(n.x * 10) / 10, y: Math.round(n.y * 10) / 10 }));
}

import type { Reading } from '../measures/index.ts';
import type { OneSide } from '../words/index.ts';
import type { Client } from './client.ts';

/**
 * The client's sorer side: where today's presses were more tender in all; else the side of the first open complaint
 * that has one. Null when nothing says.
 */
export function sorerSide(client: Pick<Client, 'complaints'>, readings: readonly Reading[]): OneSide | null {
  const sum = { left: 0, right: 0 };
  for (const r of readings)
    if (r.measure === 'tenderness' && r.phase === 'before' && (r.side === 'left' || r.side === 'right'))
      sum[r.side] += r.value;
  if (sum.left !== sum.right) return sum.left > sum.right ? 'left' : 'right';
  const sided = client.complaints.find((c) => !c.closed && (c.side === 'left' || c.side === 'right'));
  return (sided?.side as OneSide | undefined) ?? null;
}

import { LANDMARKS } from './facts/landmarks.ts';
import { POINTS } from './facts/points/index.ts';

const NAMES = new Map<string, string>([
  ...LANDMARKS.map((l) => [`landmark:${l.id}`, l.name] as const),
  ...POINTS.map((p) => [`point:${p.id}`, p.id] as const),
]);

/** "Zygion, left". */
export function anchorName(key: string): string {
  const dot = key.lastIndexOf('.');
  const side = key.slice(dot + 1);
  return `${NAMES.get(key.slice(0, dot)) ?? key.slice(0, dot)}${side === 'midline' ? '' : `, ${side}`}`;
}

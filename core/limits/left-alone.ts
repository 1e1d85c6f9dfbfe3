import type { OneSide, Region } from '../words/index.ts';
import { closes, closesPlace } from './clause.ts';
import type { Screening } from './screen.ts';

/** Words of work by which a clause closes pressing itself, and not only some way of it. */
const PRESSING: readonly string[] = ['any', 'touch', 'standing-contact'];

/**
 * Muscles on which an "avoid" of this client forbids medium pressure outright, by muscle and side ("masseter.left"), with
 * the caution's title. What closes only a tool, a position, a point or some kind of work leaves no muscle alone.
 */
export function leftAlone(
  screening: Screening,
  muscles: readonly { id: string; region: Region }[],
): Map<string, string> {
  const out = new Map<string, string>();
  for (const { caution, clause, effect } of screening.limits) {
    if (effect !== 'ban' || caution.severity !== 'avoid' || caution.group === 'everyone') continue;
    const closed = closes(clause);
    const { words, pressures, not } = closed;
    if ((pressures && !pressures.has('medium')) || not || words.point || words.tool || words.position) continue;
    if (words.work && !PRESSING.some((w) => words.work!.has(w))) continue;
    const told: OneSide | undefined = screening.sides[caution.key];
    for (const { id, region } of muscles)
      if (closesPlace(closed, { muscle: id, region }))
        for (const side of told ? [told] : (['left', 'right'] as const))
          if (!out.has(`${id}.${side}`)) out.set(`${id}.${side}`, caution.title);
  }
  return out;
}

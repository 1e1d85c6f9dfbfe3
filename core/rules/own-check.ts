import type { Screening } from '../limits/index.ts';
import { catalogueWith, emptyRoutine, newStep, pressed, type Catalogue, type Technique } from '../routine/index.ts';
import { checkRoutine } from './check.ts';

/**
 * Why a practice's own technique may not stand as it is: what the rules refuse of it alone, at its usual pressure and at
 * the most it allows, for a client with nothing against it.
 * @param everyone The screening of a client who answered nothing with yes.
 * @returns the field of the technique and the words of the rule; null when nothing is refused
 */
export function stopOfOwn(
  technique: Technique,
  catalogue: Catalogue,
  everyone: Screening,
): { field: string; message: string } | null {
  const known = catalogueWith(catalogue, [technique]);
  const usual = newStep(technique, 'own');
  const hardest = technique.pressure && { ...usual, pressure: pressed(technique.pressure.most) };
  for (const [step, field] of [
    [usual, 'work.pressure.there'],
    [hardest, 'pressure.most'],
  ] as const) {
    if (!step) continue;
    const routine = { ...emptyRoutine(technique.name), budgetMinutes: null, items: [step] };
    const stop = checkRoutine(routine, known, everyone).find((f) => f.severity === 'stop');
    if (stop)
      return {
        field: stop.rule === 'keep-off' ? 'work.path' : field,
        // A caution says its reason in its title.
        message: stop.rule === 'screening' ? stop.title : `${stop.title} ${stop.reason}`,
      };
  }
  return null;
}

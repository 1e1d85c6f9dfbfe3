import { type Catalogue, newStep, routineSeconds, emptyRoutine, type Step } from '../routine/index.ts';
import type { Screening } from '../limits/index.ts';
import type { TechniqueTool } from '../words/index.ts';
import { atHome, HOME_STEPS_MOST } from './home-plan.ts';

/** Techniques of a catalogue that cannot be done at home by this client as they are shown. */
export const notForHome = (screening: Screening, catalogue: Catalogue, shown: ReadonlySet<TechniqueTool>): string[] =>
  [...catalogue.techniques.values()]
    .filter((t) => !atHome(newStep(t, 'home'), screening, catalogue, shown).step)
    .map((t) => t.id);

/**
 * Of a proposed routine what makes a home plan: what it would lose most without comes first, each technique once, as it
 * is done at home, as many as fit; a longer one is passed over for a shorter one.
 * @param worth What the routine loses without a step, by its id; a step that is not in there is worth nothing by itself.
 * @returns ids of techniques in the order of the routine, at most as many as a plan holds, together no longer than the minutes.
 */
export function pickForHome(
  proposed: readonly Step[],
  worth: ReadonlyMap<string, number>,
  minutes: number,
  screening: Screening,
  catalogue: Catalogue,
  shown: ReadonlySet<TechniqueTool>,
): string[] {
  const picked: Step[] = [];
  const worthOf = (s: Step) => worth.get(s.id) ?? 0;
  for (const { technique } of [...proposed].sort((a, b) => worthOf(b) - worthOf(a))) {
    const t = catalogue.techniques.get(technique);
    if (!t || picked.length >= HOME_STEPS_MOST || picked.some((s) => s.technique === technique)) continue;
    const { step } = atHome(newStep(t, `home-${picked.length + 1}`), screening, catalogue, shown);
    if (step && routineSeconds({ ...emptyRoutine('Home plan'), items: [...picked, step] }) <= minutes * 60)
      picked.push(step);
  }
  const chosen = new Set(picked.map((s) => s.technique));
  return [...new Set(proposed.map((s) => s.technique))].filter((id) => chosen.has(id));
}

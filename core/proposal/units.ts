import { newStep, techniqueFor, type Step } from '../routine/index.ts';
import type { Role } from '../words/index.ts';
import type { Library, ProposalCase } from './case.ts';
import { totalsOfSteps } from './doses.ts';
import { admitted } from './pressure.ts';
import type { Way } from './ways.ts';

export type UnitName = 'product' | 'drainage' | 'gloves';
/** What several steps share: glide, an opened hollow, the current. */
export interface Unit {
  name: UnitName;
  opens: Step[];
  closes: Step[];
  seconds: number;
  care: string | null;
}

export const UNIT_WORDS: Record<UnitName, string> = {
  product: 'oil or cream',
  drainage: 'an opened collarbone hollow',
  gloves: 'the current set up',
};

/** What is shared, where it may be had. */
export function unitsOf(c: ProposalCase, way: Way, library: Library): Unit[] {
  const units: Unit[] = [];
  const add = (name: UnitName, opens: readonly Role[], closes: readonly Role[]): void => {
    const unit: Unit = { name, opens: [], closes: [], seconds: 0, care: null };
    for (const [roles, into] of [
      [opens, unit.opens],
      [closes, unit.closes],
    ] as const)
      for (const role of roles) {
        const t = techniqueFor(role, library.catalogue);
        if (!t || c.ask.kept.some((k) => k.technique === t.id)) continue;
        const a = admitted(newStep(t, 'x'), t.pressure?.least ?? null, c, library);
        if ('ban' in a || c.ask.excluded.includes(t.id)) return;
        unit.care ??= a.care;
        into.push(a.step);
      }
    unit.seconds =
      unit.opens.length + unit.closes.length ? totalsOfSteps([...unit.opens, ...unit.closes]).totalSeconds : 0;
    units.push(unit);
  };
  add('product', ['spreads-glide'], []);
  add('drainage', ['opens-collarbone'], way.order.drainage === 'none' ? [] : ['closes-collarbone']);
  if (c.ask.tools.includes('microcurrent-device')) add('gloves', ['sets-up-current'], []);
  return units;
}

import { hardestOf, techniqueFor } from '../../routine/index.ts';
import type { Phase } from '../../words/index.ts';
import type { PrecedenceRule } from '../rule.ts';
import { selects } from '../select.ts';
import { nameOf, type Placed, type RuleContext, type Said } from '../types.ts';

const keysOf = (rule: PrecedenceRule, p: Placed): readonly string[] =>
  rule.same === null ? [''] : rule.same === 'muscle' ? p.technique.muscles : placesMet(p);
/** What a touch makes known: all its muscles, and its region where it names none. */
const placesMet = (p: Placed): string[] => [...p.technique.muscles, p.technique.regions[0] ?? ''];

const told = (title: string, these: Placed | null, those: Placed): string =>
  title
    .replace('{these}', these ? nameOf(these) : '')
    .replace('{those}', nameOf(those))
    .replace('{pressure}', hardestOf(those.step) ?? '');

/** What has to come before or after what. One walk over the steps. */
export function precedence(rule: PrecedenceRule, context: RuleContext): Said[] {
  return rule.form === 'first'
    ? comesFirst(rule, context)
    : rule.form === 'before'
      ? needsBefore(rule, context)
      : needsAfter(rule, context);
}

/** The first of `these` that stands after a `those` it should precede is moved before it. */
function comesFirst(rule: PrecedenceRule, { steps, catalogue }: RuleContext): Said[] {
  const met = new Map<string, Placed>();
  for (const p of steps) {
    if (selects(rule.those, p, catalogue)) for (const key of keysOf(rule, p)) if (!met.has(key)) met.set(key, p);
    if (!selects(rule.these, p, catalogue)) continue;
    const those = keysOf(rule, p)
      .map((key) => met.get(key))
      .find((x) => x !== undefined && x !== p);
    if (those)
      return [
        {
          stepIds: [those.step.id, p.step.id],
          title: told(rule.title, p, those),
          fix: {
            label: `${nameOf(p)} first`,
            action: { do: 'move', stepId: p.step.id, to: those.index },
          },
        },
      ];
  }
  return [];
}

/** A `those` before which nothing of `these` came. */
function needsBefore(rule: PrecedenceRule, context: RuleContext): Said[] {
  const { steps, catalogue } = context;
  const met = new Set<string>();
  const out: Said[] = [];
  for (const p of steps) {
    // Where it is about a place, the main one decides whether it was met before.
    const where = rule.same === null ? '' : (p.technique.muscles[0] ?? p.technique.regions[0] ?? '');
    if (selects(rule.those, p, catalogue) && !met.has(where)) {
      out.push({ stepIds: [p.step.id], title: told(rule.title, null, p), fix: mendBefore(rule, p, context) });
      if (rule.same === null) return out;
    }
    if (selects(rule.these, p, catalogue)) for (const key of keysOf(rule, p)) met.add(key);
  }
  return out;
}

/** Phases that stand before anything is opened. */
const AT_THE_START: ReadonlySet<Phase> = new Set<Phase>(['prepare', 'breathe']);

function mendBefore(rule: PrecedenceRule, those: Placed, { steps, catalogue }: RuleContext): Said['fix'] {
  if (!rule.mend) return null;
  if ('pressure' in rule.mend)
    return {
      label: `Begin ${rule.mend.pressure}`,
      action: { do: 'set-pressure', stepId: those.step.id, pressure: rule.mend.pressure },
    };
  // One that stands later is brought forward; else one is put in, where its phase belongs.
  const later = steps.find((p) => p.index > those.index && selects(rule.these, p, catalogue));
  const technique = techniqueFor(rule.mend.insert, catalogue);
  const opens = technique !== null && !AT_THE_START.has(technique.phase);
  const at = opens ? (steps.find((p) => !AT_THE_START.has(p.technique.phase))?.index ?? those.index) : those.index;
  if (later && !opens)
    return { label: `Bring ${nameOf(later)} forward`, action: { do: 'move', stepId: later.step.id, to: at } };
  return technique ? { label: `Put in ${technique.name}`, action: { do: 'insert', role: rule.mend.insert, at } } : null;
}

/** The last `those` that nothing of `these` follows. */
function needsAfter(rule: PrecedenceRule, { steps, catalogue }: RuleContext): Said[] {
  const last = steps.findLast((p) => selects(rule.those, p, catalogue));
  if (!last || steps.some((p) => p.index > last.index && selects(rule.these, p, catalogue))) return [];
  const role = rule.mend && 'insert' in rule.mend ? rule.mend.insert : null;
  const technique = role && techniqueFor(role, catalogue);
  return [
    {
      stepIds: [last.step.id],
      title: told(rule.title, null, last),
      fix:
        role && technique ? { label: `Add ${technique.name}`, action: { do: 'insert', role, at: steps.length } } : null,
    },
  ];
}

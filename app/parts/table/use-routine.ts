import { checkRoutine } from '../../../core/rules';
import { expandRoutine, readRoutine, ribbonOf, type Routine, stepCount, totalsOf } from '../../../core/routine';
import { newlyBanned, type Screening } from '../../../core/limits';
import { InputError } from '../../../core/words';
import { useMemo, useState } from 'react';
import { useCatalogue } from '../catalogue/catalogue';
import type { RoutineOrigin, VisitPatch } from '../../../core/record';

type Step = ((allow?: (patch: VisitPatch) => boolean) => void) | null;

/** A routine on the table: every edit is checked by the core and told before it stands. */
export function useRoutine({
  routine,
  setRoutine,
  screening,
  checkedWith,
  undo,
  redo,
}: {
  routine: Routine;
  /** Where it was copied from, when that is new. */
  setRoutine: (next: Routine, origin?: RoutineOrigin | null) => void;
  /** What may not be added. */
  screening: Screening;
  /** What the rules are asked with; null where there is no client. */
  checkedWith: Screening | null;
  undo: Step;
  redo: Step;
}) {
  const catalogue = useCatalogue();
  const [problem, setProblem] = useState('');

  const derived = useMemo(() => {
    const cues = expandRoutine(routine);
    return {
      cues,
      totals: totalsOf(stepCount(routine), cues),
      findings: checkRoutine(routine, catalogue, checkedWith),
      ribbon: ribbonOf(routine, cues, catalogue),
    };
  }, [routine, checkedWith, catalogue]);

  /** Whether a routine may stand on the table; why it may not is told. */
  const fits = (next: Routine): boolean => {
    try {
      readRoutine(next);
      expandRoutine(next);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      setProblem(error.message);
      return false;
    }
    const banned = newlyBanned(next, routine, screening, catalogue);
    setProblem(
      banned ? `${catalogue.techniques.get(banned.step.technique)!.name} cannot be added. ${banned.reason}` : '',
    );
    return !banned;
  };
  /** Puts a routine on the table; false when it may not be, with the reason told and nothing changed. */
  const edit = (next: Routine, origin?: RoutineOrigin | null): boolean => {
    if (next === routine) return true;
    if (!fits(next)) return false;
    setRoutine(next, origin);
    return true;
  };
  const checked = (step: Step) => step && (() => step((p) => p.kind !== 'routine' || fits(p.routine)));
  return {
    routine,
    catalogue,
    screening,
    ...derived,
    edit,
    problem,
    undo: checked(undo),
    redo: checked(redo),
  };
}
export type Table = ReturnType<typeof useRoutine>;

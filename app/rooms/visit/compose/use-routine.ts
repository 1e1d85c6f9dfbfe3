import { checkRoutine } from '../../../../core/rules';
import {
  expandRoutine,
  emptyRoutine,
  readRoutine,
  ribbonOf,
  type Routine,
  stepCount,
  totalsOf,
} from '../../../../core/routine';
import { newlyBanned } from '../../../../core/limits';
import { InputError } from '../../../../core/words';
import { useMemo, useState } from 'react';
import { useCatalogue } from '../../../parts/catalogue/catalogue';
import { useVisit } from '../session/context';

/** The routine on the table: every edit is checked by the core, can be undone, and is written at once. */
export function useRoutine(name: string, school: string) {
  const { routine: stored, setRoutine, screening, undo, redo } = useVisit();
  const catalogue = useCatalogue();
  const routine = useMemo(() => stored ?? emptyRoutine(name, school), [stored, name, school]);
  const [problem, setProblem] = useState('');

  const derived = useMemo(() => {
    const cues = expandRoutine(routine);
    return {
      cues,
      totals: totalsOf(stepCount(routine), cues),
      findings: checkRoutine(routine, catalogue, screening),
      ribbon: ribbonOf(routine, cues, catalogue),
    };
  }, [routine, screening, catalogue]);

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
  const edit = (next: Routine): boolean => {
    if (next === routine) return true;
    if (!fits(next)) return false;
    setRoutine(next);
    return true;
  };
  const checked = (step: typeof undo) => step && (() => step((p) => p.kind !== 'routine' || fits(p.routine)));
  return {
    routine,
    catalogue,
    ...derived,
    edit,
    problem,
    undo: checked(undo),
    redo: checked(redo),
  };
}

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
import { CATALOGUE } from '../../../../reference/catalogue';
import { useVisit } from '../session/context';

const UNDO_DEPTH = 200;

/** The routine on the table: every edit is checked by the core, can be undone, and is written at once. */
export function useRoutine(name: string, school: string) {
  const { routine: stored, setRoutine, screening } = useVisit();
  const routine = useMemo(() => stored ?? emptyRoutine(name, school), [stored, name, school]);
  const [past, setPast] = useState<Routine[]>([]);
  const [future, setFuture] = useState<Routine[]>([]);
  const [problem, setProblem] = useState('');

  const derived = useMemo(() => {
    const cues = expandRoutine(routine);
    return {
      cues,
      totals: totalsOf(stepCount(routine), cues),
      findings: checkRoutine(routine, CATALOGUE, screening),
      ribbon: ribbonOf(routine, cues, CATALOGUE),
    };
  }, [routine, screening]);

  /** Puts a routine on the table; false when it may not be, with the reason told and nothing changed. */
  const put = (next: Routine): boolean => {
    try {
      readRoutine(next);
      expandRoutine(next);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      setProblem(error.message);
      return false;
    }
    const banned = newlyBanned(next, routine, screening, CATALOGUE);
    setProblem(
      banned ? `${CATALOGUE.techniques.get(banned.step.technique)!.name} cannot be added. ${banned.reason}` : '',
    );
    if (banned) return false;
    setRoutine(next);
    return true;
  };
  const edit = (next: Routine): boolean => {
    if (next === routine) return true;
    if (!put(next)) return false;
    setPast((p) => [...p.slice(-UNDO_DEPTH), routine]);
    setFuture([]);
    return true;
  };
  const step = (
    from: Routine[],
    setFrom: (r: Routine[]) => void,
    setTo: React.Dispatch<React.SetStateAction<Routine[]>>,
  ) => {
    const target = from[from.length - 1];
    if (!target || !put(target)) return;
    setFrom(from.slice(0, -1));
    setTo((t) => [...t, routine]);
  };
  return {
    routine,
    ...derived,
    edit,
    problem,
    undo: past.length ? () => step(past, setPast, setFuture) : null,
    redo: future.length ? () => step(future, setFuture, setPast) : null,
  };
}

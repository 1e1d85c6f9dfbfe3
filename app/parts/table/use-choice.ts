import { type Routine, moveStep, removeStep, stepsOf } from '../../../core/routine';
import { useState } from 'react';

interface Table {
  routine: Routine;
  edit: (next: Routine) => boolean;
}

/** Which step is open, which are taken into the choice, and the keys of the list. */
export function useChoice({ routine, edit }: Table, opensFirst = false) {
  const [chosen, setChosen] = useState<string | null>(opensFirst ? (stepsOf(routine)[0]?.id ?? null) : null);
  const [picked, setPicked] = useState<ReadonlySet<string>>(new Set());
  const [last, setLast] = useState<string | null>(null);
  const steps = stepsOf(routine);
  const ids = steps.map((s) => s.id);
  const here = ids.filter((id) => picked.has(id));
  const pickedNow: ReadonlySet<string> = here.length === picked.size ? picked : new Set(here);

  const pick = (id: string, through = false) => {
    const [from, to] = [ids.indexOf(last ?? id), ids.indexOf(id)];
    const next = new Set(pickedNow);
    if (through && from >= 0) for (const one of ids.slice(Math.min(from, to), Math.max(from, to) + 1)) next.add(one);
    else if (!next.delete(id)) next.add(id);
    setLast(id);
    setPicked(next);
  };
  const release = () => setPicked(new Set());

  /** Keys on a row of the list; true when it was one of them. */
  const onRowKey = (id: string, key: string, list: HTMLElement): boolean => {
    const at = ids.indexOf(id);
    const focus = (index: number) =>
      list.querySelector<HTMLElement>(`[data-step="${CSS.escape(ids[index] ?? '')}"] .name`)?.focus();
    if (key === 'ArrowDown') focus(Math.min(at + 1, ids.length - 1));
    else if (key === 'ArrowUp') focus(Math.max(at - 1, 0));
    else if (key === 'Home') focus(0);
    else if (key === 'End') focus(ids.length - 1);
    else if (key === '[' || key === ']') edit(moveStep(routine, id, at + (key === '[' ? -1 : 1)));
    else if (key === 'x') pick(id);
    else if (key === 'Delete') {
      if (edit(removeStep(routine, id))) requestAnimationFrame(() => focus(Math.min(at, ids.length - 2)));
    } else if (key === 'Escape' && (pickedNow.size || chosen)) {
      release();
      setChosen(null);
    } else return false;
    return true;
  };
  return { chosen, setChosen, picked: pickedNow, pick, release, onRowKey };
}

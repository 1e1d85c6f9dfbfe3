import type { VisitPatch } from '../../../../core/record';

/** One change that can be taken back, and made again. */
export interface Done {
  patch: VisitPatch;
  inverse: VisitPatch;
}
interface Line {
  past: readonly Done[];
  future: readonly Done[];
}
/** What was done at each stage of a visit, kept while the visit is open: leaving a stage forgets nothing. */
export type History<S extends string> = Partial<Record<S, Line>>;

const DEPTH = 200;
const EMPTY: Line = { past: [], future: [] };
const lineOf = <S extends string>(history: History<S>, stage: S): Line => history[stage] ?? EMPTY;

/** A change was made: what had been taken back before it cannot be made again. */
export function noted<S extends string>(history: History<S>, stage: S, done: Done): History<S> {
  const { past } = lineOf(history, stage);
  return { ...history, [stage]: { past: [...past.slice(1 - DEPTH), done], future: [] } };
}

/** The next change to take back (or to make again) at a stage; null when there is none. */
export const nextUndo = <S extends string>(history: History<S>, stage: S): Done | null =>
  lineOf(history, stage).past.at(-1) ?? null;
export const nextRedo = <S extends string>(history: History<S>, stage: S): Done | null =>
  lineOf(history, stage).future.at(-1) ?? null;

export function undone<S extends string>(history: History<S>, stage: S): History<S> {
  const { past, future } = lineOf(history, stage);
  const last = past.at(-1);
  return last ? { ...history, [stage]: { past: past.slice(0, -1), future: [...future, last] } } : history;
}
export function redone<S extends string>(history: History<S>, stage: S): History<S> {
  const { past, future } = lineOf(history, stage);
  const last = future.at(-1);
  return last ? { ...history, [stage]: { past: [...past, last], future: future.slice(0, -1) } } : history;
}

import type { Model } from './model.ts';

/** What a solver made of a program. */
export interface Solved {
  /** `limit`: it ended by its number of nodes, with the best so far. */
  status: 'optimal' | 'limit' | 'infeasible';
  value: number;
  /** No choice is worth more. */
  bound: number;
  nodes: number;
  /** Value of each column. */
  columns: Float64Array;
}
export interface SolveOptions {
  /** Relative distance to the bound at which it may end; 0 = proven. */
  gap: number;
  /** Hears of each better choice while the proof goes on, at once and before the solver goes on. */
  onBetter?: (soFar: Solved) => void;
}
/** Any solver of mixed-integer programs, handed in: the core knows none. */
export type Solve = (model: Model, options: SolveOptions) => Solved;

/** Nodes after which a search ends, never met so far: by gap or by nodes, never by the clock. */
export const NODES_MOST = 100_000;

export const chosenOf = (m: Model, s: Solved): number[] =>
  m.chosenAt.flatMap((column, i) => (s.columns[column]! > 0.5 ? [i] : []));

export const sizeOf = (m: Model): { columns: number; rows: number; nonzeros: number } => ({
  columns: m.columns.length,
  rows: m.rows.length,
  nonzeros: m.rows.reduce((s, r) => s + r.terms.length, 0),
});

import load from 'highs';
import { solverOf, type Solve } from '../../core/proposal/index.ts';

/** The solver as the application loads it, once for a file of tests. */
export const openSolver = async (): Promise<Solve> => solverOf(await load());

import { readRoutine, stepsOf, type Routine } from '../../core/routine/index.ts';
import { InputError } from '../../core/words/index.ts';
import { catalogueOf } from '../db/queries/techniques.server.ts';

/**
 * A routine as a form sends it, read again here: what a page says of it is believed by nobody.
 * @returns the routine, or why it is not one this practice can work with
 */
export async function sentRoutine(practiceId: string, text: string): Promise<{ routine: Routine } | { told: string }> {
  try {
    const routine = readRoutine(JSON.parse(text));
    const { techniques } = await catalogueOf(practiceId);
    const unknown = stepsOf(routine).find((s) => !techniques.has(s.technique));
    return unknown ? { told: `“${unknown.technique}” is not known to this practice.` } : { routine };
  } catch (error) {
    if (!(error instanceof InputError) && !(error instanceof SyntaxError)) throw error;
    return { told: error.message };
  }
}

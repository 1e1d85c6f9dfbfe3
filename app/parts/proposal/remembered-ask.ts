import { readAsk, type Ask } from '../../../core/proposal';
import { InputError } from '../../../core/words';

const keyOf = (whose: string): string => `velvet-ask-${whose}`;

/** What was asked last for a client, kept on this device; steps that were kept belong to the routine of then. */
export function rememberedAsk(whose: string, otherwise: Ask): Ask {
  try {
    const kept = localStorage.getItem(keyOf(whose));
    return kept ? { ...readAsk(JSON.parse(kept)), kept: [], minutes: otherwise.minutes } : otherwise;
  } catch (error) {
    // Made by another form of the application, damaged, or not to be had: what is usual is asked.
    if (error instanceof InputError || error instanceof SyntaxError || error instanceof DOMException) return otherwise;
    throw error;
  }
}
export function rememberAsk(whose: string, ask: Ask): void {
  try {
    localStorage.setItem(keyOf(whose), JSON.stringify({ ...ask, kept: [] }));
  } catch (error) {
    // A device that keeps nothing asks anew next time.
    if (!(error instanceof DOMException)) throw error;
  }
}

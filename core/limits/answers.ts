import { InputError } from '../words/index.ts';
import type { Answer, Caution } from './screen.ts';

const ACCEPTED: ReadonlySet<unknown> = new Set(['yes', 'no', 'unsure']);

/**
 * Read an unknown value as an answer sheet. A misspelt key or any other value is an error, never a no.
 * @throws InputError naming the question, and what is accepted
 */
export function readAnswers(value: unknown, cautions: readonly Caution[]): Record<string, Answer> {
  if (value === null || typeof value !== 'object' || Array.isArray(value))
    throw new InputError('answers', 'one object is accepted: { "pregnancy": "no", … }');
  const known = new Set(cautions.filter((c) => c.question !== null).map((c) => c.key));
  for (const [key, answer] of Object.entries(value)) {
    if (!known.has(key)) throw new InputError(key.slice(0, 64), 'is no question that is asked');
    if (!ACCEPTED.has(answer)) throw new InputError(key, 'yes, no or unsure is accepted');
  }
  return { ...(value as Record<string, Answer>) };
}

import { InputError } from '../words/index.ts';
import type { Answer, Caution } from './screen.ts';

/** What may be answered to a question; what may concern one side alone is also answered with the client's side. */
export const acceptedFor = ({ sided }: Pick<Caution, 'sided'>): readonly Answer[] =>
  sided ? ['yes', 'no', 'unsure', 'left', 'right'] : ['yes', 'no', 'unsure'];

/**
 * Read an unknown value as an answer sheet. A misspelt key or any other value is an error, never a no.
 * @throws InputError naming the question, and what is accepted
 */
export function readAnswers(value: unknown, cautions: readonly Caution[]): Record<string, Answer> {
  if (value === null || typeof value !== 'object' || Array.isArray(value))
    throw new InputError('answers', 'one object is accepted: { "pregnancy": "no", … }');
  const known = new Map(cautions.filter((c) => c.question !== null).map((c) => [c.key, c]));
  for (const [key, answer] of Object.entries(value)) {
    const caution = known.get(key);
    if (!caution) throw new InputError(key.slice(0, 64), 'is no question that is asked');
    const accepted = acceptedFor(caution);
    if (!accepted.includes(answer as Answer))
      throw new InputError(key, `${accepted.slice(0, -1).join(', ')} or ${accepted.at(-1)!} is accepted`);
  }
  return { ...(value as Record<string, Answer>) };
}

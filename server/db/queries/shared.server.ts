import type { Transaction } from 'sequelize';
import { VisitModel } from '../models/index.ts';
import { isUuid } from '../scope.ts';

/** A visit of the practice, nobody else's to change until the transaction ends; null when it is not there. */
export const lockVisit = async (
  practiceId: string,
  id: string,
  transaction: Transaction,
): Promise<VisitModel | null> =>
  isUuid(id) ? VisitModel.findOne({ where: { practiceId, id }, transaction, lock: transaction.LOCK.UPDATE }) : null;

/** A pattern that finds the text anywhere, with its own wildcards taken literally. */
export const like = (text: string): string => `%${text.trim().replace(/[\\%_]/g, (c) => `\\${c}`)}%`;

/** Letters from which a name is found in spite of a slip: fewer are like everything. Our choice. */
export const LEAST_LETTERS = 4;
/** Slips that are forgiven in a word of so many letters: one in a short one, two in a long one. Our choice. */
const slipsIn = (word: string): number => (word.length < LEAST_LETTERS ? 0 : word.length < 7 ? 1 : 2);

/**
 * A condition that finds a name in spite of slips: every word of the text begins one of its words, or is one of them but
 * for a slip or two. Null where the text has no word long enough.
 */
export function nearName(column: string, text: string): { sql: string; replacements: Record<string, string> } | null {
  const words = text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)
    .slice(0, 6)
    .map((w) => w.slice(0, 40));
  if (!words.some((w) => slipsIn(w) > 0)) return null;
  const one = (word: string, i: number): string => {
    const slips = slipsIn(word);
    const near = slips ? ` or levenshtein_less_equal(left(w, 60), :near${i}, ${slips}) <= ${slips}` : '';
    return `exists (select 1 from regexp_split_to_table(lower(${column}), '[^[:alnum:]]+') w where w like :near${i} || '%'${near})`;
  };
  return {
    sql: `(${words.map(one).join(' and ')})`,
    replacements: Object.fromEntries(words.map((w, i) => [`near${i}`, w])),
  };
}

/** Fields that many kinds of rows have. */
import { any, orNull, text, uuid, whole } from '../../documents/index.ts';

/** Longest document that stands in a row, as JSON. */
const DOCUMENT = 600_000;
export const ID = uuid('Of the row.');
export const CLIENT = uuid('Whose.');
export const VISIT = uuid('In which visit.');
export const BY = uuid('Who of the practice.');
export const NOBODY = orNull(BY);
export const document = (words: string) => any(DOCUMENT, words);
export const version = whole([1, 1_000_000_000], 'Grows with every change.');
export const words = (most: number, said: string) => text(most, said);

import { InputError } from '../words/index.ts';

/** A number of a line. @throws InputError naming the field and what is accepted */
export function readNumber(text: string | undefined, field: string, least: number, most: number): number {
  const value = text === undefined || text === '' ? NaN : Number(text);
  if (!(value >= least && value <= most))
    throw new InputError(field, `${least} to ${most} is accepted, not "${text ?? ''}"`);
  return value;
}

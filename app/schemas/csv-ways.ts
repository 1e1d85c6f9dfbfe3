import { object, string } from 'yup';
import { CSV_DATES, CSV_DECIMALS, CSV_DELIMITERS } from '../../core/exchange';

/** How numbers, days and cells are written in a table that is taken out. */
export const csvWaysSchema = object({
  delimiter: string().oneOf(CSV_DELIMITERS, 'Choose one of the three.').default(','),
  decimal: string().oneOf(CSV_DECIMALS, 'Choose point or comma.').default('.'),
  dates: string().oneOf(CSV_DATES, 'Choose one of the three.').default('iso'),
}).test(
  'told apart',
  'A comma between cells and a comma in numbers cannot be told apart by a spreadsheet: choose another one.',
  ({ delimiter, decimal }) => delimiter !== ',' || decimal !== ',',
);

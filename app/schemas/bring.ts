import { array, boolean, number, object, string } from 'yup';
import { CSV_DATES, CSV_DECIMALS, CSV_DELIMITERS } from '../../core/exchange';

/** A file that somebody is about to send. */
export const bringFileSchema = object({
  name: string().trim().required('The file needs a name.').max(200, 'At most 200 characters are accepted.'),
  kind: string().oneOf(['table', 'archive'], 'A table (.csv) or an archive (.zip) is accepted.').required(),
  bytes: number()
    .integer()
    .min(1, 'This file is empty.')
    .max(2_000_000_000, 'At most 2 GB are accepted.')
    .required('The size is missing.'),
});

/** Columns of ours: which column of the file each is, or what stands in it in every row. */
const columnSchema = object({
  field: string().required().max(40),
  column: string().nullable().default(null).max(500),
  fixed: string().nullable().default(null).max(200),
});

/** What is done with a file that has come: looked at, or kept. */
export const bringSchema = object({
  keeps: boolean().required('Looked at or kept?'),
  what: string().oneOf(['clients', 'readings', 'archive'], 'Clients, ratings and measures, or an archive.').required(),
  delimiter: string().oneOf(CSV_DELIMITERS, 'Choose one of the three.').default(','),
  decimal: string().oneOf(CSV_DECIMALS, 'Choose point or comma.').default('.'),
  dates: string().oneOf(CSV_DATES, 'Choose one of the three.').default('iso'),
  dayAlone: boolean().default(false),
  columns: array(columnSchema.required()).max(40).default([]),
});

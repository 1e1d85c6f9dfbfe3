import { string } from 'yup';

/** A moment by somebody’s clock, ISO 8601. */
export const moment = string()
  .required()
  .test('moment', 'A moment in time is accepted.', (text) => !Number.isNaN(Date.parse(text)) && text.length <= 40);

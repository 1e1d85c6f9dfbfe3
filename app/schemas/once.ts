import { string } from 'yup';

/** The key of a form: sent twice, it makes one thing. Pages write it, nobody types it. */
export const once = string()
  .matches(/^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/, {
    message: 'Load the page again and send it anew.',
    excludeEmptyString: true,
  })
  .optional();

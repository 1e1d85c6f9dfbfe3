/** A document described once: its fields, the reader that names what is wrong, its JSON Schema. */
export {
  any,
  constant,
  day,
  id,
  kinds,
  list,
  moment,
  number,
  object,
  oneOf,
  orNull,
  text,
  uuid,
  whole,
  yesNo,
  type Value,
} from './fields.ts';
export { readField } from './read.ts';
export { schemaOf, type Json } from './schema.ts';

/** A document described once: its fields, the reader that names what is wrong, its JSON Schema. */
export { constant, id, kinds, list, number, object, oneOf, orNull, text, whole, yesNo, type Value } from './fields.ts';
export { readField } from './read.ts';
export { schemaOf, type Json } from './schema.ts';

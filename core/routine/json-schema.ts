import { type Json, schemaOf } from '../documents/index.ts';
import { ROUTINE } from './model.ts';
import { OWN_FILE } from './own.ts';

/**
 * JSON Schema of the routine file. What a schema of this kind cannot say (unique step ids, a most that is not below its
 * count, a usual time between its limits, 120 steps and 120 minutes in all) is checked on reading.
 */
export const ROUTINE_JSON_SCHEMA: Json = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Velvet Compass routine, version 2',
  ...schemaOf(ROUTINE),
};

/**
 * JSON Schema of a file of techniques. What it cannot say (places and cautions that are known, each id once, a usual
 * pressure inside its range) is checked on reading.
 */
export const TECHNIQUES_JSON_SCHEMA: Json = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Velvet Compass techniques of a practice, version 1',
  ...schemaOf(OWN_FILE),
};

import type { Field } from './fields.ts';
import { ROUTINE } from './model.ts';
import { OWN_FILE } from './own.ts';

type Json = Record<string, unknown>;
const said = (words: string): Json => (words ? { description: words } : {});

/** A field in the words of JSON Schema (draft 2020-12). */
function schemaOf(field: Field): Json {
  switch (field.is) {
    case 'text':
      return {
        type: 'string',
        maxLength: field.most,
        ...(field.least ? { minLength: field.least } : {}),
        ...said(field.words),
      };
    case 'id':
      return { type: 'string', pattern: '^[A-Za-z0-9][A-Za-z0-9._-]{0,63}$', ...said(field.words) };
    case 'number':
      return {
        type: field.whole ? 'integer' : 'number',
        minimum: field.least,
        maximum: field.most,
        ...said([field.words, field.unit && `In ${field.unit}.`].filter(Boolean).join(' ')),
      };
    case 'one-of':
      return { enum: field.values, ...said(field.words) };
    case 'yes-no':
      return { type: 'boolean', ...said(field.words) };
    case 'constant':
      return { const: field.value };
    case 'nullable':
      return { anyOf: [schemaOf(field.of), { type: 'null' }] };
    case 'list':
      return {
        type: 'array',
        ...(field.least ? { minItems: field.least } : {}),
        maxItems: field.most,
        items: schemaOf(field.of),
        ...said(field.words),
      };
    case 'object':
      return {
        type: 'object',
        additionalProperties: false,
        required: Object.keys(field.fields),
        properties: Object.fromEntries(Object.entries(field.fields).map(([key, of]) => [key, schemaOf(of)])),
        ...said(field.words),
      };
    case 'kinds':
      return { anyOf: Object.values(field.of).map(schemaOf) };
  }
}

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

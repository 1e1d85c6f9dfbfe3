import type { Field } from './fields.ts';

export type Json = Record<string, unknown>;
const said = (words: string): Json => (words ? { description: words } : {});

/** A field in the words of JSON Schema (draft 2020-12). */
export function schemaOf(field: Field): Json {
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
    case 'uuid':
      return { type: 'string', format: 'uuid', ...said(field.words) };
    case 'day':
      return { type: 'string', format: 'date', ...said(field.words) };
    case 'moment':
      return { type: 'string', format: 'date-time', ...said(field.words) };
    case 'any':
      return said(field.words);
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

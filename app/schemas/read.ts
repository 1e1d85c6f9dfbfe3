import { data } from 'react-router';
import { ValidationError, type AnyObjectSchema, type InferType, type ISchema } from 'yup';
import { formPaths, knownFields, slipsIn, type FieldErrors } from './strict';

export type { FieldErrors } from './strict';
export type Checked<S extends AnyObjectSchema> = { ok: true; value: InferType<S> } | { ok: false; errors: FieldErrors };
/** A form that is refused carries what was typed, for a page without script; passwords are not sent back. */
export type CheckedForm<S extends AnyObjectSchema> =
  { ok: true; value: InferType<S> } | { ok: false; errors: FieldErrors; typed: object };

/** Hold a value against a schema: the clean value, or a message per field. What the schema does not know is refused. */
export async function check<S extends AnyObjectSchema>(schema: S, value: unknown): Promise<Checked<S>> {
  const slips = slipsIn(schema as unknown as ISchema<unknown>, value);
  if (Object.keys(slips).length) return { ok: false, errors: slips };
  try {
    return { ok: true, value: (await schema.validate(value, { abortEarly: false })) as InferType<S> };
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const errors: FieldErrors = {};
    for (const one of error.inner.length ? error.inner : [error]) errors[one.path ?? ''] ??= one.message;
    return { ok: false, errors };
  }
}

const isType = (request: Request, ...types: string[]): boolean =>
  types.includes((request.headers.get('Content-Type') ?? '').split(';')[0]!.trim().toLowerCase());
/** Another kind of form than is read here: 415, and which one is. */
function wrongType(accepted: string): never {
  throw data({ message: `${accepted} is accepted here.` }, { status: 415 });
}

/** Fields as they were sent, in one flat list; nothing is built before it is known to belong somewhere. */
export type SentFields = ReadonlyMap<string, string>;
const MOST_FIELDS = 400;
const LONGEST_NAME = 120;

/**
 * The fields of a form. Throws 415 for another type and 422 for what no form of ours sends: a file, a field twice, too
 * many of them.
 */
export async function readForm(request: Request): Promise<SentFields> {
  if (!isType(request, 'application/x-www-form-urlencoded', 'multipart/form-data')) wrongType('A form');
  const form = await request.formData().catch(() => null);
  const refuse = (message: string): never => {
    throw data({ message, errors: { '': message } }, { status: 422 });
  };
  if (!form) return refuse('This form cannot be read.');
  const out = new Map<string, string>();
  for (const [name, value] of form) {
    if (typeof value !== 'string') return refuse('No file is accepted here.');
    if (name.length > LONGEST_NAME || out.size >= MOST_FIELDS)
      return refuse('This form has more fields than any of ours.');
    const path = name.replace(/\.(\d+)(?=\.|$)/g, '[$1]');
    if (out.has(path)) return refuse('A field came twice.');
    out.set(path, value);
  }
  return out;
}

/** Holds the fields of a form against a schema; `beside` names those that the route has read itself. */
export async function checkForm<S extends AnyObjectSchema>(
  schema: S,
  sent: SentFields,
  beside: readonly string[] = [],
): Promise<CheckedForm<S>> {
  const known = knownFields(schema as unknown as ISchema<unknown>);
  const { value, errors } = formPaths(new Map([...sent].filter(([name]) => !beside.includes(name))), known);
  const typed = Object.fromEntries(Object.entries(value).filter(([name]) => name !== 'password'));
  if (Object.keys(errors).length) return { ok: false, errors, typed };
  const checked = await check(schema, value);
  return checked.ok ? checked : { ...checked, typed };
}

/** A JSON body held against a schema. Throws 415 for another type. */
export async function readJson<S extends AnyObjectSchema>(request: Request, schema: S): Promise<Checked<S>> {
  if (!isType(request, 'application/json')) wrongType('JSON');
  const text = await request.text();
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return { ok: false, errors: { '': 'This is no JSON.' } };
  }
  if (value === null || typeof value !== 'object' || Array.isArray(value))
    return { ok: false, errors: { '': 'An object is accepted.' } };
  return check(schema, value);
}

/** Text of an address, as the database can hold it; what is not is read as nothing. */
export const queryText = (query: URLSearchParams, name: string, most: number): string => {
  const text = (query.get(name) ?? '').slice(0, most);
  return text.isWellFormed() && !text.includes('\0') ? text : '';
};

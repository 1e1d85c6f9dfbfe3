import { ValidationError, type AnyObjectSchema, type InferType } from 'yup';

/** First message per field, by its path ("complaints[0].goal"). */
export type FieldErrors = Record<string, string>;

/** Hold a value against a schema: the clean value, or a message per field. */
export async function check<S extends AnyObjectSchema>(schema: S, value: unknown): Promise<{ ok: true; value: InferType<S> } | { ok: false; errors: FieldErrors }> {
  try {
    return { ok: true, value: (await schema.validate(value, { abortEarly: false, stripUnknown: true })) as InferType<S> };
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const errors: FieldErrors = {};
    for (const one of error.inner.length ? error.inner : [error]) errors[one.path ?? ''] ??= one.message;
    return { ok: false, errors };
  }
}

/** Names that would reach into the program, and an index no list of ours reaches. */
const UNSAFE = new Set(['__proto__', 'constructor', 'prototype']);
const LONGEST_LIST = 50;

/** Form fields as an object; "complaints[0].kind" becomes complaints: [{ kind }]. Files are not accepted anywhere. */
export function formObject(form: FormData): Record<string, unknown> {
  const out: Record<string, unknown> = {};
  for (const [path, raw] of form) {
    const value = typeof raw === 'string' ? raw : '';
    const keys = path.replace(/\[(\d+)\]/g, '.$1').split('.');
    if (keys.some((k) => UNSAFE.has(k) || (/^\d+$/.test(k) && Number(k) > LONGEST_LIST))) continue;
    let at = out;
    keys.slice(0, -1).forEach((key, i) => {
      at[key] ??= /^\d+$/.test(keys[i + 1]!) ? [] : {};
      at = at[key] as Record<string, unknown>;
    });
    at[keys[keys.length - 1]!] = value;
  }
  return out;
}

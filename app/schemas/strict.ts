import type { ISchema } from 'yup';

/** First message per field, by its path ("complaints[0].goal"). */
export type FieldErrors = Record<string, string>;

/** Nothing we take in is nested deeper or holds more; both are counted before anything else looks at it. */
const DEEPEST = 16;
const MOST_VALUES = 60_000;
const LONGEST_INDEX = 60;

/** Kinds that are never a list or an object: a schema would call their methods. */
const ONE_VALUE = new Set(['string', 'number', 'boolean', 'date']);

/** A path that a message can be shown at; anything else is told at the form as a whole. */
const fieldPath = (path: string): string =>
  /^[A-Za-z][\w-]*(\[\d+\]|\.[A-Za-z][\w-]*)*$/.test(path) &&
  !path.split(/[.[\]]+/).some((name) => name in Object.prototype)
    ? path
    : '';

type Described = ISchema<unknown> & {
  type?: string;
  fields?: Record<string, Described>;
  innerType?: Described;
  resolve?: (options: { value: unknown }) => Described;
};
const resolved = (schema: Described | undefined, value: unknown): Described | undefined =>
  schema?.type === 'lazy' ? (schema.resolve?.({ value }) as Described) : schema;

/**
 * What is wrong with a value before its meaning is asked: text that no database can hold, fields that the schema does
 * not know, too deep, too much. Own keys only; nothing is inherited.
 */
export function slipsIn(schema: ISchema<unknown>, value: unknown): FieldErrors {
  const errors: FieldErrors = {};
  let values = 0;
  const tell = (path: string, message: string) => void (errors[fieldPath(path)] ??= message);
  const walk = (at: unknown, path: string, deep: number, of: Described | undefined): void => {
    if (++values > MOST_VALUES) return tell('', 'This is more than is accepted.');
    if (typeof at === 'string') {
      if (at.includes('\0') || !at.isWellFormed())
        tell(path, 'Text holds a character that cannot be kept. Take it out.');
      return;
    }
    if (at === null || typeof at !== 'object') return;
    if (deep > DEEPEST) return tell(path, 'This is nested more deeply than is accepted.');
    const shape = resolved(of, at);
    if (shape?.type && ONE_VALUE.has(shape.type)) return tell(path, 'One value is accepted here.');
    if (Array.isArray(at))
      return at.forEach((one, i) =>
        walk(one, `${path}[${i}]`, deep + 1, shape?.type === 'array' ? shape.innerType : undefined),
      );
    const fields = shape?.type === 'object' ? shape.fields : undefined;
    const closed = fields && Object.keys(fields).length > 0;
    for (const key of Object.keys(at)) {
      const inner = path ? `${path}.${key}` : key;
      if (!key.isWellFormed() || key.includes('\0')) tell(path, 'A name holds a character that cannot be kept.');
      else if (closed && !Object.hasOwn(fields, key))
        tell(fieldPath(inner) ? inner : path, `${fieldPath(inner) ? 'This field' : 'A field'} is not known here.`);
      else
        walk(
          (at as Record<string, unknown>)[key],
          inner,
          deep + 1,
          fields && Object.hasOwn(fields, key) ? fields[key] : undefined,
        );
    }
  };
  walk(value, '', 0, schema as Described);
  return errors;
}

/** Every field that a schema has, with [] where a list's index stands: "complaints[].kind". */
export function knownFields(schema: ISchema<unknown>): Set<string> {
  const out = new Set<string>();
  const walk = (of: Described | undefined, path: string): void => {
    if (of?.type === 'object' && of.fields && Object.keys(of.fields).length)
      for (const [key, inner] of Object.entries(of.fields)) walk(inner, path ? `${path}.${key}` : key);
    else if (of?.type === 'array') walk(of.innerType, `${path}[]`);
    else out.add(path);
  };
  walk(schema as Described, '');
  return out;
}

/** Builds an object out of fields that are known, and only those: "complaints[0].kind" becomes complaints: [{ kind }]. */
export function formPaths(
  sent: ReadonlyMap<string, string>,
  known: ReadonlySet<string>,
): { value: Record<string, unknown>; errors: FieldErrors } {
  const errors: FieldErrors = {};
  const value: Record<string, unknown> = {};
  for (const [path, text] of sent) {
    const indices = [...path.matchAll(/\[(\d+)\]/g)].map((m) => m[1]!);
    if (!known.has(path.replace(/\[\d+\]/g, '[]')))
      errors[fieldPath(path)] ??= fieldPath(path) ? 'This field is not known here.' : 'A field is not known here.';
    else if (indices.some((i) => i.length > 2 || Number(i) > LONGEST_INDEX))
      errors[fieldPath(path)] ??= `At most ${LONGEST_INDEX} are accepted.`;
    else put(value, path, text);
  }
  if (!Object.keys(errors).length) close(value);
  return { value, errors };
}

function put(root: Record<string, unknown>, path: string, text: string): void {
  const keys = path.split(/[.[\]]+/).filter(Boolean);
  let at = root;
  for (const [i, key] of keys.slice(0, -1).entries()) {
    if (!Object.hasOwn(at, key)) at[key] = /^\d+$/.test(keys[i + 1]!) ? [] : {};
    at = at[key] as Record<string, unknown>;
  }
  at[keys[keys.length - 1]!] = text;
}

/** Rows taken off in the browser leave gaps in a list; the others keep their order. */
function close(value: Record<string, unknown>): void {
  for (const [key, inner] of Object.entries(value)) {
    if (Array.isArray(inner)) value[key] = inner.filter((_one, i) => Object.hasOwn(inner, i));
    else if (inner !== null && typeof inner === 'object') close(inner as Record<string, unknown>);
  }
}

import { InputError } from '../words/index.ts';
import type { Field, KindsField, NumberField, ObjectField } from './fields.ts';

const ID = /^[A-Za-z0-9][A-Za-z0-9._-]{0,63}$/;

const refuse = (path: string, message: string): never => {
  throw new InputError(path || 'document', message);
};
const isObject = (value: unknown): value is Record<string, unknown> =>
  value !== null && typeof value === 'object' && !Array.isArray(value);
/** NUL and half of a surrogate pair are no text that can be kept. */
const isText = (value: unknown): value is string =>
  typeof value === 'string' && !value.includes('\0') && value.isWellFormed();

const SHAPES = {
  uuid: {
    like: /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/,
    words: 'an id of 32 hexadecimal digits',
  },
  day: { like: /^\d{4}-\d\d-\d\d$/, words: 'a day such as 2026-11-26' },
  moment: {
    like: /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d{1,6})?(Z|[+-]\d\d:\d\d)$/,
    words: 'a moment such as 2026-11-26T14:30:00Z',
  },
} as const;
/** Of the shape, and there on the calendar: 30 February is neither a day nor the beginning of a moment. */
const isShaped = (is: keyof typeof SHAPES, value: string): boolean => {
  if (!SHAPES[is].like.test(value)) return false;
  if (is === 'uuid') return true;
  const onDay = Date.parse(`${value.slice(0, 10)}T00:00:00Z`);
  return !Number.isNaN(Date.parse(value)) && new Date(onDay).toISOString().startsWith(value.slice(0, 10));
};

/**
 * Read a value as a field says, into fresh plain data. Only what the description names is taken.
 * @throws InputError with the path of the first thing that is wrong (`items[2].dose.parts[0].seconds`) and what is
 * accepted there.
 */
export function readField(field: Field, value: unknown, path: string): unknown {
  switch (field.is) {
    case 'text':
      if (value === undefined) return refuse(path, 'is missing');
      if (!isText(value)) return refuse(path, 'must be text');
      if (value.length > field.most) return refuse(path, `is too long; at most ${field.most} characters are accepted`);
      if (value.length < field.least) return refuse(path, 'is missing');
      return value;
    case 'id':
      if (value === undefined) return refuse(path, 'is missing');
      return isText(value) && ID.test(value)
        ? value
        : refuse(path, 'may hold letters, digits, dot, dash and underscore, at most 64');
    case 'uuid':
    case 'day':
    case 'moment':
      return isText(value) && isShaped(field.is, value)
        ? value
        : refuse(path, value === undefined ? 'is missing' : `must be ${SHAPES[field.is].words}`);
    case 'any':
      if (value === undefined) return refuse(path, 'is missing');
      return (JSON.stringify(value) ?? '').length <= field.most
        ? value
        : refuse(path, `is too long; at most ${field.most} characters are accepted`);
    case 'number':
      return readNumber(field, value, path);
    case 'one-of':
      if (value === undefined) return refuse(path, `is missing; one of ${field.values.join(', ')} is accepted`);
      return field.values.includes(value as string)
        ? value
        : refuse(path, `is unknown; one of ${field.values.join(', ')} is accepted`);
    case 'yes-no':
      return typeof value === 'boolean' ? value : refuse(path, 'must be true or false');
    case 'constant':
      return value === field.value ? value : refuse(path, `must be ${field.value}`);
    case 'nullable':
      if (value === undefined) return refuse(path, 'is missing; null is accepted');
      return value === null ? null : readField(field.of, value, path);
    case 'list':
      if (!Array.isArray(value)) return refuse(path, value === undefined ? 'is missing' : 'must be a list');
      // Counted before they are read: there may be very many.
      if (value.length > field.most) return refuse(path, `holds too many; at most ${field.most} are accepted`);
      if (value.length < field.least) return refuse(path, `holds too few; at least ${field.least} is accepted`);
      return value.map((one, i) => readField(field.of, one, `${path}[${i}]`));
    case 'object':
      return readObject(field, value, path);
    case 'kinds':
      return readKinds(field, value, path);
  }
}

function readNumber({ least, most, whole, unit }: NumberField, value: unknown, path: string): unknown {
  const range = `${whole ? 'a whole number' : 'a number'} from ${least} to ${most}${unit ? ` ${unit}` : ''}`;
  if (value === undefined) return refuse(path, `is missing; ${range} is accepted`);
  const fits = typeof value === 'number' && value >= least && value <= most && (!whole || Number.isInteger(value));
  return fits ? value : refuse(path, `${range} is accepted`);
}

function readObject(field: ObjectField, value: unknown, path: string): unknown {
  if (!isObject(value)) return refuse(path, value === undefined ? 'is missing' : 'must be an object');
  for (const key of Object.keys(value))
    if (!Object.hasOwn(field.fields, key)) return refuse(path, `holds a field that is not known: ${key.slice(0, 40)}`);
  return Object.fromEntries(
    Object.entries(field.fields).map(([key, of]) => [
      key,
      readField(of, Object.hasOwn(value, key) ? value[key] : undefined, path ? `${path}.${key}` : key),
    ]),
  );
}

function readKinds(field: KindsField, value: unknown, path: string): unknown {
  if (!isObject(value)) return refuse(path, value === undefined ? 'is missing' : 'must be an object');
  const of = typeof value.kind === 'string' && Object.hasOwn(field.of, value.kind) ? field.of[value.kind] : undefined;
  return of
    ? readField(of, value, path)
    : refuse(`${path}.kind`, `is unknown; one of ${Object.keys(field.of).join(', ')} is accepted`);
}

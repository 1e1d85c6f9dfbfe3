import { CONTACTS, InputError, MOTIONS, PLACE_KINDS, PRESSURES } from '../words/index.ts';
import { array, boolean, lazy, mixed, number, object, string, ValidationError, type AnySchema, type Lazy } from 'yup';
import { BOUNDS, LENGTHS, ROUTINE_FORMAT, ROUTINE_VERSION, SIDE_MODES, type Routine } from './model.ts';

/** The one description of a routine document, shared by form, action, import and command line. */
const within = ([least, most]: readonly [number, number], unit = '') =>
  number()
    .strict()
    .typeError(`must be a number from ${least} to ${most}${unit}`)
    .required(`is missing; a number from ${least} to ${most}${unit} is accepted`)
    .min(least, `is too small; ${least} to ${most}${unit} is accepted`)
    .max(most, `is too large; ${least} to ${most}${unit} is accepted`);
const whole = (range: readonly [number, number], unit = '') =>
  within(range, unit).integer(`must be a whole number from ${range[0]} to ${range[1]}${unit}`);
const oneOf = <T extends string>(values: readonly T[]) =>
  string()
    .strict()
    .typeError('must be text')
    .required(`is missing; one of ${values.join(', ')} is accepted`)
    .oneOf(values, `is unknown; one of ${values.join(', ')} is accepted`);
const optionalOneOf = <T extends string>(values: readonly T[]) =>
  string()
    .strict()
    .nullable()
    .defined('is missing; null is accepted')
    .oneOf([...values, null], `is unknown; one of ${values.join(', ')} or null is accepted`);
const text = (most: number) =>
  string()
    .strict()
    .typeError('must be text')
    .defined('is missing')
    .max(most, `is too long; at most ${most} characters are accepted`);
const id = string()
  .strict()
  .typeError('must be text')
  .required('is missing')
  .matches(/^[A-Za-z0-9][A-Za-z0-9._-]{0,63}$/, 'may hold letters, digits, dot, dash and underscore, at most 64');

const strictObject = <T extends Record<string, AnySchema | Lazy<unknown>>>(shape: T) =>
  object(shape)
    .strict()
    .noUnknown('holds fields that are not known: ${unknown}')
    .typeError('must be an object')
    .required('is missing');

const breathPattern = strictObject({
  inSeconds: within(BOUNDS.breathSeconds, ' s'),
  holdInSeconds: within(BOUNDS.breathSeconds, ' s'),
  outSeconds: within(BOUNDS.breathSeconds, ' s'),
  holdOutSeconds: within(BOUNDS.breathSeconds, ' s'),
}).test('moves', 'must breathe in and out for at least 1 s each', (p) => p.inSeconds >= 1 && p.outSeconds >= 1);

const parts = {
  hold: strictObject({ kind: oneOf(['hold']), seconds: within(BOUNDS.holdSeconds, ' s') }),
  beats: strictObject({
    kind: oneOf(['beats']),
    count: whole(BOUNDS.count),
    countMost: whole(BOUNDS.count).nullable().optional().defined('is missing; null is accepted'),
    perMinute: within(BOUNDS.perMinute, ' per min'),
    unit: text(LENGTHS.unit).min(1, 'is missing'),
    directions: number().strict().oneOf([1, 2], 'must be 1 or 2').required('is missing; 1 or 2 is accepted'),
    per: oneOf(['spot', 'pass']),
  }).test('range', 'countMost must not be less than count', (p) => p.countMost == null || p.countMost >= p.count),
  breath: strictObject({ kind: oneOf(['breath']), cycles: whole(BOUNDS.cycles), pattern: breathPattern }),
  open: strictObject({
    kind: oneOf(['open']),
    until: text(LENGTHS.until).min(1, 'is missing'),
    estimateSeconds: within(BOUNDS.holdSeconds, ' s'),
    leastSeconds: within(BOUNDS.holdSeconds, ' s'),
    mostSeconds: within(BOUNDS.holdSeconds, ' s'),
  }).test(
    'range',
    'estimateSeconds must lie between leastSeconds and mostSeconds',
    (p) => p.leastSeconds <= p.estimateSeconds && p.estimateSeconds <= p.mostSeconds,
  ),
  check: strictObject({
    kind: oneOf(['check']),
    what: text(LENGTHS.check).min(1, 'is missing'),
    seconds: within(BOUNDS.holdSeconds, ' s'),
  }),
};
const part = lazy((value: unknown) => {
  const kind = value !== null && typeof value === 'object' && 'kind' in value ? value.kind : undefined;
  return (
    (typeof kind === 'string' && Object.hasOwn(parts, kind) ? parts[kind as keyof typeof parts] : undefined) ??
    strictObject({ kind: oneOf(Object.keys(parts)) })
  );
});

const sides = strictObject({
  mode: oneOf(SIDE_MODES),
  first: oneOf(['left', 'right']),
  sets: whole(BOUNDS.sets),
  extra: object({ side: oneOf(['left', 'right']), sets: whole(BOUNDS.sets), reason: text(LENGTHS.reason) })
    .strict()
    .noUnknown('holds fields that are not known: ${unknown}')
    .nullable()
    .defined('is missing; null is accepted')
    .default(undefined),
  sequence: oneOf(['side-complete', 'alternate']),
});

const step = strictObject({
  id,
  technique: id,
  label: text(LENGTHS.label).nullable(),
  places: array(strictObject({ kind: oneOf(PLACE_KINDS), id }))
    .strict()
    .typeError('must be a list')
    .required('is missing')
    .max(LENGTHS.places, `holds too many places; at most ${LENGTHS.places} are accepted`),
  contact: oneOf(CONTACTS),
  stillContact: optionalOneOf(CONTACTS),
  motion: oneOf(MOTIONS),
  pressure: optionalOneOf(PRESSURES),
  returnPressure: optionalOneOf(PRESSURES),
  sides,
  dose: strictObject({
    parts: array(part)
      .strict()
      .typeError('must be a list')
      .required('is missing')
      .min(1, 'is empty; at least one part is accepted')
      .max(LENGTHS.parts, `holds too many parts; at most ${LENGTHS.parts} are accepted`),
    spots: whole(BOUNDS.spots),
    pauses: strictObject({
      leadInSeconds: within(BOUNDS.pauseSeconds, ' s'),
      restSeconds: within(BOUNDS.pauseSeconds, ' s'),
      sideChangeSeconds: within(BOUNDS.pauseSeconds, ' s'),
      directionChangeSeconds: within(BOUNDS.pauseSeconds, ' s'),
      nextSpotSeconds: within(BOUNDS.pauseSeconds, ' s'),
    }),
  }),
  swapHands: boolean().strict().typeError('must be true or false').required('is missing'),
  breath: lazy((value: unknown) => (value === null ? mixed().nullable() : breathPattern)),
  head: oneOf(['still', 'turns', 'tilts', 'sinks']),
  jaw: oneOf(['loose', 'closed', 'open', 'moving']),
  eyes: oneOf(['any', 'shut', 'open']),
  glide: oneOf(['dry', 'product', 'either']),
  note: text(LENGTHS.note),
});

const routineSchema = strictObject({
  format: oneOf([ROUTINE_FORMAT]),
  schemaVersion: number().strict().required('is missing').oneOf([ROUTINE_VERSION], `must be ${ROUTINE_VERSION}`),
  name: text(LENGTHS.name).min(1, `is missing; up to ${LENGTHS.name} characters are accepted`),
  budgetMinutes: within(BOUNDS.budgetMinutes, ' min').nullable().optional().defined('is missing; null is accepted'),
  order: strictObject({
    begin: oneOf(['neck', 'any']),
    exercise: oneOf(['after-release', 'any']),
    drainage: oneOf(['open-and-close', 'close-only', 'none']),
  }),
  steps: array(step)
    .strict()
    .typeError('must be a list')
    .required('is missing')
    .max(BOUNDS.steps[1], `holds too many steps; at most ${BOUNDS.steps[1]} are accepted`)
    .test(
      'unique-ids',
      'has two steps with the same id',
      (steps: ({ id: string } | null)[] | undefined) => new Set(steps?.map((s) => s?.id)).size === (steps?.length ?? 0),
    ),
});

/**
 * Read an unknown value as a routine document.
 * @throws InputError naming the first field that is wrong and what is accepted there.
 */
export function parseRoutine(value: unknown): Routine {
  // Counted before they are read: each step costs, and there may be very many.
  const steps = value !== null && typeof value === 'object' && 'steps' in value ? value.steps : null;
  if (Array.isArray(steps) && steps.length > BOUNDS.steps[1])
    throw new InputError('steps', `holds too many steps; at most ${BOUNDS.steps[1]} are accepted`);
  try {
    return routineSchema.validateSync(value, { abortEarly: false }) as unknown as Routine;
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const first = error.inner[0] ?? error;
    throw new InputError(first.path || 'routine', first.message);
  }
}

import { CONTACTS, MOTIONS, PLACE_KINDS, PRESSURES } from '../words/index.ts';
import { BOUNDS, LENGTHS, ROUTINE_FORMAT, ROUTINE_VERSION, SIDE_MODES } from './model.ts';

type Json = Record<string, unknown>;

const number = ([minimum, maximum]: readonly [number, number], description: string): Json => ({
  type: 'number',
  minimum,
  maximum,
  description,
});
const whole = ([minimum, maximum]: readonly [number, number], description: string): Json => ({
  type: 'integer',
  minimum,
  maximum,
  description,
});
const oneOf = (values: readonly string[], description = ''): Json => ({
  enum: values,
  ...(description ? { description } : {}),
});
const orNull = (schema: Json): Json => ({ anyOf: [schema, { type: 'null' }] });
const text = (maxLength: number, description: string, minLength = 0): Json => ({
  type: 'string',
  maxLength,
  ...(minLength ? { minLength } : {}),
  description,
});
const object = (properties: Json, description = ''): Json => ({
  type: 'object',
  additionalProperties: false,
  required: Object.keys(properties),
  properties,
  ...(description ? { description } : {}),
});

const id: Json = { type: 'string', pattern: '^[A-Za-z0-9][A-Za-z0-9._-]{0,63}$' };

const breathPattern = object(
  {
    inSeconds: number([1, BOUNDS.breathSeconds[1]], 'Breathing in, s.'),
    holdInSeconds: number(BOUNDS.breathSeconds, 'Held full, s.'),
    outSeconds: number([1, BOUNDS.breathSeconds[1]], 'Breathing out, s.'),
    holdOutSeconds: number(BOUNDS.breathSeconds, 'Held empty, s.'),
  },
  'One breath.',
);

const parts: Json[] = [
  object({ kind: { const: 'hold' }, seconds: number(BOUNDS.holdSeconds, 'Length, s.') }, 'Stay still.'),
  object(
    {
      kind: { const: 'beats' },
      count: whole(BOUNDS.count, 'How often, one way.'),
      countMost: orNull(whole(BOUNDS.count, '"Up to": the most it may become, not less than count.')),
      perMinute: number(BOUNDS.perMinute, 'Tempo, beats a minute.'),
      unit: text(LENGTHS.unit, 'What is counted: circles, pulses, openings.', 1),
      directions: { enum: [1, 2], description: '2 = one way, then the other.' },
      per: oneOf(['spot', 'pass'], 'Counted at every spot, or once over all spots.'),
    },
    'Counted repetitions.',
  ),
  object(
    { kind: { const: 'breath' }, cycles: whole(BOUNDS.cycles, 'Breaths.'), pattern: breathPattern },
    'Paced breathing.',
  ),
  object(
    {
      kind: { const: 'open' },
      until: text(LENGTHS.until, 'What is waited for: "it softens".', 1),
      estimateSeconds: number(BOUNDS.holdSeconds, 'Usual length, s; between least and most.'),
      leastSeconds: number(BOUNDS.holdSeconds, 's.'),
      mostSeconds: number(BOUNDS.holdSeconds, 's.'),
    },
    'An open dose.',
  ),
  object(
    {
      kind: { const: 'check' },
      what: text(LENGTHS.check, 'What is tested or compared.', 1),
      seconds: number(BOUNDS.holdSeconds, 's.'),
    },
    'Re-test or compare.',
  ),
];

const step = object({
  id: { ...id, description: 'Unique in the routine.' },
  technique: { ...id, description: 'Id of a technique; one the reader does not know is refused.' },
  label: orNull(text(LENGTHS.label, 'Own name of the step; null = the technique’s.')),
  places: { type: 'array', maxItems: LENGTHS.places, items: object({ kind: oneOf(PLACE_KINDS), id }) },
  contact: oneOf(CONTACTS),
  stillContact: orNull(oneOf(CONTACTS, 'A second contact that stays put.')),
  motion: oneOf(MOTIONS),
  pressure: orNull(oneOf(PRESSURES, 'null where nothing presses.')),
  returnPressure: orNull(oneOf(PRESSURES, 'On the way back where it differs.')),
  sides: object({
    mode: oneOf(SIDE_MODES, 'together = both at once; each = one after the other. Sides are the client’s.'),
    first: oneOf(['left', 'right']),
    sets: whole(BOUNDS.sets, 'Rounds a side.'),
    extra: orNull(
      object({
        side: oneOf(['left', 'right']),
        sets: whole(BOUNDS.sets, 'More rounds.'),
        reason: text(LENGTHS.reason, 'Why it is intended; empty = not said.'),
      }),
    ),
    sequence: oneOf(['side-complete', 'alternate']),
  }),
  dose: object({
    parts: { type: 'array', minItems: 1, maxItems: LENGTHS.parts, items: { anyOf: parts } },
    spots: whole(BOUNDS.spots, 'Places worked one after the other on a side.'),
    pauses: object({
      leadInSeconds: number(BOUNDS.pauseSeconds, 'Finding the place, s.'),
      restSeconds: number(BOUNDS.pauseSeconds, 'Between sets, s.'),
      sideChangeSeconds: number(BOUNDS.pauseSeconds, 's.'),
      directionChangeSeconds: number(BOUNDS.pauseSeconds, 's.'),
      nextSpotSeconds: number(BOUNDS.pauseSeconds, 's.'),
    }),
  }),
  swapHands: { type: 'boolean', description: 'Hands swap after every set.' },
  breath: orNull(breathPattern),
  head: oneOf(['still', 'turns', 'tilts', 'sinks']),
  jaw: oneOf(['loose', 'closed', 'open', 'moving']),
  eyes: oneOf(['any', 'shut', 'open']),
  glide: oneOf(['dry', 'product', 'either']),
  note: text(LENGTHS.note, ''),
});

/**
 * JSON Schema (draft 2020-12) of the routine file. What a schema of this kind cannot say (unique step ids, countMost
 * not below count, an estimate between its limits, 120 minutes in all) is checked on reading.
 */
export const ROUTINE_JSON_SCHEMA: Json = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Velvet Compass routine',
  ...object({
    format: { const: ROUTINE_FORMAT },
    schemaVersion: { const: ROUTINE_VERSION },
    name: text(LENGTHS.name, 'Name of the routine.', 1),
    budgetMinutes: orNull(number(BOUNDS.budgetMinutes, 'Minutes available; null when time does not matter.')),
    order: object(
      {
        begin: oneOf(['neck', 'any']),
        exercise: oneOf(['after-release', 'any']),
        drainage: oneOf(['open-and-close', 'close-only', 'none']),
      },
      'What comes first; schools differ.',
    ),
    steps: { type: 'array', maxItems: BOUNDS.steps[1], items: step },
  }),
};

import { FINGER_WIDTH_MM } from '../../core/measures';
import { type Habit, HABITS, type HabitSides } from '../../core/record';
import { COMPLAINT_KINDS, type OneSide, PRESSURES } from '../../core/words';
import { array, boolean, number, object, string, type InferType, type StringSchema } from 'yup';
import { once } from './once';

const words = (most: number) => string().trim().default('').max(most, `At most ${most} characters are accepted.`);
/** An empty choice is "none". */
const emptyIsUndefined = (value: unknown, original: unknown) =>
  original === '' || original === null ? undefined : value;
const emptyIsNull = (value: unknown, original: unknown) => (original === '' || original === undefined ? null : value);

const complaintSchema = object({
  id: string()
    .transform((v: string) => v || undefined)
    .optional(),
  kind: string().oneOf(COMPLAINT_KINDS, 'Choose one of the list.').required('Choose one of the list.'),
  side: string()
    .oneOf(['left', 'right', 'both', 'midline'] as const, 'Choose a side.')
    .required('Choose a side.'),
  label: words(60),
  onset: words(200),
  triggers: words(300),
  goal: words(300),
  closed: boolean().default(false),
});

/** Four widths typed in one line: "17 18 17 15". */
const fingerLine = string()
  .trim()
  .default('')
  .test(
    'fingers',
    `Four widths in mm, index first, each ${FINGER_WIDTH_MM.least} to ${FINGER_WIDTH_MM.most}: "17 18 17 15".`,
    (text) => {
      if (!text) return true;
      const widths = readFingers(text);
      return (
        widths !== null &&
        widths.length === 4 &&
        widths.every((w) => w >= FINGER_WIDTH_MM.least && w <= FINGER_WIDTH_MM.most)
      );
    },
  );
const readFingers = (text: string): number[] | null =>
  text ? text.split(/[\s/;]+/).map((w) => Number(w.replace(',', '.'))) : null;

/** What the skin reacts to, typed in one line: "nuts, lavender". */
const readAllergies = (text: string): string[] => [
  ...new Set(
    text
      .split(/[,;\n]/)
      .map((w) => w.trim())
      .filter(Boolean),
  ),
];
const allergyLine = string()
  .trim()
  .default('')
  .test(
    'allergies',
    'At most 20 names of at most 40 letters each, with commas between them: "nuts, lavender".',
    (text) => readAllergies(text).length <= 20 && readAllergies(text).every((w) => w.length <= 40),
  );

export const clientSchema = object({
  once,
  name: string().trim().required('Type a name.').max(120, 'At most 120 characters are accepted.'),
  about: words(120),
  email: string()
    .trim()
    .default('')
    .max(254, 'At most 254 characters are accepted.')
    .email('An address such as noor@post.example is accepted.'),
  note: words(2000),
  pressureCap: string()
    .transform(emptyIsNull)
    .nullable()
    .default(null)
    .oneOf([...PRESSURES, null], 'Choose one of the list.'),
  habitSides: object(
    Object.fromEntries(
      HABITS.map((h) => [
        h,
        string()
          .transform(emptyIsUndefined)
          .optional()
          .oneOf(['left', 'right', 'both', undefined] as const, 'Choose a side, or none.'),
      ]),
    ) as Record<Habit, StringSchema<OneSide | 'both' | undefined>>,
  ).default({}),
  allergies: allergyLine,
  fingers: fingerLine,
  version: number()
    .transform((v: number) => (Number.isNaN(v) ? undefined : v))
    .integer()
    .min(1)
    .optional(),
  complaints: array().of(complaintSchema).max(12, 'At most 12 complaints are accepted.').default([]),
});
export type ClientForm = InferType<typeof clientSchema>;

/** Somebody new, as who books writes them down: nothing of why they come. */
export const personSchema = clientSchema.pick(['once', 'name', 'email']);
export type PersonForm = InferType<typeof personSchema>;

/** The record that a form describes. */
export function clientInput({ fingers, allergies, habitSides, version: _version, once: _once, ...rest }: ClientForm) {
  const sides = Object.fromEntries(Object.entries(habitSides).filter(([, side]) => side)) as HabitSides;
  return { ...rest, habitSides: sides, allergies: readAllergies(allergies), fingerWidthsMm: readFingers(fingers) };
}

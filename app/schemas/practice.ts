import { PRODUCT_KINDS, REASON_LETTERS } from '../../core/limits';
import { CONSENT_KINDS, DATE_FORMATS, type DateFormat, TEXT_KINDS } from '../../core/record';
import { type Pressure, PRESSURES, type Region, REGIONS, type WorkWord } from '../../core/words';
import { SCHOOLS } from '../../reference/schools';
import { array, boolean, number, object, string, type InferType } from 'yup';
import { calendarDay } from './day';

const words = (most: number) => string().trim().default('').max(most, `At most ${most} characters are accepted.`);
const version = number()
  .transform((v: number) => (Number.isNaN(v) ? undefined : v))
  .integer()
  .min(0)
  .required();

/** Kinds of work a local rule can name, in the order of the form. */
export const RULE_WORKS = [
  'strong-stimulation',
  'press-hold',
  'circular-friction',
  'light-stroke',
  'lymph-stroke',
  'stretch',
  'pincer',
  'intraoral',
  'jaw-mobilisation',
  'neck-rotation',
  'neck-traction',
  'heat',
  'cold',
  'oil',
  'essential-oil',
  'gua-sha',
  'cupping',
  'vibration',
  'microcurrent',
] as const satisfies readonly WorkWord[];

export const ruleSchema = object({
  title: string().trim().required('Type a short name.').max(60, 'At most 60 characters are accepted.'),
  question: words(200),
  group: string()
    .oneOf(['today', 'standing'] as const, 'Choose one of the list.')
    .default('standing'),
  severity: string()
    .oneOf(['avoid', 'adapt', 'note'] as const, 'Choose one of the list.')
    .required('Choose one of the list.'),
  regions: array().of(string<Region>().oneOf(REGIONS, 'Choose out of the list.').required()).default([]),
  pressures: array().of(string<Pressure>().oneOf(PRESSURES, 'Choose out of the list.').required()).default([]),
  works: array()
    .of(string<(typeof RULE_WORKS)[number]>().oneOf(RULE_WORKS, 'Choose out of the list.').required())
    .default([]),
  advice: string().trim().required('Say what to do instead.').max(300, 'At most 300 characters are accepted.'),
  seeWho: words(120),
});
export type RuleForm = InferType<typeof ruleSchema>;

/** Ingredients typed in one field, with commas between them. */
export const readIngredients = (text: string): string[] =>
  text
    .split(/[,;\n]/)
    .map((w) => w.trim())
    .filter(Boolean);
export const productSchema = object({
  name: string().trim().required('Type the name on the label.').max(80, 'At most 80 characters are accepted.'),
  kind: string().oneOf(PRODUCT_KINDS, 'Choose one of the list.').required('Choose one of the list.'),
  ingredients: words(2000).test(
    'each',
    'At most 80 ingredients of at most 80 letters each are accepted.',
    (text) => readIngredients(text).length <= 80 && readIngredients(text).every((w) => w.length <= 80),
  ),
  essentialPercent: number()
    .transform((_v, original: unknown) =>
      original === '' || original === null || original === undefined
        ? null
        : Number(String(original).trim().replace(',', '.')),
    )
    .nullable()
    .default(null)
    .typeError('0 to 100 percent is accepted.')
    .min(0, '0 to 100 percent is accepted.')
    .max(100, '0 to 100 percent is accepted.'),
});
export type ProductForm = InferType<typeof productSchema>;

export const textSchema = object({
  kind: string().oneOf(TEXT_KINDS).required(),
  version,
  body: string()
    .trim()
    .required('Type the text.')
    .min(20, 'At least 20 characters are accepted.')
    .max(4000, 'At most 4000 characters are accepted.'),
});

export const overrideSchema = object({
  caution: string().max(64).required(),
  reason: string()
    .trim()
    .required('Type why the work is done all the same.')
    .min(REASON_LETTERS.least, `At least ${REASON_LETTERS.least} letters: what was weighed, and what is done instead.`)
    .max(REASON_LETTERS.most, `At most ${REASON_LETTERS.most} letters are accepted.`),
  password: string().required('Type your own password to sign.').max(200),
});

export const consentSchema = object({
  kind: string().oneOf(CONSENT_KINDS).required(),
  do: string()
    .oneOf(['give', 'withdraw'] as const)
    .required(),
  textVersion: version,
});
export const patchTestSchema = object({
  productId: string().max(64).required(),
  testedOn: calendarDay,
  reacted: boolean().required(),
});

/** School that new routines begin with, how days are written, and after how long a course is reviewed. */
export const schoolSchema = object({
  school: string()
    .required('Choose a school.')
    .oneOf(
      SCHOOLS.map((s) => s.id),
      'This school is not known.',
    ),
  contact: string().trim().max(120, 'At most 120 characters are accepted.').default(''),
  dateFormat: string<DateFormat>()
    .oneOf(DATE_FORMATS, 'This way of writing days is not known.')
    .required('Choose one.'),
  reviewDays: number()
    .typeError('7 to 180 days are accepted.')
    .integer('Whole days are accepted.')
    .min(7, '7 to 180 days are accepted.')
    .max(180, '7 to 180 days are accepted.')
    .required('7 to 180 days are accepted.'),
});

/** Whether clients who agreed are written to, and from which address. */
export const remindersSchema = object({
  reminds: boolean().default(false),
  mailFrom: string()
    .trim()
    .default('')
    .max(254, 'At most 254 characters are accepted.')
    .when('reminds', {
      is: true,
      then: (s) =>
        s
          .required('Type the address that letters come from.')
          .email('An address such as studio@harbour-row.example is accepted.'),
      otherwise: (s) => s.email('An address such as studio@harbour-row.example is accepted.'),
    }),
});

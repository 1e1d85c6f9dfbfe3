import type { AnyObjectSchema } from 'yup';
import { describe, expect, test } from 'vitest';
import {
  consentSchema,
  overrideSchema,
  patchTestSchema,
  productSchema,
  readIngredients,
  ruleSchema,
  textSchema,
} from './practice';
import { check } from './read';

const rule = {
  title: 'Performs tonight',
  question: '',
  group: 'today',
  severity: 'adapt',
  regions: ['jaw'],
  pressures: ['firm'],
  works: ['heat'],
  advice: 'Medium at most.',
  seeWho: '',
};
const product = {
  name: 'Plain jojoba',
  kind: 'oil',
  ingredients: 'Simmondsia chinensis, tocopherol',
  essentialPercent: '',
};
const text = { kind: 'scope', version: '2', body: 'We work with our hands and diagnose nothing.' };
const override = { caution: 'pregnancy', reason: 'Past the sixth week, agreed.', password: 'x' };
const consent = { kind: 'photo', do: 'give', textVersion: 0 };
const patch = { productId: 'p', testedOn: '2026-11-02', reacted: false };

describe.each<[string, AnyObjectSchema, Record<string, unknown>, [field: string, value: unknown, message: string][]]>([
  [
    'a rule',
    ruleSchema,
    rule,
    [
      ['title', ' ', 'Type a short name.'],
      ['title', 'x'.repeat(61), 'At most 60'],
      ['severity', 'refer-out', 'Choose one'],
      ['group', 'red-flag', 'Choose one'],
      ['question', 'x'.repeat(201), 'At most 200'],
      ['advice', '', 'Say what to do instead.'],
      ['regions[0]', 'moon', 'Choose out of the list'],
      ['pressures[0]', 'brutal', 'Choose out of the list'],
      ['works[0]', 'surgery', 'Choose out of the list'],
    ],
  ],
  [
    'a product',
    productSchema,
    product,
    [
      ['name', '', 'Type the name'],
      ['kind', 'acid', 'Choose one'],
      ['ingredients', Array(81).fill('water').join(','), 'At most 80 ingredients'],
      ['ingredients', 'x'.repeat(81), 'At most 80 ingredients'],
      ['essentialPercent', 'much', '0 to 100'],
      ['essentialPercent', '-1', '0 to 100'],
      ['essentialPercent', '101', '0 to 100'],
    ],
  ],
  [
    'a text',
    textSchema,
    text,
    [
      ['kind', 'law', 'must be one of'],
      ['body', 'too short', 'At least 20'],
      ['body', 'x'.repeat(4001), 'At most 4000'],
      ['version', '-1', 'greater than or equal'],
      ['version', 'new', 'required'],
    ],
  ],
  [
    'an override',
    overrideSchema,
    override,
    [
      ['reason', '   ', 'Type why the work'],
      ['reason', 'because', 'At least 15'],
      ['reason', 'x'.repeat(501), 'At most 500'],
      ['password', '', 'Type your own password'],
    ],
  ],
  [
    'a consent',
    consentSchema,
    consent,
    [
      ['kind', 'all', 'must be one of'],
      ['do', 'assume', 'must be one of'],
      ['textVersion', 0.5, 'integer'],
    ],
  ],
  [
    'a patch test',
    patchTestSchema,
    patch,
    [
      ['testedOn', '2026-02-31', 'A day such as'],
      ['testedOn', 'yesterday', 'A day such as'],
      ['reacted', 'perhaps', 'boolean'],
      ['productId', '', 'required'],
    ],
  ],
])('%s', (_what, schema, good, bad) => {
  test('is taken as it is typed', async () => expect((await check(schema, good)).ok).toBe(true));
  test.each(bad)('%s = %j is told at its field', async (field, value, message) => {
    const [name, index] = field.split('[');
    const result = await check(schema, { ...good, [name!]: index ? [value] : value });
    expect(result.ok ? {} : result.errors).toEqual({ [field]: expect.stringContaining(message) as string });
  });
});

test('ingredients are read by commas, semicolons and lines', () =>
  expect(readIngredients(' aqua, Cera alba;\nlinalool ,, ')).toEqual(['aqua', 'Cera alba', 'linalool']));
test('a decimal comma is a point, an empty share is none', async () => {
  const read = async (essentialPercent: string) => {
    const result = await check(productSchema, { ...product, essentialPercent });
    return result.ok && result.value.essentialPercent;
  };
  expect(await read('0,5')).toBe(0.5);
  expect(await read('')).toBeNull();
});

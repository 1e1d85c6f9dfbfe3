import { describe, expect, test } from 'vitest';
import { object, string } from 'yup';
import { clientSchema } from './client';
import { check, checkForm, queryText, readForm, readJson } from './read';
import { formPaths, knownFields, slipsIn } from './strict';
import { saveSchema } from './visit';

const sent = (fields: Record<string, string>) => new Map(Object.entries(fields));
const build = (fields: Record<string, string>) => formPaths(sent(fields), knownFields(clientSchema));
const post = (body: BodyInit, type?: string) =>
  new Request('http://127.0.0.1/', { method: 'POST', body, headers: type ? { 'Content-Type': type } : {} });
const refusal = async (work: Promise<unknown>): Promise<number> => {
  try {
    await work;
    return 200;
  } catch (thrown) {
    return (thrown as { init?: { status: number } }).init!.status;
  }
};

describe('fields of a form as an object', () => {
  test('lists in both ways of writing', async () => {
    const twice = await readForm(
      post(new URLSearchParams({ 'complaints.0.kind': 'jaw', 'complaints[1].kind': 'stress', name: 'A' })),
    );
    expect(formPaths(twice, knownFields(clientSchema))).toEqual({
      value: { name: 'A', complaints: [{ kind: 'jaw' }, { kind: 'stress' }] },
      errors: {},
    });
  });
  test('a row that was taken off leaves no gap', () =>
    expect(build({ 'complaints[0].kind': 'jaw', 'complaints[2].kind': 'stress' }).value.complaints).toEqual([
      { kind: 'jaw' },
      { kind: 'stress' },
    ]));
  test.each([
    'toString.call',
    'hasOwnProperty.call',
    '__proto__.polluted',
    'constructor.prototype.x',
    'complaints.length',
    'complaints[x].kind',
    'complaints',
    'complaints[0]',
    'complaints[0].__proto__.x',
    'name.first',
    'habitSides',
    'unknown',
    '',
    'toString',
    'valueOf',
  ])('%j is refused, and nothing is built of it', (name) => {
    const { value, errors } = build({ [name]: '5000000' });
    expect(Object.keys(errors)).toHaveLength(1);
    expect(value).toEqual({});
    expect(({} as { polluted?: string }).polluted).toBeUndefined();
    expect(Object.prototype.toString.call([])).toBe('[object Array]');
  });
  test('an unknown field is told at its name', () =>
    expect(build({ colour: 'red' }).errors).toEqual({ colour: 'This field is not known here.' }));
  test.each(['61', '99', '999999', '00000000000001'])('a list is not built up to %s', (index) =>
    expect(build({ [`complaints[${index}].kind`]: 'jaw' })).toEqual({
      value: {},
      errors: { [`complaints[${index}].kind`]: 'At most 60 are accepted.' },
    }),
  );
});

describe('a form', () => {
  test('of another type is 415', async () => expect(await refusal(readForm(post('{}', 'application/json')))).toBe(415));
  test('with a file is refused', async () => {
    const form = new FormData();
    form.append('name', new File(['x'], 'x.txt'));
    expect(await refusal(readForm(post(form)))).toBe(422);
  });
  test('with a field twice is refused, in whichever writing', async () => {
    expect(await refusal(readForm(post(new URLSearchParams('name=a&name=b'))))).toBe(422);
    expect(await refusal(readForm(post(new URLSearchParams('complaints[0].kind=a&complaints.0.kind=b'))))).toBe(422);
  });
  test('with more fields than any of ours is refused', async () =>
    expect(
      await refusal(readForm(post(new URLSearchParams(Array.from({ length: 500 }, (_, i) => [`a${i}`, 'x']))))),
    ).toBe(422));
  test('that ends early is refused', async () =>
    expect(
      await refusal(
        readForm(post('--x\r\nContent-Disposition: form-data; name="a"', 'multipart/form-data; boundary=x')),
      ),
    ).toBe(422));
  test('that is refused carries what was typed, but no password', async () => {
    const result = await checkForm(
      object({ name: string().max(3), password: string() }),
      sent({ name: 'Noor', password: 'secret' }),
    );
    expect(result).toMatchObject({ ok: false, typed: { name: 'Noor' } });
    expect(JSON.stringify(result)).not.toContain('secret');
  });
  test('its own words beside the schema are named by the route', async () => {
    const schema = object({ name: string() });
    expect((await checkForm(schema, sent({ name: 'x', do: 'keep' }))).ok).toBe(false);
    expect((await checkForm(schema, sent({ name: 'x', do: 'keep' }), ['do'])).ok).toBe(true);
  });
});

describe('JSON', () => {
  const read = (text: string) => readJson(post(text, 'application/json'), saveSchema);
  test('of another type is 415', async () =>
    expect(await refusal(readJson(post(new URLSearchParams({ a: '1' })), saveSchema))).toBe(415));
  test.each(['', '{', 'nul', '[]', '"text"', '7', 'null', `${'['.repeat(5000)}`])('%.20s is told', async (text) =>
    expect(await read(text)).toMatchObject({ ok: false }),
  );
  test('names that every object has are no kinds', async () => {
    for (const kind of ['constructor', 'toString', '__proto__', 'hasOwnProperty', null, 7, { toString: 1 }, ['screen']])
      expect((await read(JSON.stringify({ saveId: 'a-good-id', expectedVersion: 1, patch: { kind } }))).ok).toBe(false);
  });
});

describe('before a schema looks', () => {
  const schema = object({ name: string(), inner: object({ note: string() }) });
  test.each([
    ['NUL', 'a\0b'],
    ['half an emoji', 'ok \ud83d'],
    ['the other half', '\ude00 ok'],
  ])('text with %s is refused at its field', (_what, text) => {
    expect(Object.keys(slipsIn(schema, { name: text }))).toEqual(['name']);
    expect(Object.keys(slipsIn(schema, { inner: { note: text } }))).toEqual(['inner.note']);
  });
  test('whole emoji, accents and other scripts are text', () =>
    expect(slipsIn(schema, { name: 'Zoë 👩🏽‍🎤 نور 名' })).toEqual({}));
  test('what the schema does not know is refused, deep inside too', () => {
    expect(slipsIn(schema, { name: 'a', extra: 1 })).toEqual({ extra: 'This field is not known here.' });
    expect(slipsIn(schema, { inner: { note: 'a', 'odd key': 1 } })).toEqual({ inner: 'A field is not known here.' });
    for (const name of ['__proto__', 'toString', 'valueOf', 'constructor'])
      expect(Object.keys(slipsIn(schema, JSON.parse(`{"${name}": 1}`)))).toHaveLength(1);
  });
  test('a list or an object where one value belongs is refused', () => {
    expect(slipsIn(schema, { name: ['a'] })).toEqual({ name: 'One value is accepted here.' });
    expect(slipsIn(schema, { name: { toString: 1 } })).toEqual({ name: 'One value is accepted here.' });
  });
  test('too deep and too much are refused', () => {
    const deep: Record<string, unknown> = {};
    let at = deep;
    for (let i = 0; i < 40; i++) at = at.a = {} as Record<string, unknown>;
    expect(Object.keys(slipsIn(object(), deep)).length).toBeGreaterThan(0);
    expect(slipsIn(object(), { all: Array(100_000).fill(1) })).toEqual({ '': 'This is more than is accepted.' });
  });
  test('check refuses for all of them', async () =>
    expect(await check(schema, { name: 'x', other: 1 })).toEqual({
      ok: false,
      errors: { other: 'This field is not known here.' },
    }));
});

test.each([
  ['ok', 'ok'],
  ['a\0b', ''],
  ['\ud83d', ''],
  ['x'.repeat(100), 'x'.repeat(80)],
])('text of an address: %j', (text, read) =>
  expect(queryText(new Map([['q', text]]) as unknown as URLSearchParams, 'q', 80)).toBe(read),
);

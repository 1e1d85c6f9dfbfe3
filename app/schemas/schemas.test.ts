import { describe, expect, test } from 'vitest';
import { routineFrom } from '../../tests/support/routines';
import { newPracticeSchema, signInSchema } from './account';
import { clientInput, clientSchema } from './client';
import { calendarDay } from './day';
import { check } from './read';
import { saveSchema } from './visit';

const errorsOf = async (result: Promise<{ ok: boolean; errors?: Record<string, string> }>) =>
  (await result).errors ?? {};

describe('accounts', () => {
  const good = {
    practice: 'Harbour Row',
    timeZone: 'Europe/Lisbon',
    name: 'Imke Dahl',
    email: 'imke@harbour-row.example',
    password: 'long enough',
  };
  test('good', async () => expect((await check(newPracticeSchema, good)).ok).toBe(true));
  test.each([
    ['timeZone', 'Mars/Olympus', 'Europe/Lisbon'],
    ['email', 'nobody', 'name@example.org'],
    ['password', 'short', 'At least 10'],
    ['practice', '   ', 'name of the practice'],
    ['name', 'x'.repeat(121), 'At most 120'],
  ])('%s = %s', async (field, value, words) =>
    expect((await errorsOf(check(newPracticeSchema, { ...good, [field]: value })))[field]).toContain(words),
  );
  test('sign-in asks for both', async () =>
    expect(Object.keys(await errorsOf(check(signInSchema, {})))).toEqual(
      expect.arrayContaining(['email', 'password']),
    ));
});

describe('clients', () => {
  const good = {
    name: 'Noor Halvorsen',
    about: 'second violins',
    note: '',
    pressureCap: '',
    habitSides: { chewing: 'left', hand: '' },
    allergies: 'nuts,  lavender',
    fingers: '16 17 16 14',
    complaints: [{ id: '', kind: 'jaw', label: '', side: 'left', onset: '', triggers: '', goal: '' }],
  };
  test('good, and empty choices are none', async () => {
    const result = await check(clientSchema, good);
    expect(result.ok && clientInput(result.value)).toMatchObject({
      pressureCap: null,
      habitSides: { chewing: 'left' },
      allergies: ['nuts', 'lavender'],
      fingerWidthsMm: [16, 17, 16, 14],
      complaints: [{ kind: 'jaw', side: 'left', closed: false }],
    });
  });
  test.each([
    ['name', '', 'Type a name'],
    ['note', 'x'.repeat(2001), 'At most 2000'],
    ['pressureCap', 'crushing', 'Choose one'],
    ['allergies', 'x'.repeat(41), 'At most 20 names'],
    ['fingers', '17 18', 'Four widths'],
    ['fingers', '17 18 17 99', 'Four widths'],
    ['fingers', 'wide', 'Four widths'],
  ])('%s = %s', async (field, value, words) =>
    expect((await errorsOf(check(clientSchema, { ...good, [field]: value })))[field]).toContain(words),
  );
  test('a complaint of an unknown kind is named by its place in the list', async () =>
    expect(
      Object.keys(
        await errorsOf(check(clientSchema, { ...good, complaints: [{ ...good.complaints[0], kind: 'gossip' }] })),
      ),
    ).toEqual(['complaints[0].kind']));
  test('decimal commas are read', async () => {
    const result = await check(clientSchema, { ...good, fingers: '16,5 17 16 14' });
    expect(result.ok && clientInput(result.value).fingerWidthsMm).toEqual([16.5, 17, 16, 14]);
  });
});

describe('days', () => {
  test.each(['', '2027-03-09', '2028-02-29'])('"%s" is accepted', (day) =>
    expect(calendarDay.isValidSync(day)).toBe(true),
  );
  test.each(['2027-02-29', '2027-13-01', '09.03.2027', 'soon', '0001-01-01'])('"%s" is not', (day) =>
    expect(calendarDay.isValidSync(day)).toBe(false),
  );
});

describe('writes of a visit', () => {
  const save = (patch: unknown, over: object = {}) =>
    check(saveSchema, { saveId: 'save-0001', expectedVersion: 1, patch, ...over });
  const reading = (over: object) => ({
    kind: 'readings',
    entries: [
      {
        measure: 'tenderness',
        complaintId: null,
        place: 'masseter-superficial',
        side: 'left',
        phase: 'before',
        value: 2,
        ...over,
      },
    ],
  });

  test.each<[string, unknown]>([
    ['answers', { kind: 'screen', screen: { answers: { pregnancy: 'yes' }, preparation: ['hands'] } }],
    ['a reading', reading({})],
    ['a reading taken away', reading({ value: null })],
    ['a rating', reading({ measure: 'nrs-now', complaintId: 'c1', place: '', value: 7 })],
    ['a routine', { kind: 'routine', routine: routineFrom(['temple-circles']) }],
    [
      'a record',
      { kind: 'record', record: { reactions: ['warmth'], note: '', product: '', nextOn: '2027-03-09', reviewOn: '' } },
    ],
    ['a stage', { kind: 'stage', stage: 'assess' }],
  ])('%s is taken', async (_name, patch) => expect(await save(patch)).toMatchObject({ ok: true }));

  test.each<[string, unknown]>([
    [
      'an answer that is neither yes nor no',
      { kind: 'screen', screen: { answers: { pregnancy: 'maybe' }, preparation: [] } },
    ],
    [
      'an answer to a question nobody asks',
      { kind: 'screen', screen: { answers: { carotid: 'yes' }, preparation: [] } },
    ],
    ['tenderness 4', reading({ value: 4 })],
    ['tenderness of a muscle that is not known', reading({ place: 'biceps' })],
    ['tenderness on both sides at once', reading({ side: 'both' })],
    ['a rating without its complaint', reading({ measure: 'nrs-now', place: '', value: 5 })],
    ['tenderness with a complaint', reading({ complaintId: 'c1' })],
    ['a rating of 11', reading({ measure: 'nrs-now', complaintId: 'c1', place: '', value: 11 })],
    ['no entries', { kind: 'readings', entries: [] }],
    ['a routine that is none', { kind: 'routine', routine: { name: 'x' } }],
    [
      'a day that does not exist',
      { kind: 'record', record: { reactions: [], note: '', product: '', nextOn: '2027-02-30', reviewOn: '' } },
    ],
    [
      'a reaction nobody knows',
      { kind: 'record', record: { reactions: ['levitation'], note: '', product: '', nextOn: '', reviewOn: '' } },
    ],
    ['a stage nobody knows', { kind: 'stage', stage: 'lunch' }],
    ['a kind nobody knows', { kind: 'everything' }],
    ['nothing', undefined],
    ['text', 'routine'],
  ])('%s is refused', async (_name, patch) => expect(await save(patch)).toMatchObject({ ok: false }));

  test('the reading’s own message is told', async () =>
    expect(Object.values(await errorsOf(save(reading({ value: 4 }))))[0]).toContain('0, 1, 2 or 3'));
  test.each([{ saveId: 'x' }, { expectedVersion: 0 }, { expectedVersion: 1.5 }])('%j is refused', async (over) =>
    expect(await save({ kind: 'stage', stage: 'assess' }, over)).toMatchObject({ ok: false }),
  );
});

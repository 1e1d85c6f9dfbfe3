import { awake, colleagueOf, expect, openPractice, openPracticeByHand, posted, test } from './base.ts';
import type { Page } from '@playwright/test';

const DAY = '2030-01-15';
async function addRoomOf(page: Page, name: string, minutes: number): Promise<void> {
  await posted(page, '/practice/rooms', { name, changeMinutes: String(minutes) });
}
async function addClients(page: Page, ...names: string[]): Promise<void> {
  for (const name of names) await posted(page, '/clients/new', { name });
}
const lane = (page: Page, name: string) => page.getByRole('region', { name, exact: true });
/** A place on the rail of a lane, at a share of its axis from nine to seven. */
async function touch(page: Page, name: string, hour: number): Promise<void> {
  const box = (await lane(page, name).locator('.rail-track').boundingBox())!;
  await page.mouse.click(box.x + (box.width * (hour - 9)) / 10 + 1, box.y + 60);
}
async function choose(page: Page, name: string): Promise<void> {
  await page.getByRole('combobox', { name: 'Client', exact: true }).fill(name.slice(0, 5).toLowerCase());
  await expect(page.getByRole('option', { name })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('combobox', { name: 'Client', exact: true })).toHaveValue(name);
}

test('a day is booked by touch and by keys, moved, and told where it lies over something', async ({ page }) => {
  await openPractice(page);
  await addRoomOf(page, 'Street room', 10);
  await addRoomOf(page, 'Yard room', 5);
  await addClients(page, 'Noor Halvorsen', 'Jun Castellan', 'Petr Lindqvist');
  await page.goto(`/today?day=${DAY}`);
  await expect(lane(page, 'Street room')).toContainText('10:00');

  // Free time is touched: the visit begins there, in this room.
  await touch(page, 'Street room', 11);
  const panel = page.getByRole('region', { name: 'New visit' });
  await expect(panel.getByLabel('Time')).toHaveValue('11:00');
  await expect(panel.getByLabel('Room')).toHaveValue(/.+/);
  await page.getByRole('button', { name: 'Book 60 min' }).click();
  await expect(panel.getByText('Choose a client.')).toBeVisible();
  await choose(page, 'Noor Halvorsen');
  await page.getByRole('button', { name: 'Book 60 min' }).click();
  await expect(lane(page, 'Street room').getByRole('link', { name: 'Noor Halvorsen' })).toBeVisible();
  await expect(panel).toBeHidden();

  // By keys alone: n, the client, then the visit in the rail is moved and made longer with arrows.
  await page.keyboard.press('n');
  await choose(page, 'Jun Castellan');
  const ghost = page.getByRole('button', { name: /^Jun Castellan\. Arrows move it/ });
  await ghost.focus();
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowRight');
  await expect(panel.getByLabel('Time')).toHaveValue('10:00');
  await page.keyboard.press('ArrowDown');
  await expect(panel.getByLabel('Room').locator('option:checked')).toHaveText('Yard room');
  await page.keyboard.press('Shift+ArrowRight');
  await expect(panel.getByLabel('Minutes')).toHaveValue('65');
  await page.keyboard.press('Enter');
  // The same person cannot be in two rooms: asked once.
  await expect(panel.getByRole('alert')).toContainText('has Noor Halvorsen then already: 11:00 to 12:00.');
  await page.keyboard.press('Escape');
  await expect(panel).toBeHidden();
  await expect(page.getByRole('link', { name: 'Jun Castellan' })).toHaveCount(0);

  // What is booked is dragged: it moves only when that is said.
  const frame = lane(page, 'Street room').getByRole('button', { name: /^Noor Halvorsen, 11:00/ });
  const box = (await frame.boundingBox())!;
  const hour = box.width;
  await page.mouse.move(box.x + 10, box.y + 18);
  await page.mouse.down();
  await page.mouse.move(box.x + 10 + hour, box.y + 18, { steps: 6 });
  await page.mouse.move(box.x + 10 + 2 * hour, box.y + 18, { steps: 6 });
  await page.mouse.up();
  const move = page.getByRole('region', { name: 'Move Noor Halvorsen' });
  await expect(move.getByLabel('Time')).toHaveValue('13:00');
  await expect(lane(page, 'Street room').getByRole('button', { name: /^Noor Halvorsen, 11:00/ })).toBeVisible();
  await move.getByRole('button', { name: 'Move it' }).click();
  await expect(lane(page, 'Street room').getByRole('button', { name: /^Noor Halvorsen, 13:00/ })).toBeVisible();

  // Did not come: it stays to be seen, and its time is free.
  await lane(page, 'Street room')
    .getByRole('button', { name: /^Noor Halvorsen/ })
    .click();
  await page.getByRole('button', { name: 'Did not come: Noor Halvorsen' }).first().click();
  await page.getByRole('button', { name: 'Yes' }).first().click();
  await expect(lane(page, 'Street room').getByRole('button', { name: /did not come/ })).toBeVisible();
});

test('a closed room is told, and a room that is too soon for the next', async ({ page }) => {
  await openPractice(page);
  await addRoomOf(page, 'Street room', 20);
  await addClients(page, 'Noor Halvorsen', 'Jun Castellan');
  await page.goto(`/today?day=${DAY}`);
  await touch(page, 'Street room', 10);
  await choose(page, 'Noor Halvorsen');
  await page.getByRole('button', { name: 'Book 60 min' }).click();
  await page.goto('/practice/rooms');
  await page.getByRole('link', { name: 'Change Street room' }).click();
  await expect(page.getByRole('heading', { name: 'Change Street room' })).toBeVisible();
  await page.getByLabel('Minutes to turn it over').fill('200');
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByText('0 to 120 minutes are accepted.')).toBeVisible();
  await page.getByLabel('Minutes to turn it over').fill('20');
  await page.getByLabel(/Closed: nothing new/).check();
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByRole('cell', { name: 'closed' })).toBeVisible();
  await page.goto(`/today?day=${DAY}`);
  await page.getByRole('button', { name: /^Noor Halvorsen, 10:00/ }).click();
  await page.getByRole('button', { name: 'Move: Noor Halvorsen' }).first().click();
  await page.getByLabel('Time').first().fill('14:00');
  await page.getByRole('button', { name: 'Move', exact: true }).first().click();
  await expect(page.getByRole('alert')).toContainText('This room is closed.');
});

test('who waits is told where they fit, and comes off the list when they are booked', async ({ page }) => {
  await openPractice(page);
  await addClients(page, 'Caspian Holt', 'Odile Brandt');
  await page.goto(`/today?day=${DAY}`);
  await page.getByRole('button', { name: 'Put somebody on the list' }).click();
  await page.getByRole('button', { name: 'Put on the list' }).click();
  await expect(page.getByText('Choose a client.')).toBeVisible();
  await choose(page, 'Caspian Holt');
  await page.getByLabel('When').selectOption('afternoon');
  await page.getByRole('button', { name: 'Put on the list' }).click();
  const waiting = page.getByRole('region', { name: 'Waiting list' });
  await waiting.getByRole('button', { name: /^12:00 for Caspian Holt/ }).click();
  await page.getByRole('button', { name: 'Book 60 min' }).click();
  await expect(waiting).toContainText('Nobody waits.');
  await expect(page.getByRole('button', { name: /^Caspian Holt, 12:00/ })).toBeVisible();
  // Booked by themselves, whoever waits is told to wait, and comes off the list unless that is not meant.
  await page.getByRole('button', { name: 'Put somebody on the list' }).click();
  await choose(page, 'Odile Brandt');
  await page.getByRole('button', { name: 'Put on the list' }).click();
  await expect(waiting).toContainText('Odile Brandt');
  await page.keyboard.press('n');
  await choose(page, 'Odile Brandt');
  await page.getByLabel('Waits for a time: off the list once this is booked').uncheck();
  await page.getByRole('button', { name: 'Book 60 min' }).click();
  await expect(page.getByRole('button', { name: /^Odile Brandt, 09:00/ })).toBeVisible();
  await expect(waiting).toContainText('Odile Brandt');
});

test('an assistant books, and sees nothing of why somebody comes', async ({ page, baseURL }) => {
  await openPracticeByHand(page);
  await posted(page, '/clients/new', {
    name: 'Sunniva Adeyemi',
    about: 'flute, 26 weeks',
    note: 'expecting in spring',
    'complaints.0.kind': 'jaw',
    'complaints.0.side': 'left',
  });
  const theirs = await colleagueOf(page, 'Yannick Bello', 'assistant');
  await expect(theirs.getByRole('link', { name: 'Practice', exact: true })).toHaveCount(0);
  await expect(theirs.getByRole('link', { name: 'Routines' })).toHaveCount(0);

  // They book, with somebody who works here.
  await theirs.goto(`/today?day=${DAY}`);
  await awake(theirs);
  await theirs.getByRole('button', { name: 'New visit' }).click();
  await choose(theirs, 'Sunniva Adeyemi');
  await theirs.getByRole('button', { name: 'Book 60 min' }).click();
  await expect(theirs.getByRole('button', { name: /^Sunniva Adeyemi, 09:00/ })).toBeVisible();
  for (const path of [`/today?day=${DAY}`, '/clients', '/find?q=sunn', '/today.data', '/clients.data']) {
    const told = await (await theirs.request.get(path)).text();
    for (const word of ['flute', 'expecting', 'jaw', 'Jaw'])
      expect(told.includes(word), `${path}: ${word}`).toBe(false);
  }
  for (const word of ['flute', '26 weeks', 'jaw'])
    for (const path of [`/clients?find=${word}`, `/find?q=${word}`, `/bookings/names?q=${word}`])
      expect(await (await theirs.request.get(path)).text(), path).not.toContain('Sunniva');

  // Somebody new is written down by name alone.
  await theirs.goto('/clients/new');
  await awake(theirs);
  await expect(theirs.getByLabel('Name')).toBeVisible();
  await expect(theirs.getByLabel('Note')).toHaveCount(0);
  const origin = new URL(baseURL!).origin;
  const more = await theirs.request.post('/clients/new', {
    headers: { origin },
    form: { name: 'Odile Brandt', note: 'x' },
  });
  expect(more.status()).toBe(422);
  await theirs.getByLabel('Name').fill('Odile Brandt');
  await theirs.getByRole('button', { name: 'Add and book' }).click();
  await expect(theirs.getByRole('combobox', { name: 'Client', exact: true })).toHaveValue('Odile Brandt');

  // Everything else is refused, for reading and for writing, and says why.
  const visit = /visits\/([0-9a-f-]{36})/.exec(await (await page.request.get(`/today?day=${DAY}`)).text())![1]!;
  const client = /clients\/([0-9a-f-]{36})/.exec(await (await page.request.get('/clients')).text())![1]!;
  for (const path of [
    ...['/routines', '/practice', '/practice/trail', '/practice/out', '/practice/colleagues', '/practice/archive'],
    ...['', '/visits', '/home-plan', '/measure', '/details', '/let-go', '/copy', '/calendar'].map(
      (p) => `/clients/${client}${p}`,
    ),
    ...['screen', 'assess', 'compose', 'guide', 'record', 'earlier', 'lacks'].map((p) => `/visits/${visit}/${p}`),
    ...[`/paper/visits/${visit}`, `/paper/clients/${client}/relief`, `/paper/visits/${visit}/referral`],
    ...['/pad', '/pad/words', '/pad/check', `/pad/rehearse?visit=${visit}`, '/devices/current', '/devices/pad?pad=x'],
  ])
    expect((await theirs.request.get(path)).status(), path).toBe(403);
  for (const [path, body] of [
    [`/visits/${visit}/save`, { saveId: 'x', expectedVersion: 1, patch: { kind: 'stage', stage: 'done' } }],
    [`/visits/${visit}/run`, { kind: 'open' }],
    [`/clients/${client}/ratings?do=keep`, {}],
    [`/clients/${client}/consent`, {}],
    ['/pad/words/agree', { word: 'medium', do: 'agree' }],
    ['/devices/current', {}],
  ] as const)
    expect((await theirs.request.post(path, { headers: { origin }, data: body })).status(), path).toBe(403);
  await theirs.goto(`/clients/${client}`);
  await expect(theirs.getByText('Who books sees when clients come, and nothing of why.')).toBeVisible();
});

test('clients and what is booked with them go into other hands', async ({ page }) => {
  await openPracticeByHand(page);
  await addClients(page, 'Noor Halvorsen');
  await page.goto(`/today?day=${DAY}`);
  await awake(page);
  await page.getByRole('button', { name: 'New visit' }).click();
  await choose(page, 'Noor Halvorsen');
  await page.getByRole('button', { name: 'Book 60 min' }).click();
  await expect(page.getByRole('button', { name: /^Noor Halvorsen, 09:00/ })).toBeVisible();
  await colleagueOf(page, 'Mio Tanaka', 'practitioner');
  await page.reload();
  await page.getByRole('link', { name: /Your clients/ }).click();
  await expect(page.getByLabel('Noor Halvorsen, 1 visit booked')).toBeChecked();
  await page.getByRole('button', { name: 'Hand over' }).click();
  await expect(page.getByText('1 client handed over, 1 booked visit with them.')).toBeVisible();
  await page.goto(`/today?day=${DAY}`);
  await expect(lane(page, 'Mio Tanaka').getByRole('link', { name: 'Noor Halvorsen' })).toBeVisible();
});

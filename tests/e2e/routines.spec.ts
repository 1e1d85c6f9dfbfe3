import { readFileSync } from 'node:fs';
import sharp from 'sharp';
import { addClient, addStep, awake, expect, openPractice, saved, test, toCompose } from './base.ts';

const EXAMPLE = JSON.parse(readFileSync('docs/formats/routine.example.json', 'utf8')) as {
  name: string;
  items: Record<string, unknown>[];
};
const fileOf = (content: unknown) => ({
  name: 'routine.json',
  mimeType: 'application/json',
  buffer: Buffer.from(typeof content === 'string' ? content : JSON.stringify(content)),
});

test.beforeEach(async ({ page }) => {
  await openPractice(page);
});

test('a file is looked at before it is kept, what is not known is exchanged, and it comes back the same', async ({
  page,
}) => {
  await page.goto('/routines');
  await awake(page);
  await page.getByRole('button', { name: 'Import a file' }).click();
  const dialog = page.getByRole('dialog');
  const choose = (content: unknown) => dialog.getByLabel('Routine file').setInputFiles(fileOf(content));
  for (const [content, told] of [
    ['<script>', 'Not taken in: this is no JSON file.'],
    [{ ...EXAMPLE, schemaVersion: 9 }, 'up to version 2 is accepted'],
    [{ ...EXAMPLE, items: [{ ...EXAMPLE.items[0], sides: 'both' }] }, 'items[0].sides'],
    [{ ...EXAMPLE, colour: 'red' }, 'colour'],
    ['['.repeat(200_000), 'Not taken in'],
  ] as const) {
    await choose(content);
    await expect(dialog.getByRole('alert')).toContainText(told);
    await expect(dialog.getByRole('button', { name: 'Keep it' })).toBeDisabled();
  }
  await choose({ ...EXAMPLE, items: [{ ...EXAMPLE.items[0], technique: 'moon-rays' }, ...EXAMPLE.items.slice(1)] });
  await expect(dialog.getByText('This practice does not know “moon-rays”.')).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Keep it' })).toBeDisabled();
  await dialog.getByLabel(/does not know “moon-rays”/).selectOption({ value: EXAMPLE.items[0]!.technique as string });
  await dialog.getByLabel('Name').fill('From a file');
  await dialog.getByRole('button', { name: 'Keep it' }).click();
  await page.getByLabel('Find a routine').fill('from a file');
  await page.getByRole('link', { name: 'From a file' }).click();
  await page.waitForURL(/\/routines\/[0-9a-f-]{36}$/);
  const back = (await (await page.request.get(`${page.url()}/file`)).json()) as object;
  expect(back).toEqual({ ...EXAMPLE, name: 'From a file' });
});

test('a routine is edited outside of a visit; each version says what changed, and one is put back', async ({
  page,
}) => {
  await page.goto('/routines');
  await awake(page);
  await page.getByRole('button', { name: 'New routine' }).click();
  await page.waitForURL(/edit=1/);
  await expect(page.getByText('version 1')).toBeVisible();
  await addStep(page, 'temple circles');
  await addStep(page, 'warm palms jaw 40s');
  await page.getByLabel('Name of the routine').fill('Temples, quietly');
  await expect(page.getByText('not kept yet')).toBeVisible();
  await page.getByRole('link', { name: 'Clients', exact: true }).click();
  await expect(page.getByText('What was changed here is not kept.')).toBeVisible();
  await page.getByRole('button', { name: 'Stay' }).click();
  await page.getByRole('button', { name: 'Keep as version 2' }).click();
  await page.waitForURL(/\/routines\/[0-9a-f-]{36}$/);
  await expect(page.getByRole('heading', { level: 1, name: 'Temples, quietly' })).toBeVisible();
  const versions = page.locator('.versions');
  await expect(versions).toContainText('Two-finger circles at the temples: new');
  await page.getByRole('link', { name: 'Edit' }).click();
  await page.getByLabel('Pressure of Two-finger circles at the temples').selectOption('medium');
  await page.getByRole('button', { name: 'Keep as version 3' }).click();
  await expect(versions).toContainText('Two-finger circles at the temples: light → medium');
  await page.getByRole('button', { name: 'Put version 1 back' }).click();
  await expect(versions).toContainText('Two-finger circles at the temples: taken out');
  await page.getByLabel('Compare with another routine').selectOption({ label: 'Two balls for jaw, nose and brow' });
  await expect(page.locator('.section').filter({ hasText: 'Beside another' }).locator('.small-ribbon')).toHaveCount(2);
  await page.getByRole('button', { name: 'Duplicate' }).click();
  await page.waitForURL(/edit=1/);
  await expect(page.getByLabel('Name of the routine')).toHaveValue('New routine (copy)');
});

test('two windows on one routine: the second is told, and nothing is written over', async ({ page, context }) => {
  await page.goto('/routines');
  await awake(page);
  await page.getByRole('button', { name: 'New routine' }).click();
  await page.waitForURL(/edit=1/);
  const second = await context.newPage();
  await second.goto(page.url());
  await awake(second);
  await addStep(page, 'temple circles');
  await page.getByRole('button', { name: 'Keep as version 2' }).click();
  await page.waitForURL(/\/routines\/[0-9a-f-]{36}$/);
  await addStep(second, 'warm palms jaw');
  await second.getByRole('button', { name: 'Keep as version 2' }).click();
  await expect(second.getByRole('alert')).toContainText('changed in another window');
});

test('a visit is begun with a routine that was found with a slip of the hand', async ({ page }) => {
  await addClient(page, 'Jun Castellan');
  await page.goto('/routines');
  await awake(page);
  await page.getByLabel('Find a routine').fill('two bals jaw');
  await page.getByRole('link', { name: 'Start a visit with it' }).click();
  await expect(page.getByText(/^Choose whom/)).toBeVisible();
  await page.getByRole('link', { name: 'Jun Castellan' }).click();
  await page.getByRole('button', { name: /^Start visit 1 with/ }).click();
  await page.waitForURL(/visits\/.*\/screen/);
  const at = page.url().replace(/screen$/, 'compose');
  await page.goto(at);
  await expect(page.locator('.step').first()).toBeVisible();
  const steps = await page.locator('.step').count();
  expect(steps).toBeGreaterThan(3);
});

test('what was done at an earlier visit is asked for, also when the network is cut meanwhile', async ({
  page,
  context,
}) => {
  await addClient(page, 'Jun Castellan');
  await toCompose(page);
  await page.getByRole('button', { name: 'As an earlier time …' }).click();
  await expect(page.getByText('No earlier visit with a routine.')).toBeVisible();
  // Asked for without a network it waits, and comes with it.
  await page.getByRole('button', { name: 'Close' }).click();
  await addStep(page, 'temple circles');
  await context.setOffline(true);
  await page.getByRole('button', { name: 'As an earlier time …' }).click();
  await expect(page.getByText(/No connection to the records/)).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText('No earlier visit with a routine.')).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(page.locator('.step')).toHaveCount(1);
});

test('on paper a routine is its steps and its ribbon, light whatever the room is', async ({ page }) => {
  await page.goto('/routines');
  await awake(page);
  await page.getByRole('button', { name: 'Dim room' }).click();
  await expect(page.getByRole('button', { name: 'Day room' })).toBeVisible();
  await page.getByLabel('Find a routine').fill('two balls');
  await page.getByRole('link', { name: 'Two balls for jaw, nose and brow' }).click();
  await page.waitForURL(/\/routines\/[0-9a-f-]{36}$/);
  const ground = () => page.evaluate(() => getComputedStyle(document.body).getPropertyValue('--sheet').trim());
  expect(await ground()).not.toMatch(/^#fff(fff)?$/);
  await page.emulateMedia({ media: 'print' });
  // Shortened or not by whoever packs the style sheet.
  expect(await ground()).toMatch(/^#fff(fff)?$/);
  await expect(page.getByRole('row').first()).toBeVisible();
  await expect(page.locator('.ribbon')).toBeVisible();
  for (const hidden of ['Rename', 'Delete', 'Duplicate'])
    await expect(page.getByRole('button', { name: hidden })).toBeHidden();
  await page.emulateMedia({ media: 'screen' });
  const [taken] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Ribbon as SVG' }).click(),
  ]);
  const svg = readFileSync(await taken.path(), 'utf8');
  expect(taken.suggestedFilename()).toBe('Two balls for jaw, nose and brow.svg');
  // It stands by itself: colours written out, nothing of the page's style needed.
  expect(svg).toMatch(/^<svg[^>]+xmlns="http:\/\/www.w3.org\/2000\/svg"/);
  expect(svg).not.toContain('var(');
  expect(svg.match(/<rect|<path/g)!.length).toBeGreaterThan(5);
  const [picture] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Ribbon as PNG' }).click(),
  ]);
  expect(picture.suggestedFilename()).toBe('Two balls for jaw, nose and brow.png');
  const { width, height } = await sharp(await picture.path()).metadata();
  const [, , w, h] = /viewBox="([^"]+)"/.exec(svg)![1]!.split(' ').map(Number);
  // Three times as fine as it is drawn.
  expect([width, height]).toEqual([Math.round(w!) * 3, Math.round(h!) * 3]);
});

test('a client’s copy says where it is from, and takes over what changed there since, one by one', async ({ page }) => {
  await page.goto('/routines');
  await awake(page);
  await page.getByRole('button', { name: 'New routine' }).click();
  await page.getByLabel('Name of the routine').fill('Two of mine');
  await addStep(page, 'temple circles 10x');
  await addStep(page, 'warm palms jaw');
  await page.getByRole('button', { name: /^Keep as version/ }).click();
  await page.waitForURL(/\/routines\/[0-9a-f-]{36}$/);
  const template = page.url();

  await addClient(page);
  await toCompose(page);
  await page.getByRole('button', { name: 'Start from a template' }).click();
  await page.getByRole('button', { name: /Two of mine/ }).click();
  await expect(page.getByText(/From Two of mine, version 2\./)).toBeVisible();
  await saved(page);
  const visit = page.url();

  await page.goto(`${template}?edit=1`);
  await awake(page);
  await addStep(page, 'collarbone pumps');
  await page.getByLabel('Pressure of Two-finger circles at the temples').selectOption('feather');
  await page.getByRole('button', { name: /^Keep as version/ }).click();
  await page.waitForURL(/\/routines\/[0-9a-f-]{36}$/);

  await page.goto(visit);
  await page.getByRole('button', { name: 'Now version 3: what changed' }).click();
  await expect(page.locator('.since li')).toHaveCount(2);
  await page.getByRole('button', { name: /Take over: Two-finger circles/ }).click();
  await expect(page.locator('.since')).toContainText('as here already');
  await page.getByRole('button', { name: 'Gone through' }).click();
  await expect(page.getByText(/From Two of mine, version 3\./)).toBeVisible();
  await expect(page.getByLabel('Pressure of Two-finger circles at the temples')).toHaveValue('feather');
  await expect(page.locator('.step')).toHaveCount(2);
  await saved(page);
  await page.reload();
  await expect(page.getByText(/From Two of mine, version 3\./)).toBeVisible();
});

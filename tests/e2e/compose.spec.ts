import { addClient, addStep, expect, hearingNothing, openPractice, saved, test, toCompose } from './base.ts';
import type { Page } from '@playwright/test';

const order = (page: Page) =>
  page
    .locator('.step .name')
    .allInnerTexts()
    .then((names) =>
      names.map((n) =>
        n
          .replace(/^\d+\s*/, '')
          .replace(/\s*[▲■].*$/s, '')
          .trim(),
      ),
    );

test.beforeEach(async ({ page }) => {
  await openPractice(page);
  await addClient(page);
  await toCompose(page);
});

test('dose, pressure and sides are edited in place, and the total follows to the second', async ({ page }) => {
  await addStep(page, 'temple circles 10x 30/min');
  // 4 s to find the place, 10 circles at 30 a minute one way and the other, 1 s to change direction.
  await expect(page.getByTestId('total')).toHaveText('0:45');
  await page.getByLabel('Pressure of Two-finger circles at the temples').selectOption('feather');
  await page.getByLabel('Sides of Two-finger circles at the temples').selectOption('each');
  await expect(page.getByTestId('total')).toHaveText('1:30');
  await page.getByLabel('Circles', { exact: true }).fill('5');
  await expect(page.getByTestId('total')).toHaveText('0:50');
  await page.getByLabel('Circles', { exact: true }).fill('201');
  await expect(page.getByText('Whole, 1 to 200')).toBeVisible();
  await expect(page.getByLabel('Circles', { exact: true })).toHaveValue('201');
  await expect(page.getByTestId('total')).toHaveText('0:50');
  await saved(page);
  await page.reload();
  await expect(page.getByTestId('total')).toHaveText('0:50');
  await expect(page.getByLabel('Pressure of Two-finger circles at the temples')).toHaveValue('feather');
});

test('undo and redo, by button and by key', async ({ page }) => {
  await addStep(page, 'temple circles');
  await addStep(page, 'warm palms jaw');
  expect(await order(page)).toHaveLength(2);
  await page.keyboard.press('Control+z');
  await expect.poll(() => order(page)).toEqual(['Two-finger circles at the temples']);
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect.poll(() => order(page)).toHaveLength(2);
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('No steps yet')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
});

test('leaving a stage forgets nothing: each stage takes back its own', async ({ page }) => {
  await addStep(page, 'temple circles');
  await page.getByRole('link', { name: 'Assess' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Assess' })).toBeVisible();
  const rating = page.getByRole('radiogroup', { name: 'Jaw, left, now, 0 to 10' });
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await rating.getByText('7', { exact: true }).click();
  await expect(rating.getByRole('radio', { name: ': 7' })).toBeChecked();
  await rating.getByText('4', { exact: true }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(rating.getByRole('radio', { name: ': 7' })).toBeChecked();
  await page.keyboard.press('Control+z');
  await expect(rating.getByRole('radio', { checked: true })).toHaveCount(0);
  await page.keyboard.press('Control+y');
  await expect(rating.getByRole('radio', { name: ': 7' })).toBeChecked();
  await page.getByRole('link', { name: 'Compose' }).click();
  await expect.poll(() => order(page)).toEqual(['Two-finger circles at the temples']);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('No steps yet')).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.getByText('No steps yet')).toBeVisible();
});

test('the order is a setting: another school, or a departure with its reason, ends a warning about it', async ({
  page,
}) => {
  await addStep(page, 'temple circles');
  await addStep(page, 'skull base circles');
  const warning = page.getByText(
    /Thumb press and circle along the skull base comes after Two-finger circles at the temples/,
  );
  await expect(warning).toBeVisible();
  await page.getByRole('button', { name: 'Order: Neck first' }).click();
  await page.getByLabel('Beginning').selectOption('anywhere');
  await expect(warning).toBeHidden();
  await page.getByLabel('Why it departs from its school').fill('the neck was done at home');
  await page.getByLabel('Beginning').selectOption('neck before face');
  await expect(warning).toBeVisible();
  await expect(page.getByLabel('Why it departs from its school')).toBeHidden();
  await page.getByLabel('School', { exact: true }).selectOption('From the top down');
  await expect(warning).toBeHidden();
  await saved(page);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Order: From the top down' })).toBeVisible();
});

test('what was typed and has no place in the step is told', async ({ page }) => {
  await page.getByRole('combobox', { name: 'Add a step' }).fill('masseter wait 10x 60/min');
  await expect(page.getByRole('option', { name: /Masseter/ }).first()).toContainText('ignored: 10x, 60/min');
});

test('steps are reordered by keys, on the ribbon, and by dragging', async ({ page }) => {
  for (const line of ['warm palms jaw', 'temple circles', 'jiache hold']) await addStep(page, line);
  expect(await order(page)).toEqual([
    'Warm palms on the chewing muscles',
    'Two-finger circles at the temples',
    'Press ST6 Jiache',
  ]);
  await page.locator('.step .name').nth(2).focus();
  await page.keyboard.press('[');
  await expect
    .poll(() => order(page))
    .toEqual(['Warm palms on the chewing muscles', 'Press ST6 Jiache', 'Two-finger circles at the temples']);
  await page.locator('.ribbon .block').first().focus();
  await page.keyboard.press(']');
  await expect
    .poll(() => order(page))
    .toEqual(['Press ST6 Jiache', 'Warm palms on the chewing muscles', 'Two-finger circles at the temples']);
  const handle = page.getByRole('button', { name: 'Move Two-finger circles at the temples', exact: true });
  const from = (await handle.boundingBox())!;
  const to = (await page.locator('.step').first().boundingBox())!;
  await page.mouse.move(from.x + 5, from.y + 5);
  await page.mouse.down();
  await page.mouse.move(to.x + 5, from.y - 20, { steps: 4 });
  await page.mouse.move(to.x + 5, to.y + 2, { steps: 8 });
  await page.mouse.up();
  await expect.poll(async () => (await order(page))[0]).toBe('Two-finger circles at the temples');
  await page.locator('.step .name').first().focus();
  await page.keyboard.press('Delete');
  await expect.poll(() => order(page)).toHaveLength(2);
});

test('rules speak with a reason, and their fix is one click', async ({ page }) => {
  await addStep(page, 'temple circles');
  await addStep(page, 'skull base circles');
  await expect(
    page.getByText(/Thumb press and circle along the skull base comes after Two-finger circles at the temples/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Thumb press and circle along the skull base first' }).click();
  await expect
    .poll(() => order(page))
    .toEqual(['Thumb press and circle along the skull base', 'Two-finger circles at the temples']);
  await page.getByLabel('Minutes available').fill('1.8');
  await expect(page.getByText(/over the 1.8 minutes/)).toBeVisible();
  await page.getByRole('button', { name: 'Shorten the longest steps' }).click();
  await expect(page.getByText(/over the 1.8 minutes/)).toBeHidden();
});

test('what is wrong in a typed line is told, and the line stays', async ({ page }) => {
  const box = page.getByRole('combobox', { name: 'Add a step' });
  await box.fill('temple 999x');
  await expect(page.getByText('count: 999 is outside 1 to 200')).toBeVisible();
  await box.fill('levitation');
  await expect(page.getByText('Nothing answers to that.')).toBeVisible();
  await box.press('Enter');
  await expect(box).toHaveValue('levitation');
});

test('keep as a template, start from it in another visit, take it as a file', async ({ page }) => {
  await addStep(page, 'temple circles');
  await addStep(page, 'warm palms jaw 30s');
  await page.getByRole('button', { name: 'Keep as a template' }).click();
  await page.getByRole('dialog').getByLabel('Name').fill('Temples and palms');
  await page.getByRole('dialog').getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('Kept as “Temples and palms”')).toBeVisible();
  await page.getByRole('button', { name: 'Keep as a template' }).click();
  await page.getByRole('dialog').getByLabel('Name').fill('temples AND palms');
  await page.getByRole('dialog').getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('There is a template of this name already.')).toBeVisible();
  await page.keyboard.press('Escape');
  await saved(page);

  await addClient(page, 'Wilma Okonjo', 'eye-strain', 'both');
  await toCompose(page);
  await page.getByRole('button', { name: 'Start from a template' }).click();
  await page.getByRole('button', { name: 'Temples and palms' }).click();
  await expect.poll(() => order(page)).toHaveLength(2);

  await page.goto('/routines');
  // What came with the application stands beside it, and what is not wanted is hidden from the visits.
  await page.getByRole('link', { name: /Two balls for jaw/ }).focus();
  await expect(page.getByRole('complementary', { name: /Two balls for jaw/ })).toContainText(
    'came with Velvet Compass',
  );
  await page.getByLabel('Find a routine').fill('temples palms');
  await page.getByRole('button', { name: 'Hide: Temples and palms' }).click();
  await page.getByRole('button', { name: 'Show all' }).click();
  await page.getByText('Hidden (1)').click();
  await page.getByRole('button', { name: 'Show again: Temples and palms' }).click();
  await expect(page.getByText('Hidden (1)')).toBeHidden();
  await page.getByRole('link', { name: 'Temples and palms' }).click();
  await page.waitForURL(/\/routines\/[0-9a-f-]{36}$/);
  const file = await page.request.get(`${page.url()}/file`);
  expect(file.headers()['content-disposition']).toContain('attachment');
  expect(await file.json()).toMatchObject({
    format: 'velvet-compass/routine',
    name: 'Temples and palms',
    schemaVersion: 2,
    items: [{}, {}],
  });
});

test('two windows on one visit end in a choice, not in a lost write', async ({ page, context }) => {
  await addStep(page, 'temple circles');
  await saved(page);
  await hearingNothing(context);
  await page.reload();
  const second = await context.newPage();
  await second.goto(page.url());
  await addStep(page, 'warm palms jaw');
  await saved(page);
  await addStep(second, 'jiache');
  await expect(second.getByText('This visit was changed in another window.')).toBeVisible();
  await second.getByRole('button', { name: 'write mine over it' }).click();
  await saved(second);
  await addStep(page, 'hegu');
  await expect(page.getByText('This visit was changed in another window.')).toBeVisible();
  await page.getByRole('button', { name: 'Take what is stored' }).click();
  await expect.poll(() => order(page)).toEqual(['Two-finger circles at the temples', 'Press ST6 Jiache']);
});

test('a lost connection loses nothing: it is written when it comes back', async ({ page, context }) => {
  await addStep(page, 'temple circles');
  await saved(page);
  await context.setOffline(true);
  await addStep(page, 'warm palms jaw');
  await expect(page.getByText('Not saved yet, kept on this device')).toBeVisible();
  await context.setOffline(false);
  await saved(page);
  await page.reload();
  await expect.poll(() => order(page)).toHaveLength(2);
});

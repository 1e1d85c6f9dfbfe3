import { addClient, addStep, expect, openPractice, saved, test, toCompose } from './base.ts';
import type { Page } from '@playwright/test';

const proposed = (page: Page) => page.getByRole('list', { name: 'Proposed steps' }).getByRole('listitem');
const open = async (page: Page) => {
  await page.getByRole('button', { name: 'Propose' }).click();
  await expect(proposed(page).first()).toBeVisible({ timeout: 30_000 });
};
const isDone = (page: Page) =>
  expect(page.getByText(/proven; \d+ % of what an hour could do/)).toBeVisible({ timeout: 45_000 });

test.beforeEach(async ({ page }) => {
  await openPractice(page);
  await addClient(page);
  await toCompose(page);
});

test('proposed, told why, taken, taken back in one step, and guided', async ({ page }) => {
  await addStep(page, 'temple circles 10x');
  await open(page);
  await isDone(page);
  await expect(page.getByText(/Against now: \d+ new/)).toBeVisible();
  await expect(page.getByText('Press the muscles in Assess for a closer fit.')).toBeVisible();
  const many = await proposed(page).count();
  expect(many).toBeGreaterThan(8);
  for (const why of await page.locator('.proposed .why').allInnerTexts()) expect(why.trim().length).toBeGreaterThan(3);
  await expect(page.getByRole('heading', { name: 'Left out: no minutes' })).toBeVisible();
  await page.getByRole('button', { name: 'What each step is worth' }).click();
  await expect(
    page
      .locator('.proposed')
      .getByText(/worth \d/)
      .first(),
  ).toBeVisible();

  await page.getByRole('button', { name: 'Take', exact: true }).click();
  await expect(page.locator('.step')).toHaveCount(many);
  await saved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('.step')).toHaveCount(1);
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(page.locator('.step')).toHaveCount(many);
  await page.getByRole('button', { name: 'Guide', exact: true }).click();
  await page.waitForURL(/\/guide$/);
  await expect(page.getByRole('button', { name: /^(Begin|Start)/ }).first()).toBeVisible();
});

test('asked again with other minutes, a wish, a step kept and one taken out; the request is remembered, bad minutes are told', async ({
  page,
}) => {
  await open(page);
  await isDone(page);
  const name = (await page.locator('.proposed strong').nth(5).innerText()).trim();
  await proposed(page).nth(5).hover();
  await page.getByRole('button', { name: `Keep ${name}` }).click();
  const other = (await page.locator('.proposed strong').nth(7).innerText()).trim();
  await proposed(page).nth(7).hover();
  await page.getByRole('button', { name: `Without ${other}` }).click();
  await page.getByRole('button', { name: 'gentler', exact: true }).click();
  await page.getByLabel('For', { exact: true }).fill('0');
  await expect(page.getByText('Minutes: 1 to 60')).toBeVisible();
  await page.getByRole('button', { name: 'Ask again' }).click();
  await expect(page.getByRole('alert')).toContainText('Minutes');
  await expect(page.getByLabel('For', { exact: true })).toHaveValue('0');
  await page.getByLabel('For', { exact: true }).fill('12');
  await page.getByRole('button', { name: 'Ask again' }).click();
  await expect(page.getByText(/for these 12 minutes/)).toBeVisible({ timeout: 30_000 });
  await isDone(page);
  await expect(page.locator('.proposed').getByText('kept, as you asked')).toBeVisible();
  expect(await page.locator('.proposed strong').allInnerTexts()).not.toContain(other);
  // Left with nothing changed, and asked the same way next time.
  await page.keyboard.press('Escape');
  await expect(page.getByText('No steps yet')).toBeVisible();
  await open(page);
  await expect(page.getByRole('button', { name: 'gentler', exact: true })).toHaveAttribute('aria-pressed', 'true');
});

test('by keys alone: another is shown, a step kept, the routine taken and its first step open; works without the network', async ({
  page,
  context,
}) => {
  await open(page);
  await isDone(page);
  await context.setOffline(true);
  await page.locator('body').press('2');
  await expect(page.getByRole('button', { name: /^Show: A/ })).toBeDisabled();
  await page.locator('.proposed-name').first().focus();
  await page.keyboard.press('Enter');
  await page.keyboard.press('k');
  await expect(page.locator('.ask-chip')).toHaveCount(1);
  await page.locator('.proposed-name').first().blur();
  await page.keyboard.press('r');
  await isDone(page);
  await page.getByRole('button', { name: 'Take and edit' }).click();
  await expect(page.locator('.step-place.is-chosen').first()).toBeVisible();
  await context.setOffline(false);
  await saved(page);
});

test('what does not fit says what would have to give way, and what was asked stays', async ({ page }) => {
  await open(page);
  await isDone(page);
  for (const at of [5, 6, 7]) {
    await proposed(page).nth(at).hover();
    await proposed(page)
      .nth(at)
      .getByRole('button', { name: /^Keep / })
      .click();
  }
  await page.getByLabel('For', { exact: true }).fill('1');
  await page.getByRole('button', { name: 'Ask again' }).click();
  await expect(page.getByText('What is asked for does not fit together.')).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText(/more time \(\d+:\d\d in all\)/)).toBeVisible();
  await expect(page.locator('.ask-chip')).toHaveCount(3);
  await page.getByRole('button', { name: 'Leave it' }).click();
  await expect(page.getByText('No steps yet')).toBeVisible();
});

test('beside a present routine a row can be kept, let go and kept again', async ({ page }) => {
  await addStep(page, 'temple circles 10x');
  await open(page);
  await isDone(page);
  for (const at of [2, 4]) {
    await proposed(page).nth(at).hover();
    await proposed(page)
      .nth(at)
      .getByRole('button', { name: /^Keep / })
      .click();
  }
  await page
    .getByRole('button', { name: /^Let go: / })
    .first()
    .click();
  await proposed(page).nth(3).hover();
  await proposed(page)
    .nth(3)
    .getByRole('button', { name: /^Keep / })
    .click();
  await expect(page.locator('.ask-chip')).toHaveCount(2);
  await page.getByRole('button', { name: 'Ask again' }).click();
  await isDone(page);
  await expect(page.locator('.proposed').getByText('kept, as you asked')).toHaveCount(2);
});

test('without a network it says so, and works as soon as there is one', async ({ page, context }) => {
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Propose' }).click();
  await expect(page.getByRole('alert')).toContainText('could not be fetched');
  await page.getByRole('button', { name: 'Leave' }).click();
  await expect(page.getByText('No steps yet')).toBeVisible();
  await page.getByRole('button', { name: 'Propose' }).click();
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(proposed(page).first()).toBeVisible({ timeout: 30_000 });
});

test('a worker that is not to be had is told, and asked for anew; what was cancelled can be asked again', async ({
  page,
}) => {
  await page.route(/propose-[^/]*\.js$/, (route) => route.abort());
  await page.getByRole('button', { name: 'Propose' }).click();
  await expect(page.getByText(/Could not work it out: .* could not be fetched/)).toBeVisible();
  await page.unroute(/propose-[^/]*\.js$/);
  await page.getByRole('button', { name: 'Ask again' }).click();
  await expect(proposed(page).first()).toBeVisible({ timeout: 30_000 });
  await page.getByLabel('For', { exact: true }).fill('40');
  await page.getByRole('button', { name: 'Ask again' }).click();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('button', { name: 'Cancel' })).toBeHidden();
  await page.getByLabel('For', { exact: true }).fill('8');
  await page.getByLabel('For', { exact: true }).fill('40');
  await page.getByRole('button', { name: 'Ask again' }).click();
  await expect(page.getByText(/for these 40 minutes/)).toBeVisible({ timeout: 60_000 });
});

test('without a client: for a kind of complaint, kept as a routine of the practice', async ({ page }) => {
  await page.goto('/routines');
  await page.getByRole('link', { name: 'Propose one' }).click();
  await page.waitForURL(/routines\/propose/);
  await page.getByLabel(/For nobody in particular/).selectOption('eye-strain');
  await expect(page.getByText(/eye strain 6 of 10/).first()).toBeVisible({ timeout: 30_000 });
  await page.getByLabel('For', { exact: true }).fill('5');
  await page.getByRole('button', { name: 'Ask again' }).click();
  await expect(page.getByText(/for these 5 minutes, proven/)).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Take', exact: true }).click();
  await page.waitForURL(/\/routines\/[0-9a-f-]{36}$/);
  await expect(page.getByRole('heading', { level: 1, name: 'Eye strain, proposed' })).toBeVisible();
});

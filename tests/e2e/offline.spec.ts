import type { Page } from '@playwright/test';
import { addClient, awake, expect, openPractice, openPracticeByHand, test, toCompose } from './base.ts';

/** The code of every page is fetched when the first one stands. */
const warm = async (page: Page): Promise<void> => {
  await awake(page);
  await page.waitForFunction(() => sessionStorage.getItem('velvet-fetched') !== null);
};

/** Said while something waits for the connection. */
const NOTE = /No connection to the records/;

test('a search into a cut network leaves the page as it is, and is answered when the network is back', async ({
  page,
  context,
}) => {
  await openPractice(page);
  await addClient(page, 'Mirela Castellan');
  await page.goto('/today');
  await warm(page);
  await context.setOffline(true);
  await page.getByLabel('Find a client, a routine, a place or a technique').fill('Mirela');
  await expect(page.getByRole('alert').filter({ hasText: NOTE })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Something went wrong' })).toBeHidden();
  await expect(page.getByLabel('Find a client, a routine, a place or a technique')).toHaveValue('Mirela');
  await context.setOffline(false);
  await expect(page.getByRole('link', { name: /Mirela Castellan/ }).first()).toBeVisible();
  await expect(page.getByText(NOTE)).toBeHidden();
});

test('the list of templates waits for the network above its dialog and comes with it', async ({ page, context }) => {
  await openPractice(page);
  await addClient(page);
  await toCompose(page);
  await warm(page);
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Start from a template' }).click();
  await expect(page.getByRole('alert').filter({ hasText: NOTE })).toBeVisible();
  await expect(page.getByRole('dialog').getByText('Looking …')).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByRole('dialog').getByRole('listitem').first()).toBeVisible();
  await expect(page.getByText(NOTE)).toBeHidden();
});

test('another stage, asked for without a network, opens when it is back', async ({ page, context }) => {
  await openPractice(page);
  await addClient(page);
  await toCompose(page);
  await warm(page);
  await context.setOffline(true);
  await page
    .getByRole('link', { name: /Record/ })
    .first()
    .click();
  await expect(page.getByText(NOTE)).toBeVisible();
  expect(page.url()).toContain('/compose');
  await context.setOffline(false);
  await page.waitForURL('**/record');
  await expect(page.getByText(NOTE)).toBeHidden();
});

for (const cut of ['network', 'session'] as const)
  test(`a technique typed while the ${cut} is gone is kept as typed and stored afterwards`, async ({
    page,
    context,
  }) => {
    const who = await openPracticeByHand(page);
    await page.goto('/practice/techniques/new?from=temple-circles');
    await awake(page);
    await page.getByLabel('Name', { exact: true }).fill('Slow brow lift');
    if (cut === 'network') await context.setOffline(true);
    else await context.clearCookies();
    await page.getByRole('button', { name: 'Keep' }).first().click();
    if (cut === 'network') {
      await expect(page.getByText(NOTE)).toBeVisible();
      await context.setOffline(false);
    } else {
      const again = page.getByRole('form', { name: 'Sign in again' });
      await again.getByLabel(/^Password of/).fill(who.password);
      await again.getByRole('button', { name: 'Sign in again' }).click();
    }
    await page.waitForURL('**/practice/techniques');
    await expect(page.getByText('Slow brow lift')).toBeVisible();
  });

test('the sign-in in place stands above a dialog and takes the password there', async ({ page, context }) => {
  const who = await openPracticeByHand(page);
  await addClient(page);
  await toCompose(page);
  await context.clearCookies();
  await page.getByRole('button', { name: 'Start from a template' }).click();
  const again = page.getByRole('form', { name: 'Sign in again' });
  await again.getByLabel(/^Password of/).fill(who.password);
  await again.getByRole('button', { name: 'Sign in again' }).click();
  await expect(page.getByRole('dialog').getByRole('listitem').first()).toBeVisible();
});

import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { addClient, awake, expect, openPractice, test } from './base.ts';

const dayIn = (days: number) => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);

/** A first visit booked in three days, and the link to answer before it. */
async function bookFirst(page: Page): Promise<string> {
  await openPractice(page);
  await addClient(page);
  await page.goto('/clients');
  await page.getByRole('link', { name: 'Jun Castellan' }).click();
  await page.waitForURL(/\/clients\/[0-9a-f-]{36}$/);
  await page.goto(`${page.url()}/visits`);
  await page.getByRole('button', { name: 'Book a visit' }).click();
  await page.getByLabel('Day').fill(dayIn(3));
  await page.getByLabel('Time', { exact: true }).fill('10:30');
  await page.getByRole('button', { name: 'Book it' }).click();
  await page.getByRole('button', { name: 'Link to answer before: Jun Castellan' }).click();
  await page.getByRole('button', { name: 'Make the link' }).click();
  return (await page.locator('.give-link .address').textContent())!;
}

test('before a first visit: a number and the questions by a link, a red flag on Today, confirmed in Screen', async ({
  page,
  browser,
  baseURL,
}) => {
  const link = await bookFirst(page);
  const context = await browser.newContext({
    baseURL: baseURL!,
    viewport: { width: 390, height: 844 },
    hasTouch: true,
  });
  const phone = await context.newPage();
  await phone.goto(link);
  await phone.locator('.main:not([aria-disabled=true])').waitFor();
  await expect(phone.getByText('with Rafe')).toBeVisible();
  await expect(phone.locator('body')).not.toContainText('Castellan');
  await phone.getByRole('button', { name: '6', exact: true }).tap();
  // Without a network it is kept, and sent when there is one.
  await context.setOffline(true);
  await phone.getByRole('button', { name: 'Keep today’s number' }).tap();
  await expect(phone.getByText('Kept on this phone, will be sent')).toBeVisible();
  await context.setOffline(false);
  await expect(phone.getByText(/^Sent \d/)).toBeVisible();
  await expect(phone.getByText('Today’s is kept. Open this again tomorrow.')).toBeVisible();

  await phone.getByRole('button', { name: 'Answer the questions' }).tap();
  const lump = phone.getByRole('group', { name: /lump, a swollen gland/ });
  for (;;) {
    if (await lump.isVisible()) {
      await lump.getByRole('button', { name: 'Yes', exact: true }).tap();
      await expect(phone.getByText('This belongs to a doctor first.')).toBeVisible();
    }
    const pregnant = phone.getByRole('group', { name: /^Are you pregnant/ });
    const less = phone.getByRole('group', { name: /where you feel less/ });
    if (await less.isVisible()) {
      await less.getByRole('button', { name: 'Yes', exact: true }).tap();
      await phone.getByRole('button', { name: 'My left' }).tap();
    }
    await phone.emulateMedia({ colorScheme: (await pregnant.isVisible()) ? 'dark' : 'light' });
    const found = await new AxeBuilder({ page: phone })
      .options({ rules: { 'target-size': { enabled: true } } })
      .analyze();
    expect(found.violations.map((v) => `${v.id}: ${v.nodes[0]?.html}`)).toEqual([]);
    await phone.getByRole('button', { name: /^No to the/ }).tap();
    // What hangs on a yes stays away while it is a no.
    if (await pregnant.isVisible()) await expect(phone.getByText('pain below the ribs')).toHaveCount(0);
    if (await phone.getByRole('button', { name: 'Done' }).isVisible()) break;
    await phone.getByRole('button', { name: 'Go on', exact: true }).tap();
  }
  await phone.getByRole('button', { name: 'Done' }).tap();
  await expect(phone.getByRole('heading', { name: 'Before your first visit' })).toBeVisible();
  await expect(phone.getByText(/^Sent \d/)).toBeVisible();
  // Nothing of what was said stays on the phone, or comes back out of the link.
  await expect.poll(() => phone.evaluate(() => JSON.stringify(localStorage))).not.toContain('lump');
  expect(await (await phone.request.get(link)).text()).not.toContain('"yes"');

  await page.goto('/today');
  const look = page.locator('.look', { hasText: 'Jun Castellan said yes before the visit' });
  await expect(look).toContainText('Do you have a lump');
  await look.getByRole('link', { name: 'Open the visits' }).click();
  await page.getByRole('link', { name: /10:30/ }).click();
  await page.waitForURL('**/screen');
  await awake(page);
  await expect(page.getByText('to be confirmed: 2 yes or not sure')).toBeVisible();
  const red = page.getByRole('group', { name: /^Red flags/ });
  // The press for many leaves the yes alone.
  await red.getByRole('button', { name: /^No to the other/ }).click();
  await page.getByRole('group', { name: 'None applies?' }).getByRole('button', { name: 'None applies' }).click();
  const asked = red.getByRole('radiogroup', { name: /^A lump/ });
  await expect(asked).toContainText('client said yes');
  await expect(asked.getByRole('radio', { checked: true })).toHaveCount(0);
  await red.getByRole('button', { name: 'Confirmed with the client: 1 as said' }).click();
  await expect(page.getByRole('button', { name: 'Stop and refer out' })).toBeVisible();
  const standing = page.getByRole('group', { name: /^Standing facts/ });
  await standing.getByRole('button', { name: /^Confirmed with the client/ }).click();
  await expect(standing.getByRole('radiogroup', { name: /where you feel less/ }).first()).toContainText('Yes');
  await expect(
    standing.getByRole('radiogroup', { name: /^Side: / }).getByRole('radio', { name: 'Client’s left' }),
  ).toBeChecked();
  await expect(page.getByText('all answered')).toHaveCount(2);
  await context.close();
});

test('the link before a visit opens nothing else, and is offered to nobody who was here before', async ({
  page,
  request,
}) => {
  const link = await bookFirst(page);
  for (const other of ['/keep', '/manifest']) expect((await request.get(link + other)).status(), other).toBe(404);
  expect(await (await request.get(`${link}/calendar`)).text()).toContain('BEGIN:VEVENT');
  for (const data of [
    { sentAt: 'x', items: [] },
    { sentAt: new Date().toISOString(), items: [{ kind: 'run' }] },
    { sentAt: new Date().toISOString(), items: [{ id: crypto.randomUUID(), at: 'now', kind: 'answers', answers: {} }] },
    {
      sentAt: new Date().toISOString(),
      items: [{ id: crypto.randomUUID(), at: new Date().toISOString(), kind: 'answers', answers: { fever: 'yes' } }],
    },
  ])
    expect((await request.post(`${link}/before`, { data, headers: { origin: new URL(link).origin } })).status()).toBe(
      422,
    );
});
